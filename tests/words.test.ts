import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { auditActions } from '../src/contracts/audit';
import { poses } from '../src/core/pictures/poses';
import { pseudo } from './pseudo';

const root = fileURLToPath(new URL('../src', import.meta.url));
const filesIn = (folder: string) =>
  readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$/.test(name))
    .map((name) => path.join(root, folder, name));

const layers = ['islands', 'core', 'server', 'ui'];
const isTable = (file: string) => /\.(words|says|answers)\.ts$/.test(file);
const views = layers.flatMap(filesIn).filter(isTable);
type Table = Readonly<Record<string, unknown>>;
const tableIn = new Map(
  await Promise.all(
    views.map(async (file) => {
      const [table = ['no table', {}] as const] = Object.entries(
        (await import(file)) as Readonly<Record<string, Table>>,
      );
      return [file, table] as const;
    }),
  ),
);
const tableOf = (file: string): readonly [string, Table] => tableIn.get(file) ?? ['no table', {}];
const tables = [...tableIn.values()];

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

/**
 * Files that are tables themselves, sentences by id or functions of ids and figures, and what is not said to anybody: the
 * columns of files, statements of the database.
 */
const areWords =
  /(\/test-|words|labels|warning-texts|wording\/|drainage\/(why|wording|rules)|\.data|language)[^/]*$|\/db\/|repository|\.documents\.ts$/;

/** Kinds of entries in the log of changes, statements of the database, columns of files. */
const isNoSentence = (said: string) =>
  [...auditActions, ...poses].some((id) => id === said) ||
  /^(select|<!doctype) |^date of birth$|fl oz$|^queue is at limit$/.test(said);

/** A sentence has a space between words; what is thrown is for whoever reads the log. */
function sentencesIn(name: string, text: string): readonly string[] {
  const source = ts.createSourceFile(name, text, ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  const walk = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isTaggedTemplateExpression(node)) return;
    if (ts.isNewExpression(node) && /Error|Trouble/.test(node.expression.getText())) return;
    if (ts.isCallExpression(node) && /^(log\.|format$|quietly$)/.test(node.expression.getText())) return;
    const said = ts.isStringLiteralLike(node)
      ? node.text
      : ts.isTemplateExpression(node)
        ? [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join(' … ')
        : '';
    if (/\p{L}+ \p{Ll}+ .*\p{Ll}{2,}/u.test(said) && !isNoSentence(said)) found.push(said);
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

  it('stands in tables, never beside what the core works out and the server answers', () => {
    const found = ['core', 'server', 'islands', 'ui']
      .flatMap(filesIn)
      .filter((file) => !isTable(file) && !areWords.test(file))
      .flatMap((file) =>
        sentencesIn(file, readFileSync(file, 'utf8')).map((text) => `${path.relative(root, file)}: ${text}`),
      );
    expect(found).toEqual([]);
  });

  it('would be found beside a rule', () => {
    expect(sentencesIn('a.ts', "const why = 'Wait until it is cool.';")).toEqual(['Wait until it is cool.']);
    expect(sentencesIn('a.ts', 'const why = `Wait ${n} minutes until it cools.`;')).toHaveLength(1);
    expect(sentencesIn('a.ts', "throw new RangeError('no text for that warning');")).toEqual([]);
  });

  it('would be found in a component', () => {
    expect(writtenInto('a.tsx', '<p>Hello {name}</p>')).toEqual(['Hello']);
    expect(writtenInto('a.tsx', '<Field label="Born on" name="born-on" />')).toEqual(['Born on']);
    expect(writtenInto('a.tsx', '<p className="of mine">{words.hello(name)} mL</p>')).toEqual([]);
  });

  it('is said somewhere, each sentence of each table', () => {
    const unsaid = views.flatMap((file) => {
      const [table, says] = tableOf(file);
      const code = filesIn(path.relative(root, path.dirname(file)))
        .filter((one) => one !== file)
        .map((one) => readFileSync(one, 'utf8'))
        .join('\n');
      const keys = Object.keys(says);
      expect(keys.length, table).toBeGreaterThan(0);
      return keys
        .filter((key) => !new RegExp(`\\b${table}\\s*\\.${key}\\b`).test(code))
        .map((key) => `${table}.${key}`);
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
