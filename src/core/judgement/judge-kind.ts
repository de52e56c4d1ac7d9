import { missingOf } from '../screening/scope';
import { rankOf } from '../screening/tables';
import type { HandState, Position } from '../sequencing/block';
import type { Judgement } from './judgement';
import { ruleOf } from './judge-step';
import type { JudgementReason } from './reasons';

/** Why a kind of work is not given at all to this client today; undefined when it is. */
export function judgeKindOfWork(judgement: Judgement, modality: string): JudgementReason | undefined {
  const kind = judgement.kind(modality);
  if (!kind) return undefined;
  const { answer } = kind;
  if (rankOf(answer.decision) >= rankOf('clear-first')) {
    const [worst] = answer.reasons;
    if (worst?.condition === 'scope') {
      const missing = missingOf(judgement.book.modalities.get(modality)?.requires, judgement.qualifications);
      return { kind: 'qualification', rule: 'scope', modality, missing };
    }
    return { kind: 'finding', rule: worst?.condition ?? 'screening', modality, isLocal: false };
  }
  return tooOften(judgement, modality);
}

/** The ledger decides on frequency and distance, the same day included. */
function tooOften(judgement: Judgement, modality: string): JudgementReason | undefined {
  const kind = judgement.kind(modality);
  const times = judgement.ledger.timesThisWeek.get(modality) ?? 0;
  const most = kind?.answer.limits.maxPerWeek;
  if (kind && most !== undefined && times >= most) {
    const rule = ruleOf(kind, undefined, (limits) => limits.maxPerWeek === most);
    return { kind: 'frequency', rule, modality, times, most };
  }
  for (const rule of judgement.frequencyRules) {
    if (rule.modality !== modality) continue;
    if (times >= rule.mostInSevenDays)
      return { kind: 'frequency', rule: rule.id, modality, times, most: rule.mostInSevenDays };
    const hours = judgement.ledger.hoursSince.get(modality);
    if (hours !== undefined && hours < rule.minGapHours)
      return { kind: 'gap', rule: rule.id, modality, hours: rule.minGapHours };
  }
  return undefined;
}

/** Why a block is not given as it is set up: its position, or the oil on its hands. */
export function judgeSetting(
  judgement: Judgement,
  modality: string,
  { position, hands }: { readonly position: Position; readonly hands: HandState },
): JudgementReason | undefined {
  const kind = judgement.kind(modality);
  if (!kind) return undefined;
  const { limits } = kind.answer;
  const limit = (key: 'avoidPosition' | 'noOil'): JudgementReason => ({
    kind: 'limit',
    rule: ruleOf(kind, undefined, (one) =>
      key === 'noOil' ? one.noOil === true : (one.avoidPosition?.includes(position) ?? false),
    ),
    modality,
    limit: key,
  });
  if (limits.avoidPosition?.includes(position)) return limit('avoidPosition');
  return limits.noOil && hands === 'oiled' ? limit('noOil') : undefined;
}
