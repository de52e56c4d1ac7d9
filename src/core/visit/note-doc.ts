/** A note with a little form: paragraphs and lists, bold and italic. Everything else that an editor could write is refused. */
export interface NoteText {
  readonly type: 'text';
  readonly text: string;
  readonly marks?: readonly { readonly type: 'bold' | 'italic' }[] | undefined;
}
export interface NoteParagraph {
  readonly type: 'paragraph';
  readonly content?: readonly NoteText[] | undefined;
}
export interface NoteList {
  readonly type: 'bulletList';
  readonly content: readonly { readonly type: 'listItem'; readonly content: readonly NoteParagraph[] }[];
}
export interface NoteDoc {
  readonly type: 'doc';
  readonly content: readonly (NoteParagraph | NoteList)[];
}

const textOf = ({ content = [] }: NoteParagraph): string => content.map(({ text }) => text).join('');

/** A note as plain text, a line a paragraph; for search, for print, for what only reads text. */
export function plainNote({ content }: NoteDoc): string {
  return content
    .flatMap((block) =>
      block.type === 'paragraph'
        ? [textOf(block)]
        : block.content.map((item) => `• ${item.content.map(textOf).join(' ')}`),
    )
    .join('\n')
    .trim();
}

/** Plain text as a note: each line a paragraph. */
export function noteFrom(text: string): NoteDoc {
  const lines = text === '' ? [] : text.split('\n');
  return { type: 'doc', content: lines.map(paragraph) };
}

const paragraph = (text: string): NoteParagraph =>
  text === '' ? { type: 'paragraph' } : { type: 'paragraph', content: [{ type: 'text', text }] };

/** Sentences behind what is written, in a paragraph of their own. */
export function withSentences(doc: NoteDoc, sentences: readonly string[]): NoteDoc {
  const written = doc.content.filter((block) => block.type === 'bulletList' || textOf(block) !== '');
  return { type: 'doc', content: [...written, paragraph(sentences.join(' '))] };
}
