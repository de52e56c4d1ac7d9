import { type Anatomy, getTerritory, limbOf, type PlaceId } from '../anatomy/place';
import { type Decision, worseOf } from '../screening/tables';
import type { ReadCase } from './case';
import type { Fitted } from './fitted';
import type { PlanRuleId } from './rules';
import { screenedDecision } from './screened';
import type { Survey } from './survey';
import { list } from './wording';
import { shortLabel, theLabel } from '../anatomy/place-labels';
import { drainageSays } from './drainage.says';

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
      ? [{ rule: 'natural', text: drainageSays.allGroupsOnTheNaturalWays }]
      : [];
  return { decision: worseOf(own, screened?.decision ?? 'ok'), reasons: [...asked, ...refer, ...modify, ...natural] };
}

function referReasons(anatomy: Anatomy, read: ReadCase, survey: Survey): Reason[] {
  const reasons: Reason[] = [];
  const certified = read.qualifications.includes('lymphoedema-certified');
  if (survey.stranded.length > 0) {
    reasons.push({
      rule: 'no-exit',
      text: drainageSays.nothingCanBeLedFromEvery(list(names(anatomy, survey.stranded))),
    });
  }
  if (survey.rerouted.size > 0 && !certified) {
    reasons.push({
      rule: 'qualification',
      text: drainageSays.leadingFluidRoundClosedNodesOr,
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
      text: drainageSays.bothLegsSwollenAfterCancerOnly,
    });
  }
  return reasons;
}

function modifyReasons(anatomy: Anatomy, read: ReadCase, survey: Survey): Reason[] {
  const { hindrances } = read;
  const reasons: Reason[] = [];
  const causes = {
    removed: drainageSays.nodesRemoved,
    irradiated: 'Irradiated',
    wound: drainageSays.openWound,
  } as const;
  for (const [id, cause] of hindrances.blocked) {
    reasons.push({
      rule: 'no-blocked-target',
      text: drainageSays.noStrokeGoesTo(causes[cause], theLabel(anatomy, id)),
    });
  }
  const tender = [...hindrances.surcharge.keys()].filter(
    (id) => anatomy.basins.has(id) && !hindrances.blocked.has(id) && !hindrances.ports.has(id),
  );
  if (tender.length > 0) {
    reasons.push({
      rule: 'nodes-tender',
      text: drainageSays.someNodesNearAreGoneThat(list(tender.map((id) => theLabel(anatomy, id)))),
    });
  }
  const wounds = [...hindrances.closed].filter((id) => !hindrances.keptOff.has(id));
  if (hindrances.keptOff.size > 0) {
    reasons.push({
      rule: 'kept-off',
      text: drainageSays.keptOffAtNotTouchedNothing(list(names(anatomy, [...hindrances.keptOff]))),
    });
  }
  if (wounds.length > 0) {
    reasons.push({
      rule: 'closed-wound-only',
      text: drainageSays.openSkinAtNotTouchedNothing(list(names(anatomy, wounds))),
    });
  }
  if (hindrances.scarred.size > 0)
    reasons.push({ rule: 'no-scar-crossing', text: drainageSays.noWayOutCrossesTheScar });
  const skin = [...hindrances.irradiated].filter((id) => anatomy.territories.has(id));
  if (skin.length > 0)
    reasons.push({ rule: 'feather-on-irradiated', text: drainageSays.featherLightOn(list(names(anatomy, skin))) });
  if (hindrances.ports.size > 0) {
    reasons.push({
      rule: 'around-port',
      text: drainageSays.aHandsWidthAwayFromThe(list(names(anatomy, [...hindrances.ports]))),
    });
  }
  const thick = [...hindrances.thickened].filter((id) => survey.routes.has(id));
  if (thick.length > 0)
    reasons.push({ rule: 'soften-thickened', text: drainageSays.softenFirst(list(names(anatomy, thick))) });
  if (survey.rerouted.size > 0 && hindrances.blocked.size === 0) {
    reasons.push({ rule: 'no-scar-crossing', text: drainageSays.theNaturalWayIsCutSo });
  }
  if (hindrances.cancerHistory) {
    reasons.push({
      rule: 'cancer-history',
      text: drainageSays.afterCancerFeatherToLightOnly,
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
      text: drainageSays.shortByEvenWithTheFewest(
        minutes,
        minutes === 1 ? 'minute' : 'minutes',
        list(names(anatomy, fitted.leftOut)),
      ),
    });
  }
  if (fitted.withoutSecondExit) reasons.push({ rule: 'time', text: drainageSays.onlyTheNearestWayOutIs });
  if (fitted.withoutReturn) reasons.push({ rule: 'time', text: drainageSays.theReturnPassIsLeftOut });
  if (fitted.isShortened) reasons.push({ rule: 'time', text: drainageSays.repetitionsAreFewerThanUsualSo });
  return reasons;
}

function names(anatomy: Anatomy, ids: readonly PlaceId[]): readonly string[] {
  const shown = ids.slice(0, 8).map((id) => drainageSays.the(shortLabel(anatomy, id)));
  return ids.length > 8 ? [...shown, drainageSays.morePlaces(ids.length - 8)] : shown;
}
