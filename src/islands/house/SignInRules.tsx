import { useState } from 'react';
import type { HouseView } from '../../contracts/house-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Select } from '../../ui/field/Field';
import { send, sentenceOf } from '../api';
import { Codes } from '../door/Codes';
import styles from './House.module.css';
import { houseWords } from './house.words';

interface Props {
  readonly first: HouseView['secondFactor'];
  readonly say: (words: string, tone?: 'error') => void;
}

const rules: readonly HouseView['secondFactor'][] = ['nobody', 'owners', 'everybody'];
const ruleWords: Readonly<Record<HouseView['secondFactor'], string>> = {
  nobody: houseWords.askedOfNobody,
  owners: houseWords.askedOfOwners,
  everybody: houseWords.askedOfEverybody,
};

/** How people come in: who needs a second factor, and the owner’s own way back. */
export function SignInRules({ first, say }: Props) {
  const [rule, setRule] = useState(first);
  const [code, setCode] = useState<string>();
  const save = async (next: HouseView['secondFactor']) => {
    setRule(next);
    try {
      await send('PUT /api/house/second-factor', { body: { secondFactor: next } });
      say(houseWords.saved);
    } catch (failure) {
      setRule(rule);
      say(sentenceOf(failure), 'error');
    }
  };
  const makeCode = async () => {
    try {
      setCode((await send('POST /api/house/recovery-code')).code);
    } catch (failure) {
      say(sentenceOf(failure), 'error');
    }
  };
  return (
    <div className={styles['signing']}>
      <Select
        label={houseWords.secondFactorAskedOf}
        value={rule}
        onChange={(event) => void save(event.target.value as HouseView['secondFactor'])}
      >
        {rules.map((id) => (
          <option key={id} value={id}>
            {ruleWords[id]}
          </option>
        ))}
      </Select>
      <Button onClick={() => void makeCode()}>{houseWords.newRecoveryCode}</Button>
      {code !== undefined && (
        <Dialog title={houseWords.newRecoveryCode} isOpen onClose={() => setCode(undefined)}>
          <Codes
            title={houseWords.yourRecoveryCode}
            codes={[code]}
            whatFor={houseWords.whatTheCodeIsFor}
            onDone={() => setCode(undefined)}
          />
        </Dialog>
      )}
    </div>
  );
}
