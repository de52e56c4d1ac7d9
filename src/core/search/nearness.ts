/** How near a mistyped word is to the one that was meant. */

/** Small letters without accents. */
export function plainLetters(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .replaceAll('ø', 'o')
    .replaceAll('ł', 'l')
    .replaceAll('ß', 'ss')
    .trim();
}

/**
 * Edits between two words: a letter left out, added, changed, or two neighbours swapped (optimal string alignment;
 * Damerau 1964). Stops counting at `most + 1`.
 */
export function editsBetween(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let older: number[] = [];
  let old = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i += 1) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= b.length; j += 1) {
      const isSame = a[i - 1] === b[j - 1];
      let cost = Math.min((old[j] ?? 0) + 1, (row[j - 1] ?? 0) + 1, (old[j - 1] ?? 0) + (isSame ? 0 : 1));
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        cost = Math.min(cost, (older[j - 2] ?? 0) + 1);
      row.push(cost);
      least = Math.min(least, cost);
    }
    if (least > most) return most + 1;
    older = old;
    old = row;
  }
  return old[b.length] ?? most + 1;
}

/** How many edits a word of that length may be away: none in short ones, one from four letters on, two from eight. */
export function forgivenEdits(length: number): number {
  return length < 4 ? 0 : length < 8 ? 1 : 2;
}

/**
 * Edits needed so that a typed word begins one of the words of a text; a beginning counts, since people stop typing.
 * @returns undefined when no word is near enough
 */
export function nearness(typed: string, words: readonly string[]): number | undefined {
  const most = forgivenEdits(typed.length);
  let best = most + 1;
  for (const word of words) {
    if (word.startsWith(typed)) return 0;
    for (let length = typed.length - most; length <= typed.length + most; length += 1)
      best = Math.min(best, editsBetween(typed, word.slice(0, Math.max(0, length)), most));
  }
  return best <= most ? best : undefined;
}
