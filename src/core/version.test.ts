import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { version } from './version';

it('the version that the house shows is that of the package', () => {
  expect(JSON.parse(readFileSync('package.json', 'utf8'))).toMatchObject({ version });
});
