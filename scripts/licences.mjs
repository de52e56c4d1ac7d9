/** Whose work ships with the application, and under which terms: every package that is not for developing only. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

const fontPackages = /^@fontsource(-variable)?\//;

/**
 * @param root of a checkout with its packages installed
 * @returns name, version, licence (SPDX), whether it is a font, and the text of its notice; sorted, fonts first
 */
export function collectLicences(root) {
  const lock = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8'));
  return (
    Object.entries(lock.packages)
      .filter(([where, { dev, link }]) => where.startsWith('node_modules/') && !dev && !link)
      // Packages for other kinds of machine are in the lock file, and not here.
      .filter(([where]) => existsSync(path.join(root, where, 'package.json')))
      .map(([where]) => noticeOf(path.join(root, where)))
      .filter((one, i, all) => all.findIndex(({ name, version }) => name === one.name && version === one.version) === i)
      .sort((a, b) => Number(b.isFont) - Number(a.isFont) || a.name.localeCompare(b.name))
  );
}

function noticeOf(folder) {
  const { name, version, license, licenses } = JSON.parse(readFileSync(path.join(folder, 'package.json'), 'utf8'));
  const file = readdirSync(folder).find((one) => /^(licen[cs]e|copying|notice)/i.test(one));
  const text = file ? readFileSync(path.join(folder, file), 'utf8').trim() : '';
  return {
    name,
    version,
    licence: spdxOf(license ?? licenses) || termsIn(text),
    isFont: fontPackages.test(name),
    text,
  };
}

/** Older packages write an object, or a list of them. */
const spdxOf = (said) =>
  typeof said === 'string'
    ? said
    : [said]
        .flat()
        .map((one) => one?.type ?? '')
        .filter(Boolean)
        .join(' OR ');

/** What a notice grants, where the package itself does not say it. */
const termsIn = (text) => (/Permission is hereby granted, free of charge/.test(text) ? 'MIT' : '');

/** Lets a page import what was collected when it was built. */
export const licencesPlugin = (root) => ({
  name: 'licences',
  resolveId: (id) => (id === 'virtual:licences' ? '\0virtual:licences' : undefined),
  load: (id) =>
    id === '\0virtual:licences' ? `export const licences = ${JSON.stringify(collectLicences(root))};` : undefined,
});
