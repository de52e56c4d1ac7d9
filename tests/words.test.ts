import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { pseudo } from './pseudo';

const root = fileURLToPath(new URL('../src', import.meta.url));
const filesIn = (folder: string) =>
  readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name))
    .map((name) => path.join(root, folder, name));

const views = filesIn('islands').filter((file) => file.endsWith('.words.ts'));
type Table = Readonly<Record<string, unknown>>;
const tables = (
  await Promise.all(views.map(async (file) => Object.entries((await import(file)) as Readonly<Record<string, Table>>)))
).flat();

/** Attributes of a component that somebody reads, or is read to. */
const readAloud = new Set([
  ...['label', 'aria-label', 'title', 'placeholder', 'hint', 'alt', 'heading', 'summary', 'button'],
  'aria-description',
]);
/** Two letters and more that are no unit and no name of a key. */
const isWords = (text: string) =>
  !text.startsWith('/') && /\p{L}{2,}/u.test(text.replace(/\b(mL|mm|cm|kg|min|PDF|CSV|JSON|Alt|Esc)\b/g, ''));

/** What a component says by itself, instead of taking it from a table. */
function writtenInto(name: string, text: string): readonly string[] {
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const found: string[] = [];
  const walk = (node: ts.Node): void => {
    if (ts.isJsxText(node) && isWords(node.text)) found.push(node.text.trim());
    if (
      ts.isJsxAttribute(node) &&
      readAloud.has(node.name.getText()) &&
      node.initializer &&
      ts.isStringLiteral(node.initializer) &&
      isWords(node.initializer.text)
    )
      found.push(node.initializer.text);
    ts.forEachChild(node, walk);
  };
  walk(source);
  return found;
}

describe('what the interface says', () => {
  it('stands in tables, never in a component', () => {
    const components = filesIn('islands').filter((file) => file.endsWith('.tsx'));
    const found = components.flatMap((file) =>
      writtenInto(file, readFileSync(file, 'utf8')).map((text) => `${path.relative(root, file)}: ${text}`),
    );
    expect(found).toEqual([]);
  });

  it('would be found in a component', () => {
    expect(writtenInto('a.tsx', '<p>Hello {name}</p>')).toEqual(['Hello']);
    expect(writtenInto('a.tsx', '<Field label="Born on" name="born-on" />')).toEqual(['Born on']);
    expect(writtenInto('a.tsx', '<p className="of mine">{words.hello(name)} mL</p>')).toEqual([]);
  });

  it('is said somewhere, each sentence of each table', () => {
    const unsaid = views.flatMap((file) => {
      const table = /export const (\w+) = /.exec(readFileSync(file, 'utf8'))?.[1] ?? 'no table';
      const code = filesIn(path.join('islands', path.basename(path.dirname(file))))
        .filter((one) => one !== file)
        .map((one) => readFileSync(one, 'utf8'))
        .join('\n');
      const keys = Object.keys(tables.find(([key]) => key === table)?.[1] ?? {});
      expect(keys.length, table).toBeGreaterThan(0);
      return keys.filter((key) => !new RegExp(`\\b${table}\\.${key}\\b`).test(code)).map((key) => `${table}.${key}`);
    });
    expect(unsaid).toEqual([]);
  });

  it.each(tables)('%s is whole sentences and labels, with the values that are put into them', (_, table) => {
    for (const [key, said] of Object.entries(table)) {
      if (typeof said !== 'function') {
        expect(typeof said, key).toBe('string');
        expect(String(said).trim(), key).not.toBe('');
        continue;
      }
      const values = Array.from({ length: said.length }, (__, i) => `value${i}`);
      const made = String((said as (...input: readonly string[]) => string)(...values));
      for (const value of values) expect(made, key).toContain(value);
    }
  });

  it('can be turned into a language that nobody speaks', () => {
    for (const [, table] of tables) {
      const turned = pseudo(table);
      for (const [key, said] of Object.entries(turned))
        if (typeof said === 'string') expect(said, key).toMatch(/^⟦.*~+⟧$/s);
    }
  });
});
