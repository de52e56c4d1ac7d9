import type { VisitId } from '../../core/ids';
import type { ObservationView } from '../../contracts/measure-views';
import type { SeenTable } from '../../contracts/progress-views';
import { faceComposite } from '../../core/swelling/face';
import { impedanceRatio } from '../../core/swelling/impedance';
import { formatNumber, formatSigned } from '../../core/units';
import { shortDay } from '../shared/house-clock';
import { measuresAnswers } from './measures.answers';

type Seen<K extends ObservationView['kind']> = Extract<ObservationView, { readonly kind: K }>['value'];

interface Column {
  readonly name: string;
  /** What the column says of those of its kind; of several places the one with the largest, or else what was written down last. */
  readonly told: (here: readonly ObservationView[]) => string | null;
}

function column<K extends ObservationView['kind']>(
  name: string,
  kind: K,
  tell: (value: Seen<K>) => string | null,
  size?: (value: Seen<K>) => number,
): Column {
  return {
    name,
    told: (here) => {
      const values = here.filter((one) => one.kind === kind).map(({ value }) => value as Seen<K>);
      const ordered = size ? values.toSorted((a, b) => size(a) - size(b)) : values;
      return ordered.flatMap((value) => tell(value) ?? []).at(-1) ?? null;
    },
  };
}

const degrees = (value: number | null) => (value === null ? '–' : `${value}°`);
const pair = (left: number | null, right: number | null) =>
  left === null && right === null ? null : `${degrees(left)} / ${degrees(right)}`;
const whole = (value: number | null) => (value === null ? null : String(value));

const columns = [
  column('heavy', 'scores', ({ heaviness }) => whole(heaviness)),
  column('tight', 'scores', ({ tightness }) => whole(tightness)),
  column('pain', 'scores', ({ pain }) => whole(pain)),
  column(measuresAnswers.stageAsObserved, 'stage', ({ stage }) => stage),
  column(measuresAnswers.skinFold, 'skin-fold', ({ site, sign }) => `${site} ${sign}`),
  column(
    measuresAnswers.pitMm,
    'pitting',
    ({ depthMm }) => formatNumber(depthMm, Number.isInteger(depthMm) ? 0 : 1),
    ({ depthMm }) => depthMm,
  ),
  column(
    measuresAnswers.warmerByC,
    'temperature',
    ({ hereC, mirrorC }) => formatSigned(hereC - mirrorC, 1),
    ({ hereC, mirrorC }) => Math.abs(hereC - mirrorC),
  ),
  column(measuresAnswers.faceCm, 'face', (face) => inCm(faceComposite(face)?.faceCm)),
  column(measuresAnswers.rightOverLeft, 'face', (face) => {
    const composite = faceComposite(face);
    return composite ? formatSigned(composite.signedAsymmetry, 1) : null;
  }),
  column(measuresAnswers.neckCm, 'face', (face) => inCm(faceComposite(face)?.neckCm)),
  column(measuresAnswers.neckBendsForwardBack, 'neck-range', (neck) => pair(neck.flexion, neck.extension)),
  column(measuresAnswers.neckTurnsLeftRight, 'neck-range', (neck) => pair(neck.turnLeft, neck.turnRight)),
  column(measuresAnswers.neckTiltsLeftRight, 'neck-range', (neck) => pair(neck.bendLeft, neck.bendRight)),
  column(measuresAnswers.chinAtRest, 'neck-range', (neck) => neck.chin),
  column(measuresAnswers.neckBonesStandOut, 'neck-range', (neck) => neck.bones),
  column(measuresAnswers.headFollows, 'neck-range', (neck) => neck.following),
  column(measuresAnswers.mouthOpensMm, 'mouth', ({ openingMm }) => whole(openingMm)),
  column(measuresAnswers.navelCm, 'abdomen', ({ girths }) =>
    inCm(girths.find(({ heightCm }) => heightCm === 0)?.girthCm),
  ),
  column(measuresAnswers.impedanceRatio, 'impedance', (reading) =>
    formatNumber(impedanceRatio({ ...reading, affectedIsDominant: null }).ratio, 3),
  ),
  column(measuresAnswers.weightKg, 'weight', ({ weightKg }) => formatNumber(weightKg, 1)),
];

function inCm(length: number | null | undefined): string | null {
  return length === null || length === undefined ? null : formatNumber(length, 1);
}

/**
 * What was felt, seen and asked before the work, visit by visit, the newest first; of several places the strongest is
 * told. Columns and visits without anything are left out.
 * @param visits the newest first
 */
export function seenTable(
  visits: readonly { readonly id: VisitId; readonly starts_at: string }[],
  observations: readonly ObservationView[],
): SeenTable {
  const before = new Map<VisitId | null, ObservationView[]>();
  for (const one of observations) {
    if (one.phase !== 'before') continue;
    const here = before.get(one.visitId);
    if (here) here.push(one);
    else before.set(one.visitId, [one]);
  }
  const rows = visits.flatMap(({ id, starts_at }) => {
    const here = before.get(id);
    return here ? [{ visitId: id, day: shortDay(starts_at), cells: columns.map(({ told }) => told(here)) }] : [];
  });
  const used = columns.map((_, i) => rows.some(({ cells }) => cells[i] != null));
  return {
    columns: columns.filter((_, i) => used[i]).map(({ name }) => name),
    rows: rows
      .filter(({ cells }) => cells.some((cell) => cell !== null))
      .map((row) => ({ ...row, cells: row.cells.filter((_, i) => used[i]) })),
  };
}
