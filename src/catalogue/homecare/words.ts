import type { HomeGroup, HomePlace } from './home-places';
import type { LanguageId } from '../../core/language';
import type { Seconds } from '../../core/quantities';
import type { AftercareId } from '../../core/visit/aftercare';
import type { HomeAct, HomePartId, HomeRoutineId } from '../../core/homecare/sheet';

/** How a step is called, and how it is done, in words for somebody at home. `{place}` and `{toward}` are filled in. */
export interface ActWords {
  readonly title: string;
  readonly how: string;
  /** Which way, behind the title, where `how` was said before. */
  readonly brief?: string;
}

/** The techniques of the library that sheets use. */
export const homeTechniques = [
  'belly-breath',
  'node-clear',
  'lymph-sweep',
  'drain-down-neck',
  'sweep-to-ear',
  'eye-flush',
  'counted-circles',
  'pressure-point',
  'brow-pinch',
  'ear-rub-counted',
  'face-half-each',
  'scrape-between-ribs',
  'scrape-glide',
  'collar-roll-dry',
  'cheek-inside-knead',
  'lip-inside-knead',
  'chew-muscle-inside',
  'press-and-release-out',
  'soothing-wave',
  'behind-ear-circles',
  'breath-between-points',
  'brow-stroke',
  'fingertip-zigzag-to-ear',
  'forehead-palm-circles',
  'forehead-press-counted',
  'jaw-inside-scoop',
  'spread-medium',
  'contour-strokes',
  'roller-pass',
  'skin-pinch-dry',
  'nostril-fold-rub',
] as const;
export type HomeTechnique = (typeof homeTechniques)[number];

/**
 * Everything that a client reads, on paper and on the page behind the link: one table a language. Another language is
 * another file of this shape; the compiler says what it still lacks.
 */
/** How a routine touches, which its sheet says before the first step. */
export type HomeTouch = 'light' | 'oil' | 'tool' | 'roller' | 'mouth';

const touchOf: Readonly<Record<HomeRoutineId, HomeTouch>> = {
  'nodes-breathing': 'light',
  'after-armpit': 'light',
  'one-leg': 'light',
  'face-three': 'oil',
  'face-counted': 'oil',
  'neck-jaw-tool': 'tool',
  roller: 'roller',
  mouth: 'mouth',
};

/** What to mind before a routine: when not at all first, then how it touches. */
export function beforeLines({ before, touches }: HomeWords, routine: HomeRoutineId): readonly string[] {
  const touch = touchOf[routine];
  return touch === 'light' ? before : [...before.slice(0, 1), ...touches[touch]];
}

export interface HomeWords {
  readonly language: LanguageId;
  readonly languageName: string;
  readonly routines: Readonly<Record<HomeRoutineId, { readonly title: string; readonly about: string }>>;
  readonly parts: Readonly<Record<HomePartId, string>>;
  readonly acts: Readonly<Record<Exclude<HomeAct, `technique:${string}`>, ActWords>>;
  readonly techniques: Readonly<Record<HomeTechnique, ActWords>>;
  /** Which hand at a place and how it moves, with a reason; a language without it says how it is done once a part. */
  readonly places?: ReadonlyMap<string, HomePlace> | undefined;
  /** Regions that are told in one line. */
  readonly groups?: readonly HomeGroup[] | undefined;
  /** Of a place by its id; another language brings its own map of the body. */
  readonly placeName: (id: string) => string;
  /** The same without its side. */
  readonly bareName: (id: string) => string;
  readonly sides: Readonly<Record<'left' | 'right' | 'both' | 'own', string>>;
  readonly counts: {
    readonly times: (n: number) => string;
    readonly breaths: (n: number) => string;
    readonly hold: (seconds: Seconds, times: number) => string;
    readonly placed: (n: number) => string;
    readonly minutes: (n: number) => string;
    /** Behind a count that holds for several places. */
    readonly each: string;
  };
  /** What to mind after a visit. */
  readonly aftercareTitle: string;
  readonly aftercare: Readonly<Record<AftercareId, string>>;
  readonly before: readonly string[];
  readonly stop: readonly string[];
  /** In place of all but the first of `before`, where it is not bare light hands on dry skin. */
  readonly touches: Readonly<Record<Exclude<HomeTouch, 'light'>, readonly string[]>>;
  readonly page: {
    readonly hello: (firstName: string) => string;
    readonly minutes: (n: number) => string;
    readonly rhythm: (timesPerDay: number, daysPerWeek: number) => string;
    readonly at: (times: readonly string[]) => string;
    readonly beforeTitle: string;
    readonly stopTitle: string;
    readonly begin: string;
    readonly next: string;
    readonly back: string;
    readonly pause: string;
    readonly goOn: string;
    readonly paused: string;
    readonly find: string;
    readonly breatheIn: string;
    readonly breatheOut: string;
    readonly hold: string;
    readonly overNext: string;
    readonly step: (n: number, of: number) => string;
    readonly then: string;
    readonly theEnd: string;
    readonly done: string;
    readonly doneHow: string;
    readonly tick: string;
    readonly ticked: string;
    readonly tickWaits: string;
    readonly tooOften: (most: number, from: string) => string;
    readonly log: string;
    readonly logHow: string;
    readonly days: readonly [string, string, string, string, string, string, string];
    readonly week: (n: number) => string;
    readonly from: (house: string, name: string) => string;
    readonly validUntil: (date: string) => string;
    readonly caution: string;
    readonly lostTitle: string;
    readonly lost: string;
    readonly ended: string;
    readonly doneThisWeek: (n: number, most: number) => string;
    readonly sound: string;
    readonly silent: string;
    readonly all: string;
    readonly page: (n: number, of: number) => string;
    /** As it is told at an earlier line. */
    readonly asAt: (line: number) => string;
  };
}
