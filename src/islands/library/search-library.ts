import MiniSearch, { type SearchResult } from 'minisearch';
import { modalityWords } from '../../catalogue/library/modality-words';
import { regionWords } from '../../catalogue/library/region-words';
import type { LibraryView } from '../../contracts/library-views';

/** Why something was found: by what it is called elsewhere, where it is done, what it holds, or what is said of it. */
export interface Why {
  readonly by: 'words' | 'regions' | 'steps' | 'about';
  /** The phrase that fits. */
  readonly phrase: string;
}

/** What is looked through, each a list of phrases; the first ones weigh most. */
interface Document {
  readonly id: string;
  readonly name: readonly string[];
  readonly words: readonly string[];
  readonly regions: readonly string[];
  readonly steps: readonly string[];
  readonly about: readonly string[];
}

const fields = ['name', 'words', 'regions', 'steps', 'about'] as const;
const told = ['words', 'steps', 'regions', 'about'] as const;

/** Small letters without accents; the plural of a word is the word. */
const term = (word: string): string =>
  word
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[’']s$/, '')
    .replace(/([^s])s$/, '$1');

const tokens = (text: string): string[] => text.split(/[^\p{L}\p{M}\p{N}’']+/u).filter(Boolean);
/** Words that say nothing by themselves. */
const idle: ReadonlySet<string> = new Set([
  'a',
  'and',
  'at',
  'by',
  'for',
  'from',
  'in',
  'of',
  'on',
  'the',
  'to',
  'with',
]);

/** Found things in their order, each with why. */
export type Found = ReadonlyMap<string, Why | undefined>;

export interface LibrarySearch {
  readonly techniques: (text: string) => Found;
  readonly protocols: (text: string) => Found;
}

/** Reads techniques and protocols once, for looking through them at each letter. */
export function librarySearch(view: Pick<LibraryView, 'techniques' | 'protocols' | 'regions'>): LibrarySearch {
  const labels = new Map(view.regions.map(({ name, label }) => [name, label]));
  const inWords = (region: string) => {
    const own = [labels.get(region) ?? region, region.replaceAll('-', ' ')];
    const elsewhere = Object.entries(regionWords)
      .filter(([word]) => own.some((one) => one.toLowerCase().includes(word)))
      .flatMap(([, others]) => others);
    return [...own, ...elsewhere];
  };
  const byId = new Map(view.techniques.map(({ value }) => [value.id, value]));
  const regionsOf = new Map<string, Set<string>>();
  for (const { value } of view.protocols)
    for (const { technique, regions } of value.blocks.flatMap(({ steps }) => steps)) {
      const known = regionsOf.get(technique) ?? new Set();
      for (const region of regions) known.add(region);
      regionsOf.set(technique, known);
    }
  const techniques = view.techniques.map(({ value }): Document => ({
    id: value.id,
    name: [value.name],
    words: value.words,
    regions: [...(regionsOf.get(value.id) ?? [])].flatMap(inWords),
    steps: [],
    about: [value.why, value.feel, ...value.cues],
  }));
  const protocols = view.protocols.map(({ value }): Document => {
    const steps = value.blocks.flatMap((block) => block.steps);
    const held = [...new Set(steps.map(({ technique }) => technique))].flatMap((id) => byId.get(id) ?? []);
    return {
      id: value.id,
      name: [value.name],
      words: modalityWords[value.modality] ?? [],
      regions: [...new Set(steps.flatMap(({ regions }) => regions))].flatMap(inWords),
      steps: held.flatMap(({ name, words }) => [name, ...words]),
      about: [value.about, value.modality.replaceAll('-', ' '), ...steps.flatMap(({ note }) => note ?? [])],
    };
  });
  return { techniques: searchThrough(techniques), protocols: searchThrough(protocols) };
}

function searchThrough(documents: readonly Document[]): (text: string) => Found {
  const known = new Map(documents.map((document) => [document.id, document]));
  const index = new MiniSearch<Document>({
    fields: [...fields],
    tokenize: tokens,
    processTerm: (word) => (idle.has(word.toLowerCase()) ? null : term(word)),
    extractField: (document, field) => {
      const value = document[field as keyof Document];
      return typeof value === 'string' ? value : value.join(' ; ');
    },
    searchOptions: {
      boost: { name: 6, words: 4, steps: 2, regions: 2 },
      prefix: (word) => word.length >= 3,
      // One slip in five letters, two in ten.
      fuzzy: (word) => (word.length >= 5 ? 0.2 : false),
    },
  });
  index.addAll(documents);
  return (text) => {
    // All words first; where nothing has them all, whatever has some.
    const all = index.search(text, { combineWith: 'AND' });
    const found = all.length > 0 ? all : index.search(text);
    return new Map(found.map((one) => [one.id as string, whyOf(known.get(one.id as string), one)]));
  };
}

/** The phrase that tells best why something was found; what its name says already needs no telling. */
function whyOf(document: Document | undefined, { match }: SearchResult): Why | undefined {
  if (!document) return undefined;
  const untold = Object.entries(match).filter(([, where]) => !where.includes('name'));
  for (const by of told)
    for (const [word, where] of untold) {
      if (!where.includes(by)) continue;
      const phrase = document[by].find((one) => tokens(one).some((part) => term(part) === word));
      if (phrase !== undefined) return { by, phrase };
    }
  return undefined;
}
