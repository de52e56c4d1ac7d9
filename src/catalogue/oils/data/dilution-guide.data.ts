import type { GuideRow } from '../../../core/oils/book';

export const dilutionGuide: readonly GuideRow[] = [
  {"id": "face", "audience": "adult", "area": "face", "usualMinPercent": 0.5, "usualMaxPercent": 1.0, "note": ""},
  {"id": "face-sensitive", "audience": "sensitive skin", "area": "face", "usualMinPercent": 0.2, "usualMaxPercent": 0.5, "note": "patch test first"},
  {"id": "body", "audience": "adult", "area": "body", "usualMinPercent": 1.0, "usualMaxPercent": 3.0, "note": "2 % is usual"},
  {"id": "body-sensitive", "audience": "sensitive skin", "area": "body", "usualMinPercent": 0.5, "usualMaxPercent": 1.0, "note": "patch test first"},
  {"id": "local", "audience": "adult", "area": "local", "usualMinPercent": 3.0, "usualMaxPercent": 5.0, "note": "small area, a few days at most"},
  {"id": "bath", "audience": "adult", "area": "bath", "usualMinPercent": 1.0, "usualMaxPercent": 2.0, "note": "percent of the dispersing medium, never straight into water"},
  {"id": "frail", "audience": "elderly or frail", "area": "body", "usualMinPercent": 0.5, "usualMaxPercent": 1.0, "note": ""},
  {"id": "pregnancy", "audience": "pregnant, after the first three months", "area": "body", "usualMinPercent": 0.5, "usualMaxPercent": 1.0, "note": "none in the first three months by default"},
  {"id": "child-2-6", "audience": "2 to 5 years", "area": "body", "usualMinPercent": 0.25, "usualMaxPercent": 0.5, "note": "with guardian's consent"},
  {"id": "child-6-12", "audience": "6 to 11 years", "area": "body", "usualMinPercent": 0.5, "usualMaxPercent": 1.5, "note": "with guardian's consent"},
  {"id": "oedematous-or-irradiated", "audience": "swollen limb or irradiated skin", "area": "local", "usualMinPercent": 0.0, "usualMaxPercent": 0.0, "note": "unscented medium only"},
  {"id": "inhalation", "audience": "any", "area": "air", "usualMinPercent": 0.0, "usualMaxPercent": 0.0, "note": "on a tissue or diffuser, not on skin"}
];
