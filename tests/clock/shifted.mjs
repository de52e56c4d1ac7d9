/** Loaded before anything else by servers and tests that have a clock of their own. */
import process from 'node:process';
import { shiftClock } from './shift.mjs';

shiftClock(Number(process.env['VELVET_STONE_CLOCK_OFFSET_MS'] ?? 0));
