import { libraryWords } from './library.words';
import { useState } from 'react';
import type { LibraryView } from '../../contracts/library-views';
import type { ProtocolStep } from '../../core/library/protocol';
import { Button } from '../../ui/button/Button';
import { Select } from '../../ui/field/Field';
import shared from './LibraryView.module.css';
import styles from './AddStep.module.css';

interface Props {
  readonly view: LibraryView;
  readonly part: string;
  readonly onAdd: (step: ProtocolStep) => void;
}

/** A new step at the end of a part: what, and where. */
export function AddStep({ view, part, onAdd }: Props) {
  const [isOpen, setIsOpen] = useState(false);
  const [technique, setTechnique] = useState(view.techniques[0]?.value.id ?? '');
  const [region, setRegion] = useState('');
  if (!isOpen)
    return (
      <Button look="link" onClick={() => setIsOpen(true)}>
        {libraryWords.addAStepTo(part)}
      </Button>
    );
  return (
    <div className={styles['adding']}>
      <Select label={libraryWords.technique} value={technique} onChange={(event) => setTechnique(event.target.value)}>
        {view.techniques.map(({ value }) => (
          <option key={value.id} value={value.id}>
            {value.name}
          </option>
        ))}
      </Select>
      <Select label={libraryWords.region} value={region} onChange={(event) => setRegion(event.target.value)}>
        <option value="">{libraryWords.choose}</option>
        {view.regions.map(({ name, label }) => (
          <option key={name} value={name}>
            {label}
          </option>
        ))}
      </Select>
      <div className={shared['buttons']}>
        <Button onClick={() => setIsOpen(false)}>{libraryWords.leaveIt}</Button>
        <Button
          disabled={region === ''}
          onClick={() => {
            onAdd({ technique, regions: [region], side: 'both' });
            setIsOpen(false);
          }}
        >
          {libraryWords.add}
        </Button>
      </div>
    </div>
  );
}
