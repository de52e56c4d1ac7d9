import type { HomeRoutine } from '../../core/homecare/sheet';

/** What a client may be given to do alone, in the order in which it is offered. */
export const homeRoutines: readonly HomeRoutine[] = [
  {
    id: 'nodes-breathing',
    from: { protocol: 'home-nodes-breathing' },
    modality: 'home-self-care',
    minutes: { least: 3, usual: 4, most: 8 },
    daysPerWeek: 3,
    mostPerWeek: 7,
  },
  {
    id: 'after-armpit',
    from: 'planner',
    modality: 'home-self-care',
    minutes: { least: 8, usual: 15, most: 20 },
    daysPerWeek: 7,
    mostPerWeek: 14,
  },
  {
    id: 'one-leg',
    from: 'planner',
    modality: 'home-self-care',
    minutes: { least: 10, usual: 18, most: 20 },
    daysPerWeek: 7,
    mostPerWeek: 14,
  },
  {
    id: 'face-three',
    from: { protocol: 'home-face-three' },
    modality: 'home-self-care',
    minutes: { least: 2, usual: 3, most: 6 },
    daysPerWeek: 7,
    mostPerWeek: 14,
  },
  {
    id: 'face-counted',
    from: { protocol: 'face-self-counted' },
    modality: 'home-self-care',
    minutes: { least: 5, usual: 8, most: 15 },
    daysPerWeek: 3,
    mostPerWeek: 7,
  },
  {
    id: 'neck-jaw-tool',
    from: { protocol: 'home-neck-jaw-tool' },
    modality: 'facial-scraping-tool',
    minutes: { least: 4, usual: 5, most: 10 },
    daysPerWeek: 2,
    mostPerWeek: 3,
  },
  {
    id: 'roller',
    from: { protocol: 'home-roller' },
    modality: 'facial-roller',
    minutes: { least: 4, usual: 8, most: 10 },
    daysPerWeek: 5,
    mostPerWeek: 7,
  },
  {
    id: 'mouth',
    from: { protocol: 'home-mouth' },
    modality: 'facial-intraoral',
    minutes: { least: 5, usual: 7, most: 10 },
    daysPerWeek: 1,
    mostPerWeek: 2,
  },
];
