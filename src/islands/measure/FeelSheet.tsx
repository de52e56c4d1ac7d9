import { measureWords } from './measure.words';
import { useState } from 'react';
import { notableScoreChange, selfScores } from '../../catalogue/swelling/scales.data';
import type { ObservationValue } from '../../contracts/measures';
import { type ImpedanceRatio, impedanceRatio, isRatioPlausible } from '../../core/swelling/impedance';
import { formatNumber, formatSigned } from '../../core/units';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { Choice } from '../../ui/choice/Choice';
import { marksOf } from '../body-marks';
import { Frame } from './Frame';
import { ObservationLine } from './ObservationLine';
import styles from './TouchSheet.module.css';
import type { SheetProps } from './sheet';
import { NumberField } from './TapeSetUp';

interface Props extends SheetProps {
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
}

const none: ObservationValue<'scores'> = {
  tightness: null,
  heaviness: null,
  pain: null,
  movement: null,
  calfPain: null,
};
const tenths = Array.from({ length: 11 }, (_, i) => ({ value: String(i), text: String(i) }));

/** What the client says, 0 to 10; skipped stays skipped. */
export default function FeelSheet({ view, head, onward, observations, client, onClient, limb, side }: Props) {
  const { today, lastTime, save } = observations;
  const scores = today('scores')?.value ?? none;
  const last = lastTime('scores')?.value;
  const marks = marksOf(view.visit.findings);
  const questions = [
    ...selfScores,
    ...(limb === 'leg'
      ? [
          {
            id: 'calfPain',
            label: measureWords.oneCalfPainfulOrTender,
            low: 'no',
            high: measureWords.worstImaginable,
          } as const,
        ]
      : []),
  ];
  return (
    <Frame
      hasPad
      bodyLabel={measureWords.whatIsKnown}
      body={
        <BodyPanel
          label={measureWords.whatIsKnownOf(view.visit.client.name)}
          initial={{ view: 'front', side }}
          sheets={['body', 'face']}
          regions={marks.regions}
          nodes={marks.nodes}
          signs={marks.signs}
        />
      }
      main={
        <>
          {head}
          <div className={styles['form']}>
            {questions.map(({ id, label, low, high }) => (
              <div key={id}>
                <Choice
                  label={`${label}: 0 ${low}, 10 ${high}`}
                  options={tenths}
                  value={scores[id] === null ? null : String(scores[id])}
                  onChange={(value) => save('scores', null, { ...scores, [id]: Number(value) })}
                />
                <p className={styles['soft']}>{changeWords(scores[id], last?.[id])}</p>
              </div>
            ))}
            <Choice
              label={measureWords.hasAClinicianLookedAtThis}
              options={[
                { value: 'yes', text: measureWords.yes },
                { value: 'no', text: measureWords.no },
              ]}
              value={client.wasAssessed === null ? null : client.wasAssessed ? 'yes' : 'no'}
              onChange={(value) => onClient({ wasAssessed: value === 'yes' })}
            />
            {view.house.isImpedanceShown && limb === 'arm' && (
              <Impedance observations={observations} client={client} side={side} />
            )}
          </div>
        </>
      }
      asideLabel={measureWords.whatItSays}
      aside={
        <>
          <h2>{measureWords.againstLastTime}</h2>
          {last ? (
            <dl className={styles['list']}>
              {questions.map(({ id, label }) => (
                <div key={id}>
                  <dt>{label}</dt>
                  <dd>
                    {scores[id] ?? '–'} {measureWords.of} <small>{measureWords.was(last[id] ?? '–')}</small>
                  </dd>
                </div>
              ))}
            </dl>
          ) : (
            <p className={styles['soft']}>{measureWords.askedForTheFirstTimeFrom}</p>
          )}
          <p className={styles['soft']}>{measureWords.aChangeOfOrMoreIs(notableScoreChange)}</p>
        </>
      }
      foot={
        <>
          <span>{measureWords.tabToTheNextQuestionArrow}</span>
          <ObservationLine observations={observations} />
          {onward}
        </>
      }
    />
  );
}

function changeWords(now: number | null, last: number | null | undefined): string {
  if (last == null) return '\u00a0';
  if (now === null) return measureWords.was2(last);
  const change = now - last;
  return Math.abs(change) >= notableScoreChange
    ? measureWords.wasNotable(last, formatSigned(change))
    : measureWords.was2(last);
}

interface ImpedanceProps extends Pick<SheetProps, 'observations' | 'client'> {
  readonly side: 'left' | 'right';
}

/** Two readings from the client's own clinic or device, typed in. */
function Impedance({ observations, client, side }: ImpedanceProps) {
  const { today, lastTime, save } = observations;
  const held = today('impedance')?.value;
  const [affectedOhm, setAffected] = useState(held?.affectedOhm ?? null);
  const [unaffectedOhm, setUnaffected] = useState(held?.unaffectedOhm ?? null);
  const keep = (affected: number | null, unaffected: number | null) => {
    if (affected !== null && unaffected !== null)
      save('impedance', null, { affectedOhm: affected, unaffectedOhm: unaffected });
  };
  const result =
    held && impedanceRatio({ ...held, affectedIsDominant: client.hand === 'none' ? null : client.hand === side });
  const before = lastTime('impedance')?.value;
  return (
    <section>
      <h3>{measureWords.impedanceOfTheArmsAtOr}</h3>
      <div className={styles['row']}>
        <NumberField
          label={measureWords.armOhm(side)}
          value={affectedOhm}
          least={1}
          most={5000}
          onValue={(value) => {
            setAffected(value);
            keep(value, unaffectedOhm);
          }}
        />
        <NumberField
          label={measureWords.armOhm2(side === 'left' ? 'right' : 'left')}
          value={unaffectedOhm}
          least={1}
          most={5000}
          onValue={(value) => {
            setUnaffected(value);
            keep(affectedOhm, value);
          }}
        />
      </div>
      <p className={styles['soft']}>
        {result ? ratioWords(result) : measureWords.fluidLowersImpedanceSoTheRatio}
        {before && measureWords.lastTime(formatNumber(before.unaffectedOhm / before.affectedOhm, 3))}
      </p>
    </section>
  );
}

const bandWords = {
  usual: measureWords.inTheUsualRange,
  raised: measureWords.raised2Sd,
  above: measureWords.aboveTheUsualRangeSd,
};

function ratioWords({ ratio, band }: ImpedanceRatio): string {
  const doubt = isRatioPlausible(ratio) ? '' : measureWords.ratiosLieBetweenAndTypedRight;
  return measureWords.ratio(
    formatNumber(ratio, 3),
    band ? bandWords[band] : measureWords.theStrongerHandIsNotKnown,
    doubt,
  );
}
