import { existsSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt, ensureChromium, ensureInstalled, root, run, start } from './setup.mjs';

ensureInstalled();
const chromium = ensureChromium();
let passed = 0;
let failed = 0;
const count = (name, isFine) => {
  if (isFine) passed += 1;
  else {
    failed += 1;
    console.error(`✗ ${name}`);
  }
};
const node = (script, ...args) => start(process.execPath, [script, ...args]);

console.log('Types, lint and format, beside each other …');
const checks = {
  types: node('node_modules/astro/astro.js', 'check', '--minimumSeverity', 'error'),
  lint: node('node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0'),
  'unused exports': node('node_modules/knip/bin/knip.js', '--no-progress'),
  format: node('node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'),
};
// The build writes where the types are read from: one after the other.
await checks.types;
ensureBuilt();
for (const [name, code] of Object.entries(checks)) count(name, (await code) === 0);

const report = path.join(root, 'node_modules', '.vitest-report.json');
rmSync(report, { force: true });
const seed = process.env['VELVET_STONE_SEED'] ?? '20260101';
console.log(`Seed of what property tests make up: ${seed}`);
const wanted = process.argv.slice(2);
const ran = run(
  process.execPath,
  [
    'node_modules/vitest/vitest.mjs',
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${report}`,
    ...wanted,
  ],
  {
    CHROMIUM_PATH: chromium,
    VELVET_STONE_SEED: seed,
  },
);
if (existsSync(report)) {
  const { numPassedTests, numFailedTests, numFailedTestSuites, testResults } = JSON.parse(readFileSync(report, 'utf8'));
  passed += numPassedTests;
  failed += numFailedTests;
  const broken = testResults.filter(
    (file) => file.status === 'failed' && file.assertionResults.every((test) => test.status !== 'failed'),
  ).length;
  failed += broken;
  if (ran !== 0 && failed === 0) failed += Math.max(1, numFailedTestSuites);
} else failed += 1;
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || ran !== 0 ? 1 : 0;
