import { dayInWords } from '../../core/language';
import { nameOf, sideOf } from '../../core/anatomy/place';
import { bareLabel, shortLabel } from '../../core/anatomy/place-labels';
import { anatomy } from '../anatomy';
import { homeGroups, homePlaces } from './home-places';
import type { HomeWords } from './words';
import { capitalise } from '../../core/wording/capitalise';

const times = (n: number) => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);

/** The words of a home sheet in English: plain, short, and without a name for any illness. */
export const english: HomeWords = {
  language: 'en',
  languageName: 'English',
  routines: {
    'nodes-breathing': { title: 'Ten breaths, ten circles', about: 'A short routine that keeps the ways open.' },
    'after-armpit': { title: 'For chest and arm', about: 'It leads fluid from the arm and chest to where it can go.' },
    'one-leg': {
      title: 'For the leg',
      about: 'First the ways out, then the leg from the top down, a quarter at a time.',
    },
    'face-three': { title: 'Face in three minutes', about: 'Opens the neck, then leads the face down to it.' },
    'face-counted': { title: 'Face, counted', about: 'Ten one way, ten the other, and a few points to press.' },
    'neck-jaw-tool': {
      title: 'Neck and jaw with the tool',
      about: 'Two or three minutes a side, over something that glides.',
    },
    roller: { title: 'Face with the roller', about: 'The weight of the roller only, always back to the drain.' },
    mouth: { title: 'Inside the cheeks', about: 'With a fresh glove, never more often than it says here.' },
  },
  parts: {
    open: 'Open',
    way: 'Get the way ready',
    trunk: 'Chest and belly',
    'thigh-upper': 'Upper thigh',
    'thigh-lower': 'Lower thigh and knee',
    'lower-leg': 'Lower leg',
    foot: 'Ankle and foot',
    'upper-arm': 'Upper arm',
    forearm: 'Forearm',
    hand: 'Hand',
    head: 'Face and neck',
    close: 'To finish',
  },
  acts: {
    breathe: {
      title: 'Breathe into the belly',
      how: 'One hand on the belly. In through the nose, so that the hand rises; out slowly, so that it sinks.',
    },
    clear: {
      title: '{place}',
      how: 'Flat fingers, as light as on an eyelid. Push the skin gently on, let it come back by itself.',
    },
    prepare: {
      title: '{place}',
      how: 'Stretch the skin on, then let go. Nothing slides.',
      brief: 'towards the {toward}',
    },
    soften: { title: '{place}', how: 'Small slow circles with the flat hand, until the skin gives. Never sore.' },
    drain: {
      title: '{place}',
      how: 'Push the skin on, then let go. Light, and always this way.',
      brief: 'towards the {toward}',
    },
    carry: { title: 'On to the {toward}', how: 'One long, light stroke from the {place}, the whole way.' },
    return: { title: 'Back over the whole way', how: 'A last long stroke to the {toward}, as light as a feather.' },
    close: { title: '{place}', how: 'As at the beginning: flat fingers, light, and let it come back.' },
    turn: { title: 'Turn over', how: 'Slowly, and find a place where you lie well.' },
  },
  techniques: {
    'belly-breath': {
      title: 'Breathe into the belly',
      how: 'One hand on the belly. In through the nose, so that the hand rises; out slowly, so that it sinks.',
    },
    'node-clear': {
      title: '{place}',
      how: 'Flat fingers, as light as on an eyelid. Push the skin gently on, let it come back by itself.',
    },
    'lymph-sweep': { title: '{place}', how: 'Long, light strokes one way; come back through the air.' },
    'drain-down-neck': { title: 'Down the neck', how: 'From the ear down to the collarbone, light and slow.' },
    'sweep-to-ear': { title: '{place}', how: 'Sweep to the ear, then down to the collarbone.' },
    'eye-flush': { title: 'Under the eyes', how: 'Ring finger, from the nose out to the temple. Hardly a touch.' },
    'counted-circles': { title: '{place}', how: 'Ten small circles one way, then ten the other.' },
    'pressure-point': { title: '{place}', how: 'Press in and up for five counts, breathe, let go slowly.' },
    'brow-pinch': { title: 'Brows', how: 'Small, gentle pinches from the inner end outward.' },
    'ear-rub-counted': { title: 'Ears', how: 'Rub in front and behind, from the top to the lobe, until warm.' },
    'face-half-each': { title: 'The whole face', how: 'A hand to each half, upward, softly.' },
    'scrape-between-ribs': {
      title: 'Beside the breastbone',
      how: 'The tool or your fingers, small strokes to and fro.',
    },
    'scrape-glide': {
      title: '{place}',
      how: 'Over oil or cream, flat, towards the heart. Pink is enough; blue is too much.',
    },
    'collar-roll-dry': { title: 'Under the collarbone', how: 'Roll a small fold of skin towards the armpit.' },
    'cheek-inside-knead': {
      title: 'Inside the cheek',
      how: 'Thumb inside, finger outside. Push the cheek out so that no fold forms, and knead slowly.',
    },
    'lip-inside-knead': { title: 'Inside the lips', how: 'The upper lip, then the lower: stretch outward.' },
    'chew-muscle-inside': {
      title: 'Chewing muscle',
      how: 'From inside: small circles, wait until it gives. Never sore.',
    },
    'press-and-release-out': { title: 'Beside the mouth', how: 'Press into the fold, turn outward, let go.' },
    'soothing-wave': { title: '{place}', how: 'Soft strokes with the flat hand, as much as feels good.' },
    'behind-ear-circles': { title: 'Behind the ears', how: 'Thumbs on the bone: ten circles, then ten the other way.' },
    'breath-between-points': {
      title: 'Breathe in between',
      how: 'Deep in through the nose, out through the mouth, and open the eyes slowly.',
    },
    'brow-stroke': { title: 'Along the brows', how: 'With the lie of the hair, from the nose outward: ten, then ten.' },
    'fingertip-zigzag-to-ear': {
      title: 'Across the cheek',
      how: 'Fingertips up and down in a zigzag while the hands travel to the ears.',
    },
    'forehead-palm-circles': {
      title: 'Forehead and temples',
      how: 'Circles with the edge of the palm: ten, then ten the other way.',
    },
    'forehead-press-counted': {
      title: 'Forehead',
      how: 'Thumbs rest at the temples; the fingers press from the middle outward, counting to ten.',
    },
    'jaw-inside-scoop': {
      title: 'Inside the lower jaw',
      how: 'Thumb inside, fingers outside: small circles upward, from the chin to the angle of the jaw.',
    },
    'spread-medium': { title: '{place}', how: 'Spread a little oil or cream in long, calm strokes.' },
    'roller-pass': {
      title: '{place}',
      how: 'Only the weight of the roller, one way, towards the drain. Begin next to the drain, then a little further out.',
    },
    'skin-pinch-dry': {
      title: '{place}',
      how: 'Dry fingers: small folds along the line, upward. Leave it out where the skin is red or sore.',
    },
    'nostril-fold-rub': { title: 'Beside the nostrils', how: 'Rub gently up and down the fold. Never sore.' },
    'contour-strokes': {
      title: '{place}',
      how: 'Flat fingers along the shape of the face, upward and outward, softly.',
    },
  },
  places: homePlaces,
  groups: homeGroups,
  placeName: (id) =>
    sideOf(id) === 'mid' || anatomy.territories.has(id) || anatomy.basins.has(id)
      ? shortLabel(anatomy, id)
      : nameOf(id),
  bareName: (id) => (anatomy.territories.has(id) || anatomy.basins.has(id) ? bareLabel(anatomy, id) : nameOf(id)),
  sides: { left: 'left', right: 'right', both: 'both sides', own: 'on its own side' },
  counts: {
    times: (n) => `${n}\u00a0×`,
    breaths: (n) => `${n} breaths`,
    hold: (seconds, n) => (n > 1 ? `${n}\u00a0×\u00a0${seconds}\u00a0s` : `${seconds}\u00a0s`),
    placed: (n) => `, in ${n} places`,
    minutes: (n) => (n === 1 ? 'a minute' : `${n} minutes`),
    each: 'at each place',
  },
  aftercareTitle: 'Until tomorrow',
  aftercare: {
    'oil-stays': 'Leave the oil on for 8 to 12 hours, then shower as usual.',
    'oil-off': 'Wipe the oil off with a warm cloth before you go out.',
    'no-sun': 'Keep what was oiled out of the sun, and off the sunbed, until the day after tomorrow.',
    'oil-eyes': 'Keep oil from the eyes: wipe with plain oil first, then rinse with water.',
    rest: 'Take it easy today; an early night does more than you would think.',
    water: 'Drink as you are thirsty, a glass of water now.',
    'get-up-slowly': 'Get up slowly; wait with driving until you are quite awake.',
    garment: 'Put your stocking or sleeve on again now, and wear it as agreed.',
    'no-heat': 'No sauna, hot bath or hot-water bottle today.',
    'no-sport': 'No hard training today; a walk is welcome.',
    'skin-alone': 'Leave the skin alone today: no peeling, no make-up for some hours.',
    'flush-normal': 'A flush may stay for some hours, up to a day.',
    'mouth-tender': 'The cheeks may be tender inside until tomorrow; nothing hot or spicy.',
    'neck-easy': 'Turn the head gently today, no jerks, nothing heavy on one shoulder.',
    normal: 'Normal: being tired, passing more water, a slight tenderness until tomorrow.',
    'not-normal':
      'Not normal: fever, a limb that turns red, hot or suddenly thicker, pain that grows, a rash that spreads. Ring a doctor the same day.',
    call: 'For all other questions ring us.',
  },
  before: [
    'Not with a fever, a new redness, a wound or a new swelling.',
    'Sit or lie well, the hands warm and dry, without haste.',
    'As light as on an eyelid: only the skin moves. More is less.',
  ],
  stop: [
    'Stop if it hurts, or if you feel short of breath or dizzy.',
    'A limb that turns red, hot or suddenly thicker, a fever, or pain in the calf: do not go on, and ring a doctor the same day.',
    'For all other questions ring us.',
  ],
  touches: {
    oil: [
      'Sit well, a little oil in warm palms, none near the eyes.',
      'Even and unhurried: the hands glide, nothing is pulled.',
    ],
    tool: [
      'Only on whole skin, over something that glides; never over a spot, a mole or a scar.',
      'Hold it nearly flat, hardly any pressure: it glides, it does not scrape.',
    ],
    roller: ['A clean, cool roller over clean skin; not over spots or broken skin.', 'Only its own weight, slowly.'],
    mouth: [
      'Wash the hands; a new glove each time; nothing with a sore, bleeding or freshly treated mouth.',
      'One finger inside, the thumb outside: soft and slow, never to the gums.',
    ],
  },
  page: {
    hello: (firstName) => `Hello ${firstName}`,
    minutes: (n) => `About ${n} ${n === 1 ? 'minute' : 'minutes'}`,
    rhythm: (perDay, perWeek) =>
      `${perDay === 1 ? 'Once' : perDay === 2 ? 'Twice' : `${perDay} times`} a day, ${perWeek === 7 ? 'every day' : `on ${perWeek} ${perWeek === 1 ? 'day' : 'days'} of the week`}`,
    at: (list) => `at ${list.map((time) => time.replace(/^0/, '')).join(' and ')}`,
    beforeTitle: 'Before you begin',
    stopTitle: 'When to stop',
    begin: 'Begin',
    next: 'Next',
    back: 'Back',
    pause: 'Pause',
    goOn: 'Go on',
    paused: 'paused',
    find: 'find the place',
    breatheIn: 'in',
    breatheOut: 'out',
    hold: 'hold',
    overNext: 'go on when you are ready',
    step: (n, of) => `${n} of ${of}`,
    then: 'then',
    theEnd: 'that is all',
    done: 'Well done',
    doneHow: 'Rest a moment, drink some water.',
    tick: 'Tick it off',
    ticked: 'Ticked off. Your therapist sees it at the next visit.',
    tickWaits: 'Kept on this phone; it is sent when there is a connection.',
    tooOften: (most, from) =>
      `${capitalise(times(most))} in seven days is enough: again from ${dayInWords('en', from)}.`,
    log: 'Tick each time',
    logHow: 'Bring this along next time.',
    days: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'],
    week: (n) => `week ${n}`,
    from: (house, name) => `From ${name}, ${house}`,
    validUntil: (date) => `This page works until ${date}.`,
    caution: 'It does not take the place of a doctor. What your doctor says comes first.',
    lostTitle: 'This page is not here',
    lost: 'The link has run out, or a letter of it is wrong. Ask your therapist for a new one.',
    ended: 'Your therapist has given you another sheet since. Please use that one.',
    doneThisWeek: (n, most) =>
      n === 0
        ? 'Not yet done in the last seven days.'
        : `Done ${times(n)} in the last seven days${n >= most ? ': enough' : ''}.`,
    sound: 'sound on',
    silent: 'silent',
    all: 'All steps',
    page: (n, of) => `page ${n} of ${of}`,
    asAt: (n) => `As at ${n}.`,
  },
};
