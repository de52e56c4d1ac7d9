import { useState } from 'react';
import type { OfferedProtocol } from '../../contracts/treatment-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import styles from './Treatment.module.css';

interface Props {
  readonly offered: readonly OfferedProtocol[];
  /** What is chosen already. */
  readonly chosen: readonly string[];
  readonly onChoose: (protocols: readonly string[]) => void;
  readonly onClose: () => void;
}

const mostChoices = 8;

/** What a visit is to hold: any of the protocols, several together. */
export function Chooser({ offered, chosen, onChoose, onClose }: Props) {
  const [ticked, setTicked] = useState<readonly string[]>(chosen);
  const [text, setText] = useState('');
  const shown = offered.filter(({ name, modality }) =>
    `${name} ${modality}`.toLowerCase().includes(text.trim().toLowerCase()),
  );
  const groups = [...new Set(shown.map(({ modality }) => modality))];
  const minutes = offered.filter(({ id }) => ticked.includes(id)).reduce((sum, one) => sum + one.minutes, 0);
  const toggle = (id: string, isOn: boolean) =>
    setTicked((list) => (isOn ? [...list, id] : list.filter((one) => one !== id)));
  return (
    <Dialog title="What this visit holds" isOpen onClose={onClose}>
      <form
        className={styles['chooser']}
        onSubmit={(event) => {
          event.preventDefault();
          if (ticked.length > 0) onChoose(ticked);
        }}
      >
        <Field label="Search" type="search" value={text} onChange={(event) => setText(event.target.value)} />
        <div className={styles['offered']}>
          {groups.map((group) => (
            <fieldset key={group}>
              <legend>{group}</legend>
              {shown
                .filter(({ modality }) => modality === group)
                .map(({ id, name, minutes: usual, isPlanned }) => (
                  <label key={id}>
                    <input
                      type="checkbox"
                      checked={ticked.includes(id)}
                      disabled={!ticked.includes(id) && ticked.length >= mostChoices}
                      onChange={(event) => toggle(id, event.target.checked)}
                    />
                    <span>{name}</span>
                    <small>{isPlanned ? 'from the case' : `${usual} min`}</small>
                  </label>
                ))}
            </fieldset>
          ))}
          {shown.length === 0 && <p>Nothing is called that.</p>}
        </div>
        <div className={styles['buttons']}>
          <span className={styles['soft']}>
            {ticked.length === 0 ? 'Choose at least one.' : `${ticked.length} chosen, ${minutes} usual minutes`}
          </span>
          <Button onClick={onClose}>Leave it</Button>
          <Button look="filled" type="submit" disabled={ticked.length === 0}>
            Plan these
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** Choices of these protocols; those that stood before keep their id, so that an order still names them. */
export function choicesOf(
  protocols: readonly string[],
  before: readonly {
    readonly id: string;
    readonly protocol: string;
    readonly blocks?: readonly string[] | undefined;
  }[],
) {
  let number = 0;
  const free = () => {
    do number += 1;
    while (before.some(({ id }) => id === `c${number}`));
    return `c${number}`;
  };
  return protocols.map((protocol) => {
    const known = before.find((one) => one.protocol === protocol);
    return known
      ? { id: known.id, protocol, ...(known.blocks ? { blocks: [...known.blocks] } : {}) }
      : { id: free(), protocol };
  });
}
