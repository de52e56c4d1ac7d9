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

/** The short sentence of a warning code, with or without its side. @throws RangeError for an unknown code */
export function warningText(code: string): string {
  const text = texts[code] ?? texts[code.replace(/-(affected|reference)$/, '')];
  if (!text) throw new RangeError(`no text for warning “${code}”`);
  return text;
}
