import { detectableChanges } from '../../catalogue/swelling/detectable.data';
import { abdomenHeightsCm } from '../../catalogue/swelling/scales.data';
import type { ObservationValue } from '../../contracts/measures';
import { abdomenChange } from '../../core/swelling/abdomen';
import { formatNumber, formatSigned, fromCm } from '../../core/units';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { Field } from '../../ui/field/Field';
import { useState } from 'react';
import { Frame } from './Frame';
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
      bodyLabel="Belly"
      body={<BodyPanel label="Belly" initial={{ view: 'front', side: 'left' }} sheets={['body']} />}
      main={
        <>
          {head}
          <p className={styles['soft']}>
            Standing, feet together, arms crossed on the chest, end of a quiet breath out; the tape level.
          </p>
          <Field
            label="With the surgeon’s consent: whose, and of when"
            value={consent}
            maxLength={200}
            onChange={(event) => setConsent(event.target.value)}
            onBlur={() => held && consent.trim() !== held.surgeonConsent && keep({})}
            hint="Belly girths after surgery are taken only with it."
          />
          <table className={styles['face']}>
            <thead>
              <tr>
                <th scope="col">in {unit}</th>
                <th scope="col">girth</th>
                <th scope="col">last</th>
                <th scope="col">since the first</th>
              </tr>
            </thead>
            <tbody>
              <tr>
                <th scope="row">navel’s place above the floor, written down once</th>
                <td>
                  <LengthCell
                    label="navel height"
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
                        ? 'at the navel’s height'
                        : `${formatNumber(fromCm(Math.abs(heightCm), unit), unit === 'in' ? 1 : 0)} ${unit} ${heightCm > 0 ? 'above' : 'below'}`}
                    </th>
                    <td>
                      <LengthCell
                        label={`belly, ${heightCm} cm`}
                        valueCm={girthAt(held, heightCm)}
                        unit={unit}
                        leastCm={45}
                        mostCm={220}
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
                <th scope="row">hip at its widest</th>
                <td>
                  <LengthCell
                    label="hip"
                    valueCm={held?.hipCm ?? null}
                    unit={unit}
                    leastCm={45}
                    mostCm={220}
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
            over a dressing or binder: not compared
          </label>
          {isBlocked && (
            <p className={styles['soft']}>Girths are kept once the consent and the navel’s height are written down.</p>
          )}
        </>
      }
      asideLabel="What the tape says of the belly"
      aside={
        <>
          <h2>Since the first taping</h2>
          {change ? (
            <>
              <div className={styles['figures']}>
                <div>
                  <strong>
                    {formatSigned(fromCm(change.meanCm, unit), 1)} {unit}
                  </strong>
                  <span>mean over {change.rows.length} heights</span>
                </div>
                {change.largestFall && (
                  <div>
                    <strong>{formatSigned(fromCm(change.largestFall.changeCm, unit), 1)}</strong>
                    <span>largest fall</span>
                  </div>
                )}
                {change.largestRise && (
                  <div>
                    <strong>{formatSigned(fromCm(change.largestRise.changeCm, unit), 1)}</strong>
                    <span>largest rise</span>
                  </div>
                )}
              </div>
              <p className={styles['verdict']}>
                {change.rows.some((row) => row.isBeyondError)
                  ? `Beyond measuring error (${formatNumber(fromCm(errorCm, unit), 1)} ${unit}) at ${change.rows.filter((row) => row.isBeyondError).length} of ${change.rows.length} heights.`
                  : `Within measuring error (${formatNumber(fromCm(errorCm, unit), 1)} ${unit}) at every height: may be no change.`}
              </p>
            </>
          ) : (
            <p className={styles['soft']}>
              {first
                ? 'Type the girths; each is compared at its height.'
                : 'The first taping of the belly: the next one is compared with it.'}
            </p>
          )}
          <p className={styles['soft']}>No volume is worked out from the belly.</p>
        </>
      }
      foot={
        <>
          <span>Enter goes on to the next height</span>
          <em role="status">{observations.status}</em>
          {onward}
        </>
      }
    />
  );
}

const covered = (belly: Belly) => belly.girths.map((girth) => ({ ...girth, isCovered: belly.isCovered }));
