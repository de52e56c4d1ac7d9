import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { collectLicences } from '../scripts/licences.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const all = collectLicences(root);
const { dependencies } = JSON.parse(readFileSync(`${root}/package.json`, 'utf8')) as {
  readonly dependencies: Readonly<Record<string, string>>;
};

describe('whose work ships', () => {
  it('is all that the package needs to run, with its terms', () => {
    const names = all.map(({ name }) => name);
    for (const name of Object.keys(dependencies)) expect(names, name).toContain(name);
    for (const { name, version, licence } of all) {
      expect(version, name).toMatch(/^\d+\./);
      expect(licence, name).not.toBe('');
    }
  });

  it('asks for nothing that a house could not keep: no terms that reach for what is built upon them', () => {
    const reaching = all.filter(
      ({ licence }) => /\bA?GPL\b|SSPL|BUSL/.test(licence) && !/LGPL|MIT|Apache/.test(licence),
    );
    expect(reaching.map(({ name, licence }) => `${name}: ${licence}`)).toEqual([]);
  });

  it('has the fonts first, each with the whole text that has to go with it', () => {
    const fonts = all.filter(({ isFont }) => isFont);
    expect(all.slice(0, fonts.length)).toEqual(fonts);
    expect(fonts.map(({ name }) => name)).toEqual([
      '@fontsource-variable/fraunces',
      '@fontsource/atkinson-hyperlegible',
    ]);
    for (const { text } of fonts) expect(text).toContain('SIL OPEN FONT LICENSE');
  });

  it('leaves out what is for developing only', () => {
    expect(all.map(({ name }) => name)).not.toContain('vitest');
  });
});
