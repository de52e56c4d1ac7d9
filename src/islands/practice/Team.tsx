import { useEffect, useState } from 'react';
import type { SetInput, TeamView } from '../../contracts/practice';
import { drillKinds, levels } from '../../core/training/kinds';
import { Button } from '../../ui/button/Button';
import { DateField } from '../../ui/date-field/DateField';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { RequestError, send, sentenceOf } from '../api';
import { typedNumber } from '../forms/numbers';
import { drillNames } from '../../core/training/names';
import { practiceWords } from './practice.words';
import styles from './Team.module.css';

/** For a trainer: who is sure in what, and drills that are set to everybody. */
export function Team({ onClose }: { readonly onClose: () => void }) {
  const [team, setTeam] = useState<TeamView>();
  const [trouble, setTrouble] = useState<string>();
  const read = () => send('GET /api/practice/people').then(setTeam, (error: unknown) => setTrouble(sentenceOf(error)));
  useEffect(() => void read(), []);
  const end = async (id: number) => {
    try {
      await send('DELETE /api/practice/sets/{id}', { params: { id } });
      await read();
    } catch (error) {
      setTrouble(sentenceOf(error));
    }
  };
  return (
    <Dialog title={practiceWords.teamTitle} isOpen onClose={onClose} size="wide">
      {trouble !== undefined && <p role="alert">{trouble}</p>}
      {team === undefined ? (
        <p role="status">{practiceWords.theCaseComes}</p>
      ) : (
        <>
          <p className={styles['soft']}>{practiceWords.noRanks}</p>
          <div className={styles['scroll']} role="group" aria-label={practiceWords.teamTitle} tabIndex={0}>
            <table className={styles['team']}>
              <thead>
                <tr>
                  <th scope="col">{practiceWords.person}</th>
                  <th scope="col">{practiceWords.lastTime}</th>
                  <th scope="col">{practiceWords.thisWeek}</th>
                  <th scope="col">{practiceWords.sureIn}</th>
                  <th scope="col">{practiceWords.weakest}</th>
                  <th scope="col">{practiceWords.ofSets}</th>
                </tr>
              </thead>
              <tbody>
                {team.people.map(({ id, name, lastOn, minutesOfWeek, kinds, weakest, sets }) => (
                  <tr key={id}>
                    <th scope="row">{name}</th>
                    <td>{lastOn ?? practiceWords.never}</td>
                    <td>{practiceWords.minutes(minutesOfWeek)}</td>
                    <td>{kinds.map(({ kind, sure }) => `${drillNames[kind]} ${percent(sure)}`).join(', ')}</td>
                    <td>{weakest.join(', ').toLowerCase()}</td>
                    <td>{sets.map(({ best }) => (best === null ? practiceWords.never : percent(best))).join(', ')}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <h3>{practiceWords.ofSets}</h3>
          {team.sets.length === 0 && <p className={styles['soft']}>{practiceWords.noSets}</p>}
          <ul className={styles['sets']}>
            {team.sets.map(({ id, kind, level, seed, due, work }) => {
              const what = practiceWords.setIs(drillNames[kind], level, seed);
              return (
                <li key={id}>
                  <span>
                    {[what, practiceWords.dueBy(due), ...(work === null ? [] : [practiceWords.beforeWork(work)])].join(
                      ' · ',
                    )}
                  </span>
                  <Button look="link" aria-label={practiceWords.endOf(what)} onClick={() => void end(id)}>
                    {practiceWords.end}
                  </Button>
                </li>
              );
            })}
          </ul>
          <SetForm works={team.works} onSet={read} />
        </>
      )}
    </Dialog>
  );
}

const percent = (share: number) => String(Math.round(100 * share));

/** Sets a drill with its case and its day to everybody. */
function SetForm({ works, onSet }: { readonly works: TeamView['works']; readonly onSet: () => Promise<void> }) {
  const [kind, setKind] = useState<SetInput['kind']>('order');
  const [level, setLevel] = useState<SetInput['level']>(1);
  const [seed, setSeed] = useState('1');
  const [dueOn, setDueOn] = useState('');
  const [modality, setModality] = useState('');
  const [error, setError] = useState<unknown>();
  const fieldError = (path: string) => (error instanceof RequestError ? error.fieldError(path) : undefined);
  const set = async () => {
    setError(undefined);
    const body = {
      ...{ kind, level, dueOn, seed: typedNumber(seed) ?? NaN },
      modality: modality === '' ? null : modality,
    };
    try {
      await send('POST /api/practice/sets', { body });
      await onSet();
    } catch (caught) {
      setError(caught);
    }
  };
  return (
    <form
      className={styles['form']}
      onSubmit={(event) => {
        event.preventDefault();
        void set();
      }}
    >
      <h3>{practiceWords.setADrill}</h3>
      <Select
        label={practiceWords.which}
        value={kind}
        onChange={({ target }) => setKind(drillKinds.find((one) => one === target.value) ?? 'order')}
      >
        {drillKinds.map((one) => (
          <option key={one} value={one}>
            {drillNames[one]}
          </option>
        ))}
      </Select>
      <Select
        label={practiceWords.level}
        value={level}
        onChange={({ target }) => setLevel(levels.find((one) => String(one) === target.value) ?? 1)}
      >
        {levels.map((one) => (
          <option key={one}>{one}</option>
        ))}
      </Select>
      <Field
        label={practiceWords.caseNumber}
        inputMode="numeric"
        value={seed}
        error={fieldError('seed')}
        onChange={({ target }) => setSeed(target.value)}
      />
      <DateField label={practiceWords.dueOn} value={dueOn} onDay={setDueOn} error={fieldError('dueOn')} />
      <Select
        label={practiceWords.beforeWhich}
        value={modality}
        onChange={({ target }) => setModality(target.value)}
        hint={practiceWords.mentionOnly}
      >
        <option value="">{practiceWords.noWork}</option>
        {works.map(({ id, label }) => (
          <option key={id} value={id}>
            {label}
          </option>
        ))}
      </Select>
      {error !== undefined && <p role="alert">{sentenceOf(error)}</p>}
      <Button type="submit" look="filled">
        {practiceWords.set}
      </Button>
    </form>
  );
}
