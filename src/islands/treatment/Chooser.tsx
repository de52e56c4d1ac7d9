import { treatmentWords } from './treatment.words';
import type { Minutes } from '../../core/quantities';
import type { ClientId } from '../../core/ids';
import { useState } from 'react';
import { purposes } from '../../catalogue/library/purposes';
import type { TreatmentHolds } from '../../contracts/treatment';
import type { OfferedProtocol, ReadyTreatment, TreatmentOffers } from '../../contracts/treatment-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import styles from './Chooser.module.css';
import { type Choices, minutesOf, withoutProtocol, withPart, withProtocol } from './chosen';
import { useOffers } from './useOffers';

export interface Chosen {
  readonly holds: Partial<TreatmentHolds> & Pick<TreatmentHolds, 'choices'>;
  /** Of a ready-made treatment that was taken. */
  readonly minutes?: Minutes | undefined;
}

interface Props {
  readonly clientId: ClientId;
  /** What is chosen already. */
  readonly chosen: Choices;
  readonly onChoose: (chosen: Chosen) => void;
  readonly onClose: () => void;
}

const mostChoices = 8;

/** What a visit is to hold: something ready-made, or any of the protocols, several together, whole or in parts. */
export function Chooser({ clientId, chosen, onChoose, onClose }: Props) {
  const { state, reload } = useOffers(clientId);
  return (
    <Dialog title={treatmentWords.whatThisVisitHolds} isOpen onClose={onClose} size="wide">
      {state.kind === 'waiting' && <p aria-busy="true">{treatmentWords.lookingUpWhatTheHouseHas}</p>}
      {state.kind === 'trouble' && (
        <p role="alert">
          {state.text}{' '}
          <Button look="link" onClick={reload}>
            {treatmentWords.tryAgain}
          </Button>
        </p>
      )}
      {state.kind === 'here' && <Choosing offers={state.offers} first={chosen} onChoose={onChoose} onClose={onClose} />}
    </Dialog>
  );
}

interface ChoosingProps {
  readonly offers: TreatmentOffers;
  readonly first: Choices;
  readonly onChoose: (chosen: Chosen) => void;
  readonly onClose: () => void;
}

function Choosing({ offers, first, onChoose, onClose }: ChoosingProps) {
  const [choices, setChoices] = useState(first);
  const [taken, setTaken] = useState<ReadyTreatment>();
  const [text, setText] = useState('');
  const [purpose, setPurpose] = useState('');
  const ofPurpose = purposes.find(({ id }) => id === purpose)?.protocols;
  const wanted = text.trim().toLowerCase();
  const shown = offers.protocols.filter(
    ({ id, name, modality, about, school }) =>
      (ofPurpose?.includes(id) ?? true) && `${name} ${modality} ${about} ${school}`.toLowerCase().includes(wanted),
  );
  const isOn = (id: string) => choices.some(({ protocol }) => protocol === id);
  const minutes = minutesOf(choices, offers.protocols);
  const take = (ready: ReadyTreatment) => {
    setTaken(ready);
    setChoices(ready.holds.choices);
  };
  return (
    <form
      className={styles['chooser']}
      onSubmit={(event) => {
        event.preventDefault();
        if (choices.length === 0) return;
        onChoose({ holds: taken ? { ...taken.holds, choices } : { choices }, minutes: taken?.minutes });
      }}
    >
      <div className={styles['search']}>
        <Field
          label={treatmentWords.search}
          type="search"
          value={text}
          maxLength={100}
          onChange={(event) => setText(event.target.value)}
        />
        <Select label={treatmentWords.whatFor} value={purpose} onChange={(event) => setPurpose(event.target.value)}>
          <option value="">{treatmentWords.anything}</option>
          {purposes.map(({ id, label }) => (
            <option key={id} value={id}>
              {label}
            </option>
          ))}
        </Select>
      </div>
      <div className={styles['offered']}>
        {offers.ready.length > 0 && wanted === '' && purpose === '' && (
          <fieldset>
            <legend>{treatmentWords.readyMade}</legend>
            {offers.ready.map((ready) => (
              <button
                key={ready.id}
                type="button"
                className={styles['ready']}
                aria-pressed={taken?.id === ready.id}
                onClick={() => take(ready)}
              >
                <strong>{ready.kind === 'usual' ? treatmentWords.usual(ready.name) : ready.name}</strong>
                <small>{treatmentWords.min(ready.minutes)}</small>
              </button>
            ))}
          </fieldset>
        )}
        {[...new Set(shown.map(({ modality }) => modality))].map((group) => (
          <fieldset key={group}>
            <legend>{group}</legend>
            {shown
              .filter(({ modality }) => modality === group)
              .map((one) => (
                <label key={one.id} title={one.about}>
                  <input
                    type="checkbox"
                    checked={isOn(one.id)}
                    disabled={!isOn(one.id) && choices.length >= mostChoices}
                    onChange={(event) =>
                      setChoices((now) =>
                        event.target.checked ? withProtocol(now, one.id) : withoutProtocol(now, one.id),
                      )
                    }
                  />
                  <span>{one.name}</span>
                  <small>{one.isPlanned ? treatmentWords.fromTheCase : treatmentWords.min(one.minutes)}</small>
                </label>
              ))}
          </fieldset>
        ))}
        {shown.length === 0 && <p>{treatmentWords.nothingOfThatKindSearchFor}</p>}
      </div>
      <div className={styles['chosen']} aria-label={treatmentWords.chosen} role="group">
        <h3>{treatmentWords.chosen}</h3>
        {choices.length === 0 && <p className={styles['soft']}>{treatmentWords.nothingYetTickWhatTheVisit}</p>}
        {choices.map(({ id, protocol, blocks }) => {
          const offered = offers.protocols.find((one) => one.id === protocol);
          return (
            <ChosenProtocol
              key={id}
              name={offered?.name ?? protocol}
              offered={offered}
              blocks={blocks}
              onPart={(part, isIn) => offered && setChoices((now) => withPart(now, offered, part, isIn))}
              onDrop={() => setChoices((now) => withoutProtocol(now, protocol))}
            />
          );
        })}
      </div>
      <div className={styles['buttons']}>
        <span className={styles['soft']}>
          {choices.length === 0
            ? treatmentWords.chooseAtLeastOne
            : treatmentWords.chosenUsualMinutes(choices.length, minutes)}
        </span>
        <Button onClick={onClose}>{treatmentWords.leaveIt}</Button>
        <Button look="filled" type="submit" disabled={choices.length === 0}>
          {treatmentWords.planThese}
        </Button>
      </div>
    </form>
  );
}

interface ChosenProps {
  readonly name: string;
  readonly offered: OfferedProtocol | undefined;
  readonly blocks: readonly string[] | undefined;
  readonly onPart: (part: string, isIn: boolean) => void;
  readonly onDrop: () => void;
}

function ChosenProtocol({ name, offered, blocks, onPart, onDrop }: ChosenProps) {
  const parts = offered?.parts ?? [];
  const isIn = (id: string) => blocks?.includes(id) ?? true;
  const count = parts.filter(({ id }) => isIn(id)).length;
  return (
    <section>
      <div className={styles['one']}>
        <strong>{name}</strong>
        <Button look="link" aria-label={treatmentWords.takeOut2(name)} onClick={onDrop}>
          {treatmentWords.takeOut}
        </Button>
      </div>
      {parts.length > 1 && (
        <details>
          <summary>
            {blocks ? treatmentWords.ofParts(count, parts.length) : treatmentWords.allParts(parts.length)}
          </summary>
          {parts.map((part) => (
            <label key={part.id}>
              <input
                type="checkbox"
                checked={isIn(part.id)}
                disabled={count === 1 && isIn(part.id)}
                onChange={(event) => onPart(part.id, event.target.checked)}
              />
              <span>{part.name}</span>
              <small>{treatmentWords.min(part.minutes)}</small>
            </label>
          ))}
        </details>
      )}
    </section>
  );
}
