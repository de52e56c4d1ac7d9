import { bookingWords } from './booking.words';

/** Where a drainage is booked for, as it is usually said. */
export const areas = [
  { value: 'leg.left', text: bookingWords.leftLeg },
  { value: 'leg.right', text: bookingWords.rightLeg },
  { value: 'leg.left leg.right', text: bookingWords.bothLegs },
  { value: 'arm.left', text: bookingWords.leftArm },
  { value: 'arm.right', text: bookingWords.rightArm },
  { value: 'arm.left arm.right', text: bookingWords.bothArms },
  { value: 'face', text: bookingWords.face },
  { value: 'face neck', text: bookingWords.faceAndNeck },
  { value: 'abdomen', text: bookingWords.belly },
  { value: 'trunk-upper.left', text: bookingWords.leftUpperTrunk },
  { value: 'trunk-upper.right', text: bookingWords.rightUpperTrunk },
  { value: 'trunk-lower.left', text: bookingWords.leftLowerTrunk },
  { value: 'trunk-lower.right', text: bookingWords.rightLowerTrunk },
  { value: 'whole-body', text: bookingWords.wholeBody },
];

/** What it is booked because of. */
export const reasons = [
  { value: 'swelling', text: bookingWords.swelling },
  { value: 'wellness', text: bookingWords.wellness },
  { value: 'after-procedure', text: bookingWords.afterAProcedure },
  { value: 'puffy-face', text: bookingWords.puffyFace },
  { value: 'sinus', text: bookingWords.sinuses },
];
