import { useState } from 'react';
import type { OfferedProtocol } from '../../contracts/treatment-views';
import { formatClock } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Field } from '../../ui/field/Field';
import { Chooser, choicesOf } from './Chooser';
import styles from './Treatment.module.css';
import type { TreatmentHandle } from './useTreatment';

interface Props {
  readonly handle: TreatmentHandle;
  readonly offered: readonly OfferedProtocol[];
  readonly regionLabel: (name: string) => string;
}

const mostRegions = 8;

/** Beside the parts: what was chosen, the time, what is left out and why, what could be saved, and the load. */
export function TreatmentSide({ handle, offered, regionLabel }: Props) {
  const { treatment } = handle;
  const { wish, load } = treatment;
  const [isChoosing, setIsChoosing] = useState(false);
  const [minutes, setMinutes] = useState(String(wish.minutes));
  const takeMinutes = () => {
    const value = Number(minutes.replace(',', '.'));
    if (value >= 1 && value <= 480 && value !== wish.minutes) handle.set({ minutes: value });
    else setMinutes(String(wish.minutes));
  };
  const remove = (id: string) => handle.set({ choices: wish.choices.filter((one) => one.id !== id) });
  return (
    <aside className={styles['side']} aria-label="What it holds, and the time">
      <section>
        <h2>This visit holds</h2>
        <ul className={styles['chosen']}>
          {treatment.choices.map(({ id, name, isGiven }) => (
            <li key={id}>
              <span data-off={isGiven ? undefined : true}>{name}</span>
              {treatment.choices.length > 1 && (
                <Button look="link" aria-label={`Take out ${name}`} onClick={() => remove(id)}>
                  take out
                </Button>
              )}
            </li>
          ))}
        </ul>
        <Button onClick={() => setIsChoosing(true)}>Choose</Button>
      </section>
      <section>
        <h2>Time</h2>
        <p>
          <strong>{formatClock(treatment.totalSeconds)}</strong> of {formatClock(treatment.availableSeconds)} min, of it{' '}
          {formatClock(treatment.setupSeconds)} for turning, hands and walking.
        </p>
        <p className={styles['soft']}>
          {treatment.fits
            ? timeWords(treatment.totalSeconds, treatment.usualSeconds)
            : `Even the least is ${formatClock(treatment.shortBySeconds)} too long.`}{' '}
          {treatment.isBestOrder
            ? 'No order needs less for changes.'
            : `The best order would need ${formatClock(treatment.lowerBoundSeconds)} for changes.`}
        </p>
        <Field
          label="Minutes"
          inputMode="decimal"
          value={minutes}
          onChange={(event) => setMinutes(event.target.value)}
          onBlur={takeMinutes}
          onKeyDown={(event) => event.key === 'Enter' && takeMinutes()}
        />
        <Choice
          label="Form"
          options={[
            { value: 'whole', text: 'whole' },
            { value: 'short', text: 'short form' },
          ]}
          value={wish.isShort ? 'short' : 'whole'}
          onChange={(value) => handle.set({ isShort: value === 'short' })}
        />
        <Choice
          label="Time that is left"
          options={[
            { value: 'end', text: 'end early' },
            { value: 'fill', text: 'fill it' },
          ]}
          value={wish.fill ? 'fill' : 'end'}
          onChange={(value) => handle.set({ fill: value === 'fill' })}
        />
      </section>
      {treatment.proposals.length > 0 && (
        <section>
          <h2>Short of time</h2>
          <ul className={styles['plain']}>
            {treatment.proposals.map(({ kind, words, savesSeconds }) => (
              <li key={words}>
                {words} <strong>{formatClock(savesSeconds)}</strong>
                {kind === 'short-form' && !wish.isShort && (
                  <Button look="link" onClick={() => handle.set({ isShort: true })}>
                    take it
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      {treatment.leftOut.length > 0 && (
        <section>
          <h2>Left out</h2>
          <ul className={styles['plain']}>
            {treatment.leftOut.map(({ what, why, instead, block, choice }, i) => (
              <li key={`${choice} ${block ?? ''} ${what} ${i}`}>
                <strong>{what}</strong> {why}
                {instead && <em> Instead: {instead}.</em>}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section>
        <h2>What it asks of you</h2>
        <p>
          {formatClock(load.standingSeconds)} standing, {formatClock(load.thumbSeconds)} with the thumbs
          {load.firmSeconds > 0 ? `, ${formatClock(load.firmSeconds)} firm` : ''}.
        </p>
        <table className={styles['regions']}>
          <caption>Minutes by region</caption>
          <tbody>
            {load.byRegion.slice(0, mostRegions).map(({ region, seconds }) => (
              <tr key={region}>
                <th scope="row">{regionLabel(region)}</th>
                <td>{formatClock(seconds)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {isChoosing && (
        <Chooser
          offered={offered}
          chosen={wish.choices.map(({ protocol }) => protocol)}
          onClose={() => setIsChoosing(false)}
          onChoose={(protocols) => {
            setIsChoosing(false);
            handle.set({ choices: choicesOf(protocols, wish.choices) });
          }}
        />
      )}
    </aside>
  );
}

function timeWords(total: number, usual: number): string {
  if (Math.abs(total - usual) < 30) return 'Everything at its usual repetitions.';
  return total < usual
    ? `Shortened: at the usual repetitions it would take ${formatClock(usual)}.`
    : `Longer than usual by ${formatClock(total - usual)}.`;
}
