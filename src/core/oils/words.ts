import type { Area, NoteId, UseId } from './book';

/** What an oil is taken for, as it is said to a client. */
export const useWords: Readonly<Record<UseId, string>> = {
  calming: 'calm',
  sleep: 'sleep',
  'muscle-ease': 'tight muscles',
  'joint-warmth': 'stiff joints',
  circulation: 'circulation',
  uplifting: 'good spirits',
  focus: 'a clear head',
  grounding: 'steadiness',
  congestion: 'free breathing',
  digestion: 'the belly',
  'headache-tension': 'a tense head',
  'skin-balance': 'balanced skin',
  'dry-skin': 'dry skin',
  'mature-skin': 'mature skin',
};

export const noteWords: Readonly<Record<NoteId, string>> = { top: 'top', middle: 'middle', base: 'base' };

export const areaWords: Readonly<Record<Area, string>> = {
  body: 'body',
  face: 'face',
  local: 'a small area',
  bath: 'bath',
};
