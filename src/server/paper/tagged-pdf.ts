/** Tags for readers: what of a laid-out page is a heading, a paragraph, a picture, and what only decorates it. */

/** A piece of a page as the layout leaves it; only what tags go by. */
export interface PageItem {
  readonly type: string;
  readonly item: {
    readonly y?: number;
    readonly alt?: string;
    readonly lastLineInParagraph?: boolean;
    readonly inlines?: readonly {
      readonly text: string;
      readonly fontSize: number;
      readonly font: { readonly name: string };
    }[];
  };
}

export type Tag = { readonly kind: 'H1' | 'H2' | 'P' } | { readonly kind: 'Figure'; readonly alt: string } | null;

/** One thing that is read in one go, and how many items of the page it is made of; a null tag only decorates. */
export interface Tagged {
  readonly tag: Tag;
  readonly items: number;
  /** The rest of the paragraph before: something was drawn between, such as the dot of a list. */
  readonly goesOn?: boolean;
}

/** From this size on, bold words are a heading (points); the largest of them is the title. */
const headingPoints = 12;
const titlePoints = 16;

/** Clipping opens and closes round other items: it must not begin within one and end within another. */
const clips = new Set(['beginClip', 'endClip']);

/** The items of a page in their order, as things that are read; what stands below `footerY` is repeated on every page. */
export function tagsOf(items: readonly PageItem[], footerY: number): readonly Tagged[] {
  const tagged: Tagged[] = [];
  let lines: PageItem[] = [];
  let isWhole = true;
  const endLines = () => {
    if (lines.length === 0) return;
    tagged.push({ tag: { kind: kindOf(lines) }, items: lines.length, ...(isWhole ? {} : { goesOn: true }) });
    isWhole = lines.at(-1)?.item.lastLineInParagraph !== false;
    lines = [];
  };
  for (const one of items) {
    if (one.type === 'line' && (one.item.y ?? 0) < footerY) {
      lines.push(one);
      if (one.item.lastLineInParagraph !== false) endLines();
      continue;
    }
    endLines();
    const alt = one.type === 'svg' || one.type === 'image' ? one.item.alt : undefined;
    if (alt) isWhole = true;
    tagged.push({ tag: alt ? { kind: 'Figure', alt } : null, items: 1 });
  }
  endLines();
  return tagged;
}

function kindOf(lines: readonly PageItem[]): 'H1' | 'H2' | 'P' {
  const words = lines.flatMap(({ item }) => item.inlines ?? []).filter(({ text }) => text.trim() !== '');
  const points = Math.max(0, ...words.map(({ fontSize }) => fontSize));
  const isHeading =
    words.every(({ font }) => font.name.includes('Bold')) &&
    /^\p{L}/u.test(words[0]?.text ?? '') &&
    points >= headingPoints;
  return !isHeading ? 'P' : points >= titlePoints ? 'H1' : 'H2';
}

/** What of a document the tags are written with. */
interface Marked {
  readonly _pdfMakePages: readonly { readonly items: readonly PageItem[] }[];
  readonly page: { readonly height: number };
  on(event: 'pageAdded', then: () => void): void;
  struct(type: string, options?: object): Element;
  addStructure(element: Element): void;
  markStructureContent(type: string): unknown;
  markContent(type: 'Artifact'): void;
  endMarkedContent(): void;
}
interface Element {
  add(child: unknown): Element;
}

/**
 * Writes the tags of a document while its pages are drawn: the printer hands its document over before the first page
 * (`begin`), and says after each item that it has been drawn (`next`).
 */
export class PdfTags {
  #document: Marked | undefined;
  #root: Element | undefined;
  #pages = 0;
  #tagged: readonly Tagged[] = [];
  #items: readonly PageItem[] = [];
  #at = 0;
  /** Items of the thing that is open which have yet to be drawn. */
  #left = 0;
  #isOpen = false;
  /** What was read last: a paragraph may go on. */
  #read: Element | undefined;

  constructor(private readonly footerPoints: number) {}

  begin(document: Marked): void {
    this.#document = document;
    this.#root = document.struct('Document');
    document.addStructure(this.#root);
    document.on('pageAdded', () => {
      this.#items = document._pdfMakePages[this.#pages]?.items ?? [];
      this.#pages += 1;
      this.#tagged = tagsOf(this.#items, document.page.height - this.footerPoints);
      this.#at = 0;
      this.#open();
    });
  }

  next(): void {
    this.#left -= 1;
    if (this.#left > 0) return;
    if (this.#isOpen) this.#document?.endMarkedContent();
    this.#isOpen = false;
    this.#at += 1;
    this.#open();
  }

  #open(): void {
    const [thing, document] = [this.#tagged[this.#at], this.#document];
    if (!thing || !document) return;
    this.#left = thing.items;
    if (!thing.tag) {
      if (clips.has(this.#itemAt()?.type ?? '')) return;
      document.markContent('Artifact');
    } else {
      const { kind } = thing.tag;
      if (!thing.goesOn || !this.#read) {
        this.#read = document.struct(kind, 'alt' in thing.tag ? { alt: thing.tag.alt } : {});
        this.#root?.add(this.#read);
      }
      this.#read.add(document.markStructureContent(kind));
    }
    this.#isOpen = true;
  }

  /** The first item of the thing that comes now. */
  #itemAt(): PageItem | undefined {
    return this.#items[this.#tagged.slice(0, this.#at).reduce((sum, { items }) => sum + items, 0)];
  }
}

/** A printer that lets tags be written: it sets its document as `pdfKitDoc` before it draws. */
export function withTags(printer: object, tags: PdfTags): void {
  let kept: unknown;
  Object.defineProperty(printer, 'pdfKitDoc', {
    get: () => kept,
    set: (document: Marked) => {
      kept = document;
      tags.begin(document);
    },
  });
}
