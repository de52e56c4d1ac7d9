import type { Celsius, Seconds } from '../core/quantities';
import { expose } from 'comlink';
import { stoneBook } from '../catalogue/stones/stones';
import type { MaterialId, SizeId, SkinId } from '../core/stones/book';
import { type Contact, contactOf, traceOf } from '../core/stones/contact';
import { glideOfStone } from '../core/stones/set';
import { restingTime } from '../core/stones/resting';

/** One stone on one client, as the bench asks about it. */
export interface BenchCase {
  readonly size: SizeId;
  readonly material: MaterialId;
  readonly thicknessMm: number;
  readonly startC: Celsius;
  readonly mode: 'still' | 'moving';
  readonly towelLayers: number;
  readonly flip: boolean;
  readonly skin: SkinId;
  readonly usefulC: Celsius;
  readonly seconds: Seconds;
  /** Of the room; as usual when left out. */
  readonly ambientC?: Celsius;
}

export interface BenchAnswer {
  readonly contact: Contact;
  /** The same stone left on bare skin, as a warning. */
  readonly bare: Contact;
  readonly resting: ReturnType<typeof restingTime>;
  readonly glideSeconds: Seconds | null;
  readonly tookMs: number;
}

const { skinC, ambientC } = stoneBook.physics;

/** Everything that the bench shows of a stone, away from the page's own thread. */
function answerFor(input: BenchCase): BenchAnswer {
  const began = performance.now();
  const contactCase = { ambientC, ...input, skinStartC: skinC };
  const whole = contactOf(stoneBook, contactCase);
  // Passes come every six seconds: the points between would miss them.
  const contact = input.mode === 'moving' ? { ...whole, curve: traceOf(stoneBook, contactCase, 1).curve } : whole;
  const bare = contactOf(stoneBook, { ...contactCase, mode: 'still', towelLayers: 0 });
  const resting = restingTime(stoneBook, contactCase);
  const { usefulSeconds } = glideOfStone(stoneBook, { ...stoneBook.sizes[input.size], ...input });
  return { contact, bare, resting, glideSeconds: usefulSeconds, tookMs: performance.now() - began };
}

const api = { answerFor };
export type StonesApi = typeof api;

expose(api);
