/** What the rules of body-map say, in British English; a sentence with values in it is a function of them. */
export const bodyMapWords = {
  body: 'Body',
  face: 'Face',
  hands: 'Hands',
  feet: 'Feet',
  leftSide: 'left side',
  rightSide: 'right side',
  leftHand: 'left hand',
  rightHand: 'right hand',
  leftFoot: 'left foot',
  rightFoot: 'right foot',
  drawing: 'Drawing',
};
