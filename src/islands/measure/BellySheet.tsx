import { measureWords } from './measure.words';
import { detectableChanges } from '../../catalogue/swelling/detectable.data';
import { abdomenHeightsCm } from '../../catalogue/swelling/scales.data';
import type { ObservationValue } from '../../contracts/measures';
import { abdomenChange } from '../../core/swelling/abdomen';
import { formatNumber, formatSigned, fromCm } from '../../core/units';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { Field } from '../../ui/field/Field';
import { useState } from 'react';
import { Frame } from './Frame';
import { ObservationLine } from './ObservationLine';
import styles from './FaceSheet.module.css';
import { LengthCell } from './LengthCell';
import type { SheetProps } from './sheet';

type Belly = ObservationValue<'abdomen'>;

/** Girths of the belly at fixed heights above the floor, since the navel may move after surgery. */
export default function BellySheet({ view, head, onward, observations, client, onClient }: SheetProps) {
  const { today, lastTime, save } = observations;
  const { unit } = view.house;
  const held = today('abdomen')?.value;
  const last = lastTime('abdomen')?.value;
  const [consent, setConsent] = useState(held?.surgeonConsent ?? last?.surgeonConsent ?? '');
  const navelHeightCm = client.navelHeightCm;
  const errorCm = view.house.detectable['abdomen-girth'] ?? detectableChanges['abdomen-girth'].same;
  const keep = (change: Partial<Belly>) => {
    if (consent.trim() === '' || navelHeightCm === null) return;
    const base: Belly = held ?? {
      navelHeightCm,
      girths: [],
      hipCm: null,
      isCovered: false,
      surgeonConsent: consent.trim(),
    };
    save('abdomen', null, { ...base, navelHeightCm, surgeonConsent: consent.trim(), ...change });
  };
  const girthAt = (belly: Belly | undefined, heightCm: number) =>
    belly?.girths.find((one) => one.heightCm === heightCm)?.girthCm ?? null;
  const first = observations.first('abdomen')?.value;
  const change = first && held && abdomenChange(covered(first), covered(held), errorCm);
  const shown = (cm: number | null) => (cm === null ? '' : formatNumber(fromCm(cm, unit), unit === 'in' ? 2 : 1));
  const isBlocked = navelHeightCm === null || consent.trim() === '';
  return (
    <Frame
      hasPad
      bodyLabel={measureWords.belly}
      body={<BodyPanel label={measureWords.belly} initial={{ view: 'front', side: 'left' }} sheets={['body']} />}
      main={
        <>
          {head}
          <p className={styles['soft']}>{measureWords.standingFeetTogetherArmsCrossedOn}</p>
          <Field
            label={measureWords.withTheSurgeonsConsentWhoseAnd}
            value={consent}
            maxLength={200}
            onChange={(event) => setConsent(event.target.value)}
            onBlur={() => held && consent.trim() !== held.surgeonConsent && keep({})}
            hint={measureWords.bellyGirthsAfterSurgeryAreTaken}
          />
          <table className={styles['face']}>
            <thead>
              <tr>
                <th scope="col">{measureWords.in(unit)}</th>
                <th scope="col">{measureWords.girth}</th>
                <th scope="col">{measureWords.last}</th>
                <th scope="col">{measureWords.sinceTheFirst}</th>
              </tr>
            </thead>
            <tbody>
              <tr>
                <th scope="row">{measureWords.navelsPlaceAboveTheFloorWritten}</th>
                <td>
                  <LengthCell
                    label={measureWords.navelHeight}
                    valueCm={navelHeightCm}
                    unit={unit}
                    leastCm={40}
                    mostCm={150}
                    onValue={(cm) => onClient({ navelHeightCm: cm })}
                  />
                </td>
                <td colSpan={2} />
              </tr>
              {abdomenHeightsCm.map((heightCm) => {
                const row = change?.rows.find((one) => one.heightCm === heightCm);
                return (
                  <tr key={heightCm}>
                    <th scope="row">
                      {heightCm === 0
                        ? measureWords.atTheNavelsHeight
                        : `${formatNumber(fromCm(Math.abs(heightCm), unit), unit === 'in' ? 1 : 0)} ${unit} ${heightCm > 0 ? 'above' : 'below'}`}
                    </th>
                    <td>
                      <LengthCell
                        label={measureWords.bellyCm(heightCm)}
                        valueCm={girthAt(held, heightCm)}
                        unit={unit}
                        leastCm={45}
                        mostCm={220}
                        lastCm={girthAt(last, heightCm)}
                        isDisabled={isBlocked}
                        onValue={(cm) =>
                          keep({
                            girths: [
                              ...(held?.girths ?? []).filter((one) => one.heightCm !== heightCm),
                              ...(cm === null ? [] : [{ heightCm, girthCm: cm }]),
                            ],
                          })
                        }
                      />
                    </td>
                    <td className={styles['last']}>{shown(girthAt(last, heightCm))}</td>
                    <td className={styles['between']}>{row ? formatSigned(fromCm(row.changeCm, unit), 1) : ''}</td>
                  </tr>
                );
              })}
              <tr>
                <th scope="row">{measureWords.hipAtItsWidest}</th>
                <td>
                  <LengthCell
                    label={measureWords.hip}
                    valueCm={held?.hipCm ?? null}
                    unit={unit}
                    leastCm={45}
                    mostCm={220}
                    lastCm={last?.hipCm}
                    isDisabled={isBlocked}
                    onValue={(hipCm) => keep({ hipCm })}
                  />
                </td>
                <td className={styles['last']}>{shown(last?.hipCm ?? null)}</td>
                <td />
              </tr>
            </tbody>
          </table>
          <label className={styles['tick']}>
            <input
              type="checkbox"
              checked={held?.isCovered ?? false}
              onChange={(event) => keep({ isCovered: event.target.checked })}
            />
            {measureWords.overADressingOrBinderNot}
          </label>
          {isBlocked && <p className={styles['soft']}>{measureWords.girthsAreKeptOnceTheConsent}</p>}
        </>
      }
      asideLabel={measureWords.whatTheTapeSaysOfThe2}
      aside={
        <>
          <h2>{measureWords.sinceTheFirstTaping}</h2>
          {change ? (
            <>
              <div className={styles['figures']}>
                <div>
                  <strong>
                    {formatSigned(fromCm(change.meanCm, unit), 1)} {unit}
                  </strong>
                  <span>{measureWords.meanOverHeights(change.rows.length)}</span>
                </div>
                {change.largestFall && (
                  <div>
                    <strong>{formatSigned(fromCm(change.largestFall.changeCm, unit), 1)}</strong>
                    <span>{measureWords.largestFall}</span>
                  </div>
                )}
                {change.largestRise && (
                  <div>
                    <strong>{formatSigned(fromCm(change.largestRise.changeCm, unit), 1)}</strong>
                    <span>{measureWords.largestRise}</span>
                  </div>
                )}
              </div>
              <p className={styles['verdict']}>
                {change.rows.some((row) => row.isBeyondError)
                  ? measureWords.beyondMeasuringErrorAtOfHeights(
                      formatNumber(fromCm(errorCm, unit), 1),
                      unit,
                      change.rows.filter((row) => row.isBeyondError).length,
                      change.rows.length,
                    )
                  : measureWords.withinMeasuringErrorAtEveryHeight(formatNumber(fromCm(errorCm, unit), 1), unit)}
              </p>
            </>
          ) : (
            <p className={styles['soft']}>
              {first ? measureWords.typeTheGirthsEachIsCompared : measureWords.theFirstTapingOfTheBelly}
            </p>
          )}
          <p className={styles['soft']}>{measureWords.noVolumeIsWorkedOutFrom}</p>
        </>
      }
      foot={
        <>
          <span>{measureWords.enterGoesOnToTheNext}</span>
          <ObservationLine observations={observations} />
          {onward}
        </>
      }
    />
  );
}

const covered = (belly: Belly) => belly.girths.map((girth) => ({ ...girth, isCovered: belly.isCovered }));
