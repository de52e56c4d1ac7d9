import { facialModalities } from '../library/protocol';
import type { Purpose } from '../drainage/case';
import type { Limits } from '../screening/tables';

/** What a client may be told to mind after a visit, in the order in which it is read. */
export const aftercareIds = [
  'oil-stays',
  'oil-off',
  'no-sun',
  'oil-eyes',
  'rest',
  'water',
  'get-up-slowly',
  'garment',
  'no-heat',
  'no-sport',
  'skin-alone',
  'flush-normal',
  'mouth-tender',
  'neck-easy',
  'normal',
  'not-normal',
  'call',
] as const;
export type AftercareId = (typeof aftercareIds)[number];

/** What was done, as far as it decides what to mind. */
export interface AftercareFacts {
  /** Kinds of work that were really given. */
  readonly modalities: readonly string[];
  readonly purpose: Purpose;
  /** A limb or a side is swollen, or at risk of it. */
  readonly isAtRisk: boolean;
  /** Oil on the body: how it is to be left; null where none was used. */
  readonly oil: { readonly staysOn: boolean; readonly hoursOutOfSun: number } | null;
  readonly reddened: boolean;
  /** What binds this client, whatever was done. */
  readonly limits?: Pick<Limits, 'noHeat' | 'slowRise'> | undefined;
}

const warm = ['hot-stone', 'aromatherapy', 'body-massage'];

/** What to mind, chosen by what was done; what is normal, what is not and whom to call are always said. */
export function aftercareFor(facts: AftercareFacts): readonly AftercareId[] {
  const { modalities, purpose, isAtRisk, oil, reddened, limits } = facts;
  const has = (...ids: readonly string[]) => ids.some((id) => modalities.includes(id));
  const chosen = new Set<AftercareId>(['rest', 'water', 'normal', 'not-normal', 'call']);
  if (oil) {
    chosen.add(oil.staysOn ? 'oil-stays' : 'oil-off');
    chosen.add('oil-eyes');
    if (oil.hoursOutOfSun > 0) chosen.add('no-sun');
  }
  if (has(...warm, 'lymph-drainage', 'scalp-ritual')) chosen.add('get-up-slowly');
  if (isAtRisk || purpose === 'swelling' || purpose === 'after-procedure') {
    chosen.add('garment');
    chosen.add('no-heat');
  }
  if (has('hot-stone') || limits?.noHeat) chosen.add('no-heat');
  if (limits?.slowRise) chosen.add('get-up-slowly');
  if (has('lymph-drainage', 'hot-stone', 'body-massage', 'aromatherapy')) chosen.add('no-sport');
  if (modalities.some((modality) => facialModalities.has(modality)) || reddened) chosen.add('skin-alone');
  if (has('facial-scraping-tool', 'dry-brush') || reddened) chosen.add('flush-normal');
  if (has('facial-intraoral')) chosen.add('mouth-tender');
  if (has('neck-mobilisation')) chosen.add('neck-easy');
  return aftercareIds.filter((id) => chosen.has(id));
}
