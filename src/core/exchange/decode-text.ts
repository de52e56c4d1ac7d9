/** Encodings that spreadsheets write. */
export type TextEncodingName = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/**
 * Tells the encoding of a text file by its mark, else by whether it is sound UTF-8; what is neither was written by an
 * older spreadsheet of western Europe.
 */
export function detectEncoding(bytes: Uint8Array): TextEncodingName {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/** The text of a file, without the mark at its start. */
export function decodeText(bytes: Uint8Array): string {
  return new TextDecoder(detectEncoding(bytes)).decode(bytes).replace(/^\ufeff/, '');
}
