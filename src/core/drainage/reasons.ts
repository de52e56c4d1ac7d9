import { type Anatomy, getTerritory, limbOf, type PlaceId } from '../anatomy/place';
import { type Decision, worseOf } from '../screening/tables';
import type { ReadCase } from './case';
import type { Fitted } from './fitted';
import type { PlanRuleId } from './rules';
import { screenedDecision } from './screened';
import type { Survey } from './survey';
import { list } from './wording';
import { shortLabel, theLabel } from '../anatomy/place-labels';

export interface Reason {
  readonly rule: PlanRuleId;
  readonly text: string;
}

/** The decision of a plan, worst first, and every reason for it. */
export function decide(
  anatomy: Anatomy,
  read: ReadCase,
  survey: Survey,
): { readonly decision: Decision; readonly reasons: readonly Reason[] } {
  const refer = referReasons(anatomy, read, survey);
  const modify = modifyReasons(anatomy, read, survey);
  const own: Decision = refer.length > 0 ? 'refer' : modify.length > 0 ? 'modify' : 'ok';
  const screened = screenedDecision(read.screened, survey.rerouted.size > 0);
  const asked = (screened?.reasons ?? []).map((text): Reason => ({ rule: 'screening', text }));
  const natural: Reason[] =
    survey.rerouted.size === 0 && survey.routes.size > 0
      ? [{ rule: 'natural', text: 'All groups on the natural ways are open: fluid goes the way it always goes.' }]
      : [];
  return { decision: worseOf(own, screened?.decision ?? 'ok'), reasons: [...asked, ...refer, ...modify, ...natural] };
}

function referReasons(anatomy: Anatomy, read: ReadCase, survey: Survey): Reason[] {
  const reasons: Reason[] = [];
  const certified = read.qualifications.includes('lymphoedema-certified');
  if (survey.stranded.length > 0) {
    reasons.push({
      rule: 'no-exit',
      text: `Nothing can be led from ${list(names(anatomy, survey.stranded))}: every way out is closed or too far. A physician has to look first.`,
    });
  }
  if (survey.rerouted.size > 0 && !certified) {
    reasons.push({
      rule: 'qualification',
      text: 'Leading fluid round closed nodes or skin needs the lymphoedema qualification. The plan is shown, but not to be carried out: hand over to a certified colleague.',
    });
  }
  const legs = new Set(
    read.territories
      .map((id) => getTerritory(anatomy, id))
      .filter(({ part }) => part === 'leg')
      .map(limbOf),
  );
  if (legs.size === 2 && read.purpose !== 'wellness' && read.hindrances.cancerHistory && !certified) {
    reasons.push({
      rule: 'cancer-history',
      text: 'Both legs swollen after cancer: only with the lymphoedema qualification, and once a physician has named the cause.',
    });
  }
  return reasons;
}

function modifyReasons(anatomy: Anatomy, read: ReadCase, survey: Survey): Reason[] {
  const { hindrances } = read;
  const reasons: Reason[] = [];
  const causes = { removed: 'Nodes removed', irradiated: 'Irradiated', wound: 'Open wound' } as const;
  for (const [id, cause] of hindrances.blocked) {
    reasons.push({ rule: 'no-blocked-target', text: `${causes[cause]}: no stroke goes to ${theLabel(anatomy, id)}.` });
  }
  const tender = [...hindrances.surcharge.keys()].filter(
    (id) => anatomy.basins.has(id) && !hindrances.blocked.has(id) && !hindrances.ports.has(id),
  );
  if (tender.length > 0) {
    reasons.push({
      rule: 'nodes-tender',
      text: `Some nodes near ${list(tender.map((id) => theLabel(anatomy, id)))} are gone: that way counts as longer.`,
    });
  }
  const wounds = [...hindrances.closed].filter((id) => !hindrances.keptOff.has(id));
  if (hindrances.keptOff.size > 0) {
    reasons.push({
      rule: 'kept-off',
      text: `Kept off at ${list(names(anatomy, [...hindrances.keptOff]))}: not touched, nothing led across it.`,
    });
  }
  if (wounds.length > 0) {
    reasons.push({
      rule: 'closed-wound-only',
      text: `Open skin at ${list(names(anatomy, wounds))}: not touched, nothing led across it.`,
    });
  }
  if (hindrances.scarred.size > 0) reasons.push({ rule: 'no-scar-crossing', text: 'No way out crosses the scar.' });
  const skin = [...hindrances.irradiated].filter((id) => anatomy.territories.has(id));
  if (skin.length > 0)
    reasons.push({ rule: 'feather-on-irradiated', text: `Feather light on ${list(names(anatomy, skin))}.` });
  if (hindrances.ports.size > 0) {
    reasons.push({
      rule: 'around-port',
      text: `A hand’s width away from the port at ${list(names(anatomy, [...hindrances.ports]))}.`,
    });
  }
  const thick = [...hindrances.thickened].filter((id) => survey.routes.has(id));
  if (thick.length > 0)
    reasons.push({ rule: 'soften-thickened', text: `Soften ${list(names(anatomy, thick))} first.` });
  if (survey.rerouted.size > 0 && hindrances.blocked.size === 0) {
    reasons.push({ rule: 'no-scar-crossing', text: 'The natural way is cut, so fluid is led round it.' });
  }
  if (hindrances.cancerHistory) {
    reasons.push({
      rule: 'cancer-history',
      text: 'After cancer: feather to light only, and stop for anything new on the skin.',
    });
  }
  return reasons;
}

/** What the clock has cost, most important first. */
export function timeReasons(anatomy: Anatomy, fitted: Fitted): readonly Reason[] {
  const reasons: Reason[] = [];
  if (fitted.shortBySeconds > 0) {
    const minutes = Math.ceil(fitted.shortBySeconds / 60);
    reasons.push({
      rule: 'time',
      text: `Short by ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} even with the fewest repetitions. For another visit: ${list(names(anatomy, fitted.leftOut))}.`,
    });
  }
  if (fitted.withoutSecondExit) reasons.push({ rule: 'time', text: 'Only the nearest way out is used, to save time.' });
  if (fitted.withoutReturn) reasons.push({ rule: 'time', text: 'The return pass is left out, to save time.' });
  if (fitted.isShortened)
    reasons.push({ rule: 'time', text: 'Repetitions are fewer than usual, so that everything fits.' });
  return reasons;
}

function names(anatomy: Anatomy, ids: readonly PlaceId[]): readonly string[] {
  const shown = ids.slice(0, 8).map((id) => `the ${shortLabel(anatomy, id)}`);
  return ids.length > 8 ? [...shown, `${ids.length - 8} more places`] : shown;
}
