import type { BottleWords } from '../../core/oils/bottle-words';
import { percentText } from '../../core/oils/finding-words';
import { oilBook } from '../oils/oils';

export const englishBottle: BottleWords = {
  oilName: (id) => (oilBook.oils.get(id) ?? oilBook.carriers.get(id))?.name ?? id,
  goes: {
    body: 'For the skin only.',
    face: 'For the face, not the eyes.',
    local: 'For a small area only.',
    bath: 'For the bath, dispersed first.',
  },
  mind: 'Keep from eyes, mouth and children. Stop if skin reddens.',
  noSun: (hours) => `No sun on it for ${hours} hours.`,
  percent: percentText,
  made: (percent, ml, mixedOn, useBy) => `${percent} in ${ml} mL · mixed ${mixedOn} · use by ${useBy}`,
  forHome: (blend) => `${blend}, for the way home`,
  leftGoodUntil: (day) => `What is left in the bottle is good until ${day}.`,
  patDry: 'Pat dry; nothing has to stay on.',
  blot: 'Blot the face after a few minutes; it takes what it needs.',
  wipeForSun: 'Wipe it off with a warm cloth: it would burn in the sun.',
  wipeForTheWay: 'Wipe off what is left, for clothes and for the way home.',
  leaveOn: 'Leave the oil on for 8 to 12 hours, then shower as usual.',
  outOfSun: (hours) => `Keep what was oiled out of the sun, and off the sunbed, for ${hours} hours.`,
  littleCitrus: 'A little citrus is in it, within what skin bears in the sun.',
  keepFromEyes: 'Keep it from the eyes; if it gets in, wipe with plain oil first, then rinse with water.',
  keepFromChildren: 'Keep the bottle away from children and animals.',
  itchSensitive: 'Redness or itching within a day: wash it off and ring us. Your skin is quick to answer.',
  itch: 'If the skin itches or stays red for more than a day: wash it off and ring us.',
};
