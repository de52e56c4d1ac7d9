import type { ClientId } from '../../core/ids';
import { anatomy } from '../../catalogue/anatomy';
import { oilBook } from '../../catalogue/oils/oils';
import { screeningBook, vocabulary } from '../../catalogue/screening/screening';
import type { ObservationValue } from '../../contracts/measures';
import type { OilClientView, OilScope } from '../../contracts/oil-views';
import { nameOf } from '../../core/anatomy/place';
import { avoidedGroups, oilClientOf, oilWork } from '../../core/oils/judged-client';
import { noSmellConditions } from '../../core/oils/smell';
import { skinSurfaceM2 } from '../../core/room/medium';
import type { Screening } from '../../core/screening/screen';
import { rankOf } from '../../core/screening/tables';
import { ageOn } from '../../core/visit/words';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import { listFindings, type StoredFinding } from '../screening/findings.repository';
import { listObservationsOfClient } from '../measures/measures.repository';
import { listTapingsOfClient } from '../measures/tapings.repository';
import { oilGroupLabel, placeNames } from '../screening/describe-finding';
import { isoDay } from '../shared/house-clock';
import { oilTouches } from '../../core/room/oil-touches';
import { readPatch } from './patch-tests';
import { readHouseLibrary } from '../library/read-library';
import { screeningCaseOf } from '../visits/visit-case';
import type { VisitRecord } from '../visits/visit-record';
import { type ScreeningCase, screenCase } from '../screening/screen-visit';
import { likesColumn } from '../clients/clients.documents';
import { contextColumn } from '../measures/measures.documents';
import { oilsAnswers } from './oils.answers';

const everything = [...screeningBook.qualifications].map(({ id }) => id);

/** What somebody may do with oils, by training. */
export function oilScopeOf(qualifications: readonly string[]): OilScope {
  const isClinical = qualifications.includes('aromatherapy-clinical');
  return {
    mayBlend: isClinical,
    mayLayer: isClinical,
    why: isClinical ? '' : oilsAnswers.ownBlendsAndLayeredDropsAre,
  };
}

/** The work that oil is mixed for: its kinds, and the skin that the oil will touch. */
export interface OilWork {
  readonly case: ScreeningCase;
  readonly modalities: readonly string[];
  readonly touches: OilTouches;
}

/** Regions that oil of the visit touches; `face`: the oil of the body comes there too. */
export interface OilTouches {
  readonly regions: ReadonlySet<string>;
  readonly bodyTouchesFace: boolean;
}

/** The oil work of a visit, from what it holds. */
export async function oilWorkOf(db: Db, visit: VisitRecord): Promise<OilWork> {
  const library = await readHouseLibrary(db);
  return {
    case: screeningCaseOf(visit),
    modalities: visit.modalities,
    touches: oilTouches(anatomy, library, visit.holds?.choices ?? []),
  };
}

/** All of a client that decides about oils, screened for the day. @returns undefined when there is no such client */
export async function readOilClient(
  db: Db,
  clientId: ClientId,
  now: Date,
  of?: OilWork,
): Promise<OilClientView | undefined> {
  const row = await findClient(db, clientId);
  if (!row) return undefined;
  const today = isoDay(now.toISOString());
  const findings = of?.case.findings ?? (await listFindings(db, clientId));
  const screened = screenCase(
    {
      ...(of?.case ?? { visitDate: today, age: ageOn(row.born_on, today), findings, flagged: [], overrides: [] }),
      // What the body allows; what the therapist may do is the scope.
      qualifications: everything,
    },
    [...new Set([...oilWork, ...(of?.modalities ?? [])])],
  );
  const client = oilClientOf(
    screeningBook,
    vocabulary.oilGroups,
    { age: of?.case.age ?? ageOn(row.born_on, today), conditions: findings.map(({ id }) => id) },
    screened,
    of && { modalities: of.modalities, ...of.touches },
  );
  const likes = likesColumn.read(row.likes_json);
  const [patch, body] = await Promise.all([readPatch(db, clientId, now), findBodyFacts(db, clientId)]);
  return {
    id: row.id,
    name: row.name,
    initials: row.name
      .split(/\s+/)
      .map((part) => `${part.charAt(0)}.`)
      .join(' '),
    client,
    unscentedWhy: whyUnscented(screened) || unscentedSkin(screened, of),
    unscentedPlaces: unscentedPlaces(screened),
    needsPatchTest: screened.byModality.some(({ limits }) => limits.patchTest === true && !isLayering(limits)),
    patch,
    about: [
      ...client.conditions.map((id) => oilBook.conditions.get(id) ?? id),
      ...avoidedGroups(screened).map((id) => `no ${oilGroupLabel(id)}`),
    ],
    likes: likes.scentsLiked,
    dislikes: likes.scentsDisliked,
    ...body,
  };
}

const isLayering = ({ skipTechniques = [] }: { readonly skipTechniques?: readonly string[] }) =>
  skipTechniques.includes('undiluted-oil');

/** Why nothing scented at all: aromatherapy is not given, or everything has to be unscented. */
function whyUnscented(screened: Screening): string {
  const aroma = screened.byModality.find(({ modality }) => modality === 'aromatherapy');
  const reason = aroma?.reasons.find(({ decision, local }) => !local && rankOf(decision) >= rankOf('clear-first'));
  if (aroma && rankOf(aroma.decision) >= rankOf('clear-first'))
    return reason?.text ?? oilsAnswers.aromatherapyIsNotGivenToday;
  const unscented = screened.byModality.find(({ limits }) => limits.noScent === true);
  return unscented ? (unscented.reasons[0]?.text ?? oilsAnswers.unscentedOnly) : '';
}

/** Skin that the oil of the visit touches, and that takes no scent: one bottle serves all of it. */
function unscentedSkin(screened: Screening, of: OilWork | undefined): string {
  if (!of) return '';
  const kinds = new Set([...of.modalities, 'aromatherapy']);
  const rows = screened.regions.filter(
    ({ modality, region, decision, limits }) =>
      kinds.has(modality) &&
      of.touches.regions.has(nameOf(region)) &&
      limits.noScent === true &&
      rankOf(decision) < rankOf('clear-first'),
  );
  const [first] = rows;
  const why = first?.reasons[0]?.text ?? '';
  return first
    ? oilsAnswers.theOilAlsoTouches(placeNames([...new Set(rows.map(({ region }) => region))]), why).trim()
    : '';
}

/** Places where screening has no scented oil, such as a swollen limb or irradiated skin. */
function unscentedPlaces(screened: Screening): string {
  const regions = screened.regions
    .filter(
      ({ modality, decision, limits }) =>
        modality === 'aromatherapy' && (rankOf(decision) >= rankOf('clear-first') || limits.noScent === true),
    )
    .map(({ region }) => region);
  return regions.length > 0 ? placeNames(regions) : '';
}

/** Whether scents are not even to be smelled. */
export const mayNotSmell = (findings: readonly StoredFinding[]): boolean =>
  findings.some(({ id }) => (noSmellConditions as readonly string[]).includes(id));

/** Surface of the skin from height and the last weight, and the kind of skin as it was last seen. */
export async function findBodyFacts(
  db: Db,
  clientId: ClientId,
): Promise<Pick<OilClientView, 'surfaceM2' | 'skinType'>> {
  const [row, observations, tapings] = await Promise.all([
    findClient(db, clientId),
    listObservationsOfClient(db, clientId),
    listTapingsOfClient(db, clientId),
  ]);
  const heightCm = row?.height_cm ?? null;
  const weighed = observations.findLast(({ kind }) => kind === 'weight');
  const taped = tapings
    .map(({ context_json }) => contextColumn.read(context_json).weightKg)
    .findLast((kg) => kg !== null);
  const weightKg = weighed?.kind === 'weight' ? weighed.value.weightKg : (taped ?? null);
  const skin = observations.findLast(({ kind }) => kind === 'skin');
  return {
    surfaceM2: heightCm !== null && weightKg !== null ? skinSurfaceM2(heightCm, weightKg) : null,
    skinType: skin?.kind === 'skin' ? skinTypeOf(skin.value) : null,
  };
}

/** Oily and dry as the record grades them, 0–4. */
function skinTypeOf({ oil, hydration }: ObservationValue<'skin'>): string | null {
  if (oil === null && hydration === null) return null;
  if (oil !== null && oil >= 3) return 'oily';
  return hydration !== null && hydration <= 1 ? 'dry' : 'normal';
}
