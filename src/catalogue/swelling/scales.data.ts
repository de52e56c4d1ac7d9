/** Scales of what is seen, felt and said of skin and tissue, lowest first. */

export const pittingLabels = ['none', 'slight', 'mild', 'marked', 'deep'] as const;

export const textures = ['soft', 'doughy', 'firm', 'hard'] as const;

/** What may be ticked of a swollen limb's skin; `opens` raises a flag. */
export const limbSkin = [
  { id: 'normal', label: 'nothing to note' },
  { id: 'dry', label: 'dry or flaking' },
  { id: 'shiny', label: 'shiny, stretched' },
  { id: 'weeping', label: 'weeping clear fluid', opens: true },
  { id: 'papilloma', label: 'small wart-like bumps' },
  { id: 'hyperkeratosis', label: 'thickened, rough' },
  { id: 'folds', label: 'deepened folds' },
  { id: 'brown-staining', label: 'brown staining' },
  { id: 'broken', label: 'broken skin or ulcer', opens: true },
] as const;

/** Observation after the consensus document (2020), Lymphology 53:3–19; chosen by the therapist, never derived. */
export const stages = [
  { id: '0', label: '0, latent', text: 'No swelling shows; heaviness or tightness may be felt.' },
  { id: 'I', label: 'I', text: 'Comes and goes, settles with elevation, may pit.' },
  { id: 'II', label: 'II', text: 'Elevation alone rarely brings it down; pits clearly, later firmer.' },
  { id: 'III', label: 'III', text: 'Hard and enlarged, skin thickened, folded or with bumps.' },
] as const;

/** Stemmer (1976), Vasa 5:261–262. A negative sign does not rule swelling out. */
export const skinFoldValues = ['negative', 'doubtful', 'positive', 'not tested'] as const;

export const selfScores = [
  { id: 'tightness', label: 'Tightness', low: 'none', high: 'worst imaginable' },
  { id: 'heaviness', label: 'Heaviness', low: 'none', high: 'worst imaginable' },
  { id: 'pain', label: 'Pain', low: 'none', high: 'worst imaginable' },
  { id: 'movement', label: 'Trouble moving', low: 'none', high: 'cannot move it' },
] as const;

/** A change of a self-score by so much is worth a mark. */
export const notableScoreChange = 2;

/** Skin warmer than the mirror point (°C). */
export const warmth = { noteC: 1, raisedC: 2, leastC: 20, mostC: 42 } as const;

export const faceDistances = [
  { id: 'tragus-chin', label: 'ear notch to point of the chin' },
  { id: 'tragus-mouth', label: 'ear notch to corner of the mouth' },
  { id: 'jaw-nose', label: 'jaw angle to wing of the nose' },
  { id: 'jaw-inner-eye', label: 'jaw angle to inner corner of the eye' },
  { id: 'jaw-outer-eye', label: 'jaw angle to outer corner of the eye' },
  { id: 'chin-inner-eye', label: 'chin to inner corner of the eye' },
  { id: 'jaw-chin', label: 'jaw angle to point of the chin' },
] as const;
export const neckGirths = [
  { id: 'neck-upper', label: 'directly below the jaw' },
  { id: 'neck-middle', label: 'half-way between' },
  { id: 'neck-lower', label: 'just above the collar bones' },
] as const;
export const eyelidGrades = [
  'none; crease clear',
  'slight fullness',
  'clear puffiness, crease softened',
  'crease lost, or a bag stands out',
  'eye narrowed by swelling',
] as const;
export const eyelids = [
  { id: 'right-upper', label: 'right upper' },
  { id: 'right-lower', label: 'right lower' },
  { id: 'left-upper', label: 'left upper' },
  { id: 'left-lower', label: 'left lower' },
] as const;

/** Heights (cm) above and below the navel's place, counted from the floor. */
export const abdomenHeightsCm = [10, 5, 0, -5, -10] as const;

/** Fitzpatrick (1988), Arch Dermatol 124:869–871: from the answers on burning and tanning. */
export const skinTypes = [
  { id: 'I', text: 'always burns, never tans' },
  { id: 'II', text: 'burns easily, tans a little' },
  { id: 'III', text: 'burns sometimes, tans evenly' },
  { id: 'IV', text: 'seldom burns, tans well' },
  { id: 'V', text: 'very seldom burns, tans deeply' },
  { id: 'VI', text: 'hardly ever burns, deep brown to black' },
] as const;
/** In these redness may show as darkening or warmth only. */
export const darkSkinTypes: readonly string[] = ['V', 'VI'];

export const oilLevels = ['none, tight', 'little', 'balanced', 'oily in the centre', 'oily all over'] as const;
export const hydrationLevels = ['scaling or cracked', 'dry, rough', 'slightly dry', 'good', 'plump'] as const;
export const sensitivityLevels = ['never reacts', 'seldom', 'to some products or heat', 'to most'] as const;
export const rednessLevels = ['none', 'just visible', 'clear', 'strong', 'very strong'] as const;
export const fragilityLevels = [
  'none seen',
  'a few fine threads',
  'many, flushes easily',
  'bruises at light touch',
] as const;
export const bruisingLevels = [
  'none',
  'one, under 20 mm',
  'several, or 20 to 50 mm',
  'over 50 mm, or no known cause',
] as const;

export const pressureAnswers = [
  { value: -1, text: 'lighter please' },
  { value: 0, text: 'just right' },
  { value: 1, text: 'deeper please' },
] as const;
export const warmthAnswers = [
  { value: -2, text: 'too cool' },
  { value: -1, text: 'a little cool' },
  { value: 0, text: 'just right' },
  { value: 1, text: 'a little warm' },
  { value: 2, text: 'too hot' },
] as const;
export const scentAnswers = [
  { value: -2, text: 'dislike' },
  { value: -1, text: 'not keen' },
  { value: 0, text: 'neutral' },
  { value: 1, text: 'like' },
  { value: 2, text: 'love' },
] as const;

export const referralWords = {
  emergency: { label: 'Call the emergency number now', then: 'The treatment stops.' },
  'same-day': { label: 'Doctor or urgent care today', then: 'The treatment stops.' },
  soon: { label: 'Doctor within 7 days', then: 'Hold the area until it has been cleared.' },
  note: { label: 'Mention at the next appointment', then: 'The work may go on with care.' },
} as const;
