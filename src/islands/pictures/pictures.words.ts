import { countOf } from '../../core/wording/count';

/** Photographs: asked for, taken, laid beside each other; in the order of its files. */
export const picturesWords = {
  // Agreement
  may: 'May we take pictures?',
  whatTheyAreFor:
    'Pictures show what the tape cannot. They lie with the record and nowhere else; they go into a letter only if the client agrees to that too, and are removed when the client says so.',
  answer: 'The client says',
  refused: 'no pictures',
  record: 'for the record only',
  letters: 'also in letters',
  answeredOn: (day: string) => `Asked on ${day}.`,
  notAsked: 'Not asked yet.',
  stillOnRecord: (count: number) => `${countOf(count, 'picture')} ${count === 1 ? 'is' : 'are'} still on record.`,
  remove: (count: number) => `Remove ${countOf(count, 'picture')}`,
  removeForGood: 'Remove for good',
  keep: 'Leave them',

  // Camera
  camera: 'Use the camera',
  shoot: 'Take the picture',
  closeCamera: 'Close the camera',
  viewfinder: 'What the camera sees',
  opening: 'The camera opens …',
  noCamera: 'No camera could be opened: allow it in the browser, or choose a picture from a file.',

  // Grid, LightLine
  grid: 'grid',
  lightNow: (percent: number) => `Light ${percent} % of white.`,
  asLastTime: 'The light is as last time.',
  darkerThanLastTime: (points: number) => `${points} % darker than last time: more light, or compare shapes only.`,
  brighterThanLastTime: (points: number) => `${points} % brighter than last time: less light, or compare shapes only.`,
  fromAnotherSide: 'The light comes from another side than last time: shadows will not compare.',

  // PictureIntake
  thatFileIsEmpty: 'That file is empty: choose another, or take the picture again.',
  thatIsNotAPicture: 'That is not a picture that can be shown: choose a JPEG, PNG or WebP.',
  cannotBeRead: 'The picture could not be read: choose it again.',
  theNewPicture: 'The new picture: arrow keys move it, plus and minus change its size',
  standAsInTheLast: 'Stand as in the last picture, shown faintly here.',
  noneOfThisViewYet: 'No picture of this view yet.',
  lastTime: (pose: string) => `Last time, ${pose}`,
  fit: 'Fit the picture',
  larger: 'Larger',
  smaller: 'Smaller',
  left: 'Left',
  right: 'Right',
  up: 'Up',
  down: 'Down',
  chooseAnother: 'Choose another',
  choose: 'Choose a picture',
  saving: 'Saving …',
  save: 'Save this picture',

  // PicturePair, Pairs
  picture: (pose: string, name: string) => `${pose}, ${name}`,
  named: (day: string, phase: string) => `${day}, ${phase}`,
  sideBySide: 'side by side',
  slider: 'slider',
  compare: 'Compare',
  howMuchOfTheEarlier: 'How much of the earlier picture shows',
  pairs: 'Pictures, before and after',
  pairsOverTime: 'Pictures, first and newest',
};
