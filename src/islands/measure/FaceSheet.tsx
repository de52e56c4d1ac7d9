import { measureWords } from './measure.words';
import { eyelidGrades, eyelids, faceDistances, neckGirths } from '../../catalogue/swelling/scales.data';
import type { ObservationValue } from '../../contracts/measures';
import { asymmetryBand, faceChange, faceComposite } from '../../core/swelling/face';
import { formatNumber, formatSigned, fromCm, type LengthUnit } from '../../core/units';
import { Select } from '../../ui/field/Field';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { Choice } from '../../ui/choice/Choice';
import { Frame } from './Frame';
import { ObservationLine } from './ObservationLine';
import styles from './FaceSheet.module.css';
import { LengthCell } from './LengthCell';
import type { SheetProps } from './sheet';
import { NumberField } from './TapeSetUp';

type Face = ObservationValue<'face'>;
const blank: Face = {
  rightCm: faceDistances.map(() => null),
  leftCm: faceDistances.map(() => null),
  neckCm: neckGirths.map(() => null),
  eyelids: {},
};
const turns = [
  ['flexion', measureWords.chinToChest],
  ['extension', measureWords.lookUp],
  ['turnLeft', measureWords.turnLeft],
  ['turnRight', measureWords.turnRight],
  ['bendLeft', measureWords.earToLeftShoulder],
  ['bendRight', measureWords.earToRightShoulder],
] as const;
const stillNeck: ObservationValue<'neck-range'> = {
  flexion: null,
  extension: null,
  turnLeft: null,
  turnRight: null,
  bendLeft: null,
  bendRight: null,
  chin: null,
  bones: null,
  following: null,
};
const feltWords = {
  left: measureWords.feltLeft,
  mid: measureWords.feltMid,
  right: measureWords.feltRight,
  even: measureWords.feltEven,
  freely: measureWords.followsFreely,
  held: measureWords.followsHeld,
  not: measureWords.followsNot,
} as const;
const felt = [
  ['chin', measureWords.chinAtRest, ['left', 'mid', 'right']],
  ['bones', measureWords.bonesStandOut, ['left', 'even', 'right']],
  ['following', measureWords.headFollows, ['freely', 'held', 'not']],
] as const;

/** Seven distances on each side of the face, three girths of the neck, lids, and how far the neck moves. */
export default function FaceSheet({ view, phase, head, onward, observations }: SheetProps) {
  const { today, lastTime, save } = observations;
  const unit: LengthUnit = view.house.unit;
  const face = today('face')?.value ?? blank;
  const last = phase === 'after' ? beforeOf(observations) : lastTime('face')?.value;
  const range = today('neck-range')?.value ?? stillNeck;
  const lastRange = lastTime('neck-range')?.value;
  const lastMouth = lastTime('mouth')?.value.openingMm;
  const set = (key: 'rightCm' | 'leftCm' | 'neckCm', i: number, cm: number | null) =>
    save('face', null, { ...face, [key]: face[key].map((old, k) => (k === i ? cm : old)) });
  const shown = (cm: number | null | undefined) =>
    cm == null ? '' : formatNumber(fromCm(cm, unit), unit === 'in' ? 2 : 1);
  const cell = (key: 'rightCm' | 'leftCm' | 'neckCm', i: number, label: string) => (
    <LengthCell
      label={label}
      valueCm={face[key][i] ?? null}
      unit={unit}
      leastCm={key === 'neckCm' ? 25 : 5}
      mostCm={key === 'neckCm' ? 70 : 25}
      lastCm={last?.[key][i]}
      onValue={(cm) => set(key, i, cm)}
    />
  );
  return (
    <Frame
      hasPad
      bodyLabel={measureWords.faceAndNeck}
      body={
        <BodyPanel
          label={measureWords.faceAndNeck}
          initial={{ view: 'face-front', side: 'left' }}
          sheets={['face', 'body']}
        />
      }
      main={
        <>
          {head}
          <p className={styles['soft']}>{measureWords.uprightLookingAheadTeethLightly}</p>
          <table className={styles['face']}>
            <thead>
              <tr>
                <th scope="col">{measureWords.in(unit)}</th>
                <th scope="col">{measureWords.right}</th>
                <th scope="col">{measureWords.last}</th>
                <th scope="col">{measureWords.left}</th>
                <th scope="col">{measureWords.last}</th>
                <th scope="col">{measureWords.rightLeft}</th>
              </tr>
            </thead>
            <tbody>
              {faceDistances.map(({ id, label }, i) => {
                const [right, left] = [face.rightCm[i] ?? null, face.leftCm[i] ?? null];
                return (
                  <tr key={id}>
                    <th scope="row">{label}</th>
                    <td>{cell('rightCm', i, measureWords.right2(label))}</td>
                    <td className={styles['last']}>{shown(last?.rightCm[i])}</td>
                    <td>{cell('leftCm', i, measureWords.left2(label))}</td>
                    <td className={styles['last']}>{shown(last?.leftCm[i])}</td>
                    <td className={styles['between']}>
                      {right === null || left === null ? '' : formatSigned(fromCm(right - left, unit), 1)}
                    </td>
                  </tr>
                );
              })}
              {neckGirths.map(({ id, label }, i) => (
                <tr key={id}>
                  <th scope="row">{measureWords.neck(label)}</th>
                  <td>{cell('neckCm', i, measureWords.neck(label))}</td>
                  <td className={styles['last']}>{shown(last?.neckCm[i])}</td>
                  <td colSpan={3} />
                </tr>
              ))}
            </tbody>
          </table>
          <h3 className={styles['heading']}>{measureWords.eyelids}</h3>
          {eyelids.map(({ id, label }) => (
            <Choice
              key={id}
              label={label}
              options={eyelidGrades.map((text, i) => ({ value: String(i), text: i === 0 ? measureWords.none : text }))}
              value={face.eyelids[id] === undefined ? null : String(face.eyelids[id])}
              onChange={(value) => save('face', null, { ...face, eyelids: { ...face.eyelids, [id]: Number(value) } })}
            />
          ))}
          <h3 className={styles['heading']}>
            {measureWords.howFarTheNeckMovesDegrees}
            {phase === 'after' ? measureWords.after : ''}
          </h3>
          <div className={styles['turns']}>
            {turns.map(([key, label]) => (
              <NumberField
                key={key}
                label={label}
                value={range[key]}
                last={lastRange?.[key]}
                least={0}
                most={120}
                note={lastRange?.[key] == null ? undefined : measureWords.last2(lastRange[key])}
                onValue={(value) => save('neck-range', null, { ...range, [key]: value })}
              />
            ))}
          </div>
          <div className={styles['felt']}>
            {felt.map(([key, label, values]) => (
              <Select
                key={key}
                label={label}
                value={range[key] ?? ''}
                onChange={({ target }) =>
                  save('neck-range', null, {
                    ...range,
                    [key]: values.find((value) => value === target.value) ?? null,
                  })
                }
              >
                <option value="">{measureWords.notLookedAt}</option>
                {values.map((value) => (
                  <option key={value} value={value}>
                    {feltWords[value]}
                  </option>
                ))}
              </Select>
            ))}
          </div>
          <h3 className={styles['heading']}>{measureWords.mouth}</h3>
          <div className={styles['turns']}>
            <NumberField
              label={measureWords.mouthOpensMm}
              value={today('mouth')?.value.openingMm ?? null}
              last={lastMouth}
              least={5}
              most={90}
              note={lastMouth == null ? undefined : measureWords.lastMm(lastMouth)}
              onValue={(openingMm) => save('mouth', null, { openingMm })}
            />
          </div>
        </>
      }
      asideLabel={measureWords.whatTheTapeSaysOfThe}
      aside={<Verdict face={face} last={last} range={range} unit={unit} isAfter={phase === 'after'} />}
      foot={
        <>
          <span>{measureWords.enterGoesOnToTheNext2}</span>
          <ObservationLine observations={observations} />
          {onward}
        </>
      }
    />
  );
}

const beforeOf = (observations: SheetProps['observations']): Face | undefined =>
  observations.list.find((one) => one.kind === 'face' && one.phase === 'before')?.value as Face | undefined;

interface VerdictProps {
  readonly face: Face;
  readonly last: Face | undefined;
  readonly range: ObservationValue<'neck-range'>;
  readonly unit: LengthUnit;
  readonly isAfter: boolean;
}

function Verdict({ face, last, range, unit, isAfter }: VerdictProps) {
  const composite = faceComposite(face);
  const change = last && faceChange(last, face);
  const taken = face.rightCm.filter((cm, i) => cm !== null && face.leftCm[i] != null).length;
  const turnDifference = range.turnLeft === null || range.turnRight === null ? null : range.turnLeft - range.turnRight;
  const text = (cm: number) => `${formatNumber(fromCm(cm, unit), 1)} ${unit}`;
  return (
    <>
      <h2>{measureWords.leftAndRight}</h2>
      {composite ? (
        <>
          <div className={styles['figures']}>
            <div>
              <strong>{formatNumber(composite.asymmetryIndex, 1)} %</strong>
              <span>{measureWords.sidesDiffer(asymmetryBand(composite.asymmetryIndex))}</span>
            </div>
            <div>
              <strong>{text(composite.faceCm)}</strong>
              <span>{measureWords.faceAllDistances}</span>
            </div>
            {change && (
              <div>
                <strong>{formatSigned(change.percent, 1)} %</strong>
                <span>{isAfter ? measureWords.inThisVisit : measureWords.sinceLastTime}</span>
              </div>
            )}
          </div>
          <p className={styles['verdict']}>
            {Math.abs(composite.signedAsymmetry) < 0.05
              ? measureWords.neitherSideIsLarger
              : measureWords.theSideIsLargerByOn(
                  composite.signedAsymmetry > 0 ? 'right' : 'left',
                  formatNumber(Math.abs(composite.signedAsymmetry), 1),
                )}{' '}
            {change &&
              (change.isReal
                ? measureWords.theChangeIsBeyondMeasuringError
                : measureWords.theChangeIsWithinMeasuringError)}
            {composite.neckCm !== null &&
              measureWords.neckTogether(text(composite.neckCm), text(composite.totalCm ?? 0))}
          </p>
        </>
      ) : (
        <p className={styles['soft']}>{measureWords.ofAtLeastFiveDistancesAre(taken)}</p>
      )}
      {turnDifference !== null && (
        <p className={styles['soft']}>
          {turnDifference === 0
            ? measureWords.theNeckTurnsAsFarTo
            : measureWords.theNeckTurnsLessToThe(Math.abs(turnDifference), turnDifference > 0 ? 'right' : 'left')}
        </p>
      )}
      <p className={styles['soft']}>{measureWords.lidsArePuffiestOnWakingNote}</p>
    </>
  );
}
