import fc from 'fast-check';
import process from 'node:process';

/**
 * What property tests make up follows from one seed, which `npm test` prints: the same seed makes the same run.
 * `VELVET_STONE_SEED=… npm test` makes another.
 */
fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: Number(process.env['VELVET_STONE_SEED'] ?? 20_260_101) });
