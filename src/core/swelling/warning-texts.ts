const texts: Readonly<Record<string, string>> = {
  interpolated: 'Not measured: estimated from its two neighbours.',
  trimmed: 'Not measured at the end: left out on both limbs.',
  'unit-suspect': 'All values look as if typed in the other unit.',
  'unit-point': 'This value looks as if typed in the other unit.',
  'decimal-point': 'The decimal point may be misplaced.',
  jump: 'This value jumps away from its neighbours: tape again?',
  range: 'Outside the range expected for this limb.',
  'row-swapped': 'Left and right may be swapped at this point.',
  'sides-identical': 'Both sides are exactly alike: copied?',
  'sides-swapped': 'The affected side is the smaller one: swapped?',
  'dominance-ignored': 'Dominance correction applies to arms only.',
  'simpson-unequal-pair': 'Unequal spacing here: frustum used for these two segments.',
  'simpson-odd-segments': 'Odd number of segments: frustum used for the last one.',
};

/** What each code warns of; most codes also stand with the side that they were found on. */
const kinds: ReadonlyMap<string, string> = new Map(
  Object.keys(texts).flatMap((kind) => [
    [kind, kind],
    [`${kind}-affected`, kind],
    [`${kind}-reference`, kind],
  ]),
);

/** What a warning code says without its side: `decimal-point` for `decimal-point-affected`. @throws RangeError */
export function warningKind(code: string): string {
  const kind = kinds.get(code);
  if (kind === undefined) throw new RangeError(`no text for warning “${code}”`);
  return kind;
}

/** The short sentence of a warning code, with or without its side. @throws RangeError for an unknown code */
export const warningText = (code: string): string => texts[warningKind(code)] ?? '';
