import { clientWords } from './client.words';
import type { ClientId } from '../../core/ids';
import { type FormEvent, useState } from 'react';
import { languageIds, languageNames } from '../../core/language';
import type { ClientInput } from '../../contracts/record';
import { Button } from '../../ui/button/Button';
import { Field, Select, TextArea } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import styles from './EditClient.module.css';

interface Props {
  readonly clientId: ClientId;
  readonly data: ClientInput;
  readonly version: number;
  /** The front desk changes contact data only. */
  readonly isContactOnly: boolean;
  readonly onSaved: (data: ClientInput, version: number) => void;
}

const names: Readonly<Partial<Record<keyof ClientInput, string>>> = {
  name: 'Name',
  bornOn: clientWords.bornOn,
  phone: 'Phone',
  email: 'E-mail',
  address: 'Address',
  emergencyContact: clientWords.inAnEmergency,
  note: clientWords.goodToKnow,
  medicines: 'Medicines',
  language: 'Reads',
};

/** A client's own data. When somebody else saved in the meantime both are shown, and the person decides. */
export function EditClient({ clientId, data, version, isContactOnly, onSaved }: Props) {
  const [error, setError] = useState<RequestError>();
  const [conflict, setConflict] = useState<{
    readonly mine: ClientInput;
    readonly theirs: ClientInput;
    readonly version: number;
  }>();
  const [isKept, setIsKept] = useState(false);
  const [form, setForm] = useState(data);
  const set = (change: Partial<ClientInput>) => {
    setIsKept(false);
    setForm((old) => ({ ...old, ...change }));
  };
  const like = (change: Partial<ClientInput['likes']>) => set({ likes: { ...form.likes, ...change } });

  const save = async (mine: ClientInput, basedOn: number) => {
    try {
      const saved = await send('PUT /api/clients/{id}', {
        params: { id: clientId },
        body: {
          ...mine,
          basedOn,
        },
      });
      setConflict(undefined);
      setError(undefined);
      setForm(saved.data);
      setIsKept(true);
      onSaved(saved.data, saved.version);
    } catch (caught) {
      if (!(caught instanceof RequestError)) throw caught;
      if (caught.status === 409) {
        setConflict({ mine, theirs: caught.problem.theirs as ClientInput, version: caught.problem.version ?? basedOn });
      } else setError(caught);
    }
  };
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    void save(form, version);
  };
  const text = (key: 'name' | 'phone' | 'email' | 'address' | 'emergencyContact', label: string) => (
    <Field
      label={label}
      value={form[key]}
      autoComplete="off"
      onChange={(event) => set({ [key]: event.target.value })}
      error={error?.fieldError(key)}
    />
  );
  return (
    <form className={styles['form']} onSubmit={submit} noValidate aria-label={clientWords.dataOfTheClient}>
      {conflict && (
        <Conflict
          {...conflict}
          onMine={() => void save(conflict.mine, conflict.version)}
          onTheirs={() => {
            setForm(conflict.theirs);
            onSaved(conflict.theirs, conflict.version);
            setConflict(undefined);
          }}
        />
      )}
      <div className={styles['grid']}>
        {text('name', 'Name')}
        <Field
          label={clientWords.bornOn}
          type="date"
          value={form.bornOn ?? ''}
          onChange={(event) => set({ bornOn: event.target.value || null })}
          error={error?.fieldError('bornOn')}
        />
        {text('phone', 'Phone')}
        {text('email', 'E-mail')}
        {text('address', 'Address')}
        {text('emergencyContact', clientWords.inAnEmergency)}
        <Select
          label={clientWords.reads}
          value={form.language}
          onChange={(event) => set({ language: event.target.value as ClientInput['language'] })}
        >
          <option value="">{clientWords.asTheHouseDoes}</option>
          {languageIds.map((id) => (
            <option key={id} value={id} lang={id}>
              {languageNames[id]}
            </option>
          ))}
        </Select>
      </div>
      {!isContactOnly && (
        <>
          <h3>{clientWords.likesAndDislikes}</h3>
          <div className={styles['grid']}>
            <Select
              label={clientWords.pressure}
              value={form.likes.pressure}
              onChange={(event) => like({ pressure: event.target.value as ClientInput['likes']['pressure'] })}
            >
              <option value="">{clientWords.notAsked}</option>
              <option value="lighter">{clientWords.lighter}</option>
              <option value="usual">{clientWords.asUsual}</option>
              <option value="firmer">{clientWords.firmer}</option>
            </Select>
            <Select
              label={clientWords.warmth}
              value={form.likes.warmth}
              onChange={(event) => like({ warmth: event.target.value as ClientInput['likes']['warmth'] })}
            >
              <option value="">{clientWords.notAsked}</option>
              <option value="cooler">{clientWords.cooler}</option>
              <option value="usual">{clientWords.asUsual}</option>
              <option value="warmer">{clientWords.warmer}</option>
            </Select>
            <Select
              label={clientWords.music}
              value={form.likes.music}
              onChange={(event) => like({ music: event.target.value as ClientInput['likes']['music'] })}
            >
              <option value="">{clientWords.notAsked}</option>
              <option value="on">{clientWords.on}</option>
              <option value="off">{clientWords.off}</option>
            </Select>
            <Field
              label={clientWords.sideDifferences}
              value={form.likes.sides}
              onChange={(event) => like({ sides: event.target.value })}
              error={error?.fieldError('likes.sides')}
            />
            <Field
              label={clientWords.heightCm}
              inputMode="decimal"
              value={form.heightCm ?? ''}
              onChange={(event) => {
                const cm = Number(event.target.value.replace(',', '.'));
                set({ heightCm: event.target.value.trim() === '' || Number.isNaN(cm) ? null : cm });
              }}
              hint={clientWords.withTheWeightItTellsHow}
              error={error?.fieldError('heightCm')}
            />
            <Field
              label={clientWords.scentsLiked}
              value={form.likes.scentsLiked}
              onChange={(event) => like({ scentsLiked: event.target.value })}
            />
            <Field
              label={clientWords.scentsDisliked}
              value={form.likes.scentsDisliked}
              onChange={(event) => like({ scentsDisliked: event.target.value })}
            />
          </div>
          <TextArea
            label={clientWords.goodToKnow}
            value={form.note}
            onChange={(event) => set({ note: event.target.value })}
            error={error?.fieldError('note')}
          />
        </>
      )}
      {error && !error.problem.errors && <p role="alert">{error.message}</p>}
      <div className={styles['buttons']}>
        <span role="status">{isKept ? clientWords.keptWhatWasThereBeforeIs : ''}</span>
        <Button look="filled" type="submit">
          {clientWords.keep}
        </Button>
      </div>
    </form>
  );
}

interface ConflictProps {
  readonly mine: ClientInput;
  readonly theirs: ClientInput;
  readonly onMine: () => void;
  readonly onTheirs: () => void;
}

/** Both versions side by side, where they differ. */
function Conflict({ mine, theirs, onMine, onTheirs }: ConflictProps) {
  const keys = (Object.keys(names) as (keyof ClientInput)[]).filter((key) => mine[key] !== theirs[key]);
  const likes = JSON.stringify(mine.likes) !== JSON.stringify(theirs.likes);
  return (
    <div className={styles['conflict']} role="alert">
      <strong>{clientWords.someoneElseSavedInTheMeantime}</strong>
      <table>
        <thead>
          <tr>
            <th scope="col">{clientWords.field}</th>
            <th scope="col">{clientWords.yours}</th>
            <th scope="col">{clientWords.theirs}</th>
          </tr>
        </thead>
        <tbody>
          {keys.map((key) => (
            <tr key={key}>
              <th scope="row">{names[key]}</th>
              <td>{String(mine[key] ?? '') || '–'}</td>
              <td>{String(theirs[key] ?? '') || '–'}</td>
            </tr>
          ))}
          {likes && (
            <tr>
              <th scope="row">{clientWords.likes2}</th>
              <td>{Object.values(mine.likes).filter(Boolean).join(', ') || '–'}</td>
              <td>{Object.values(theirs.likes).filter(Boolean).join(', ') || '–'}</td>
            </tr>
          )}
        </tbody>
      </table>
      <div className={styles['buttons']}>
        <Button onClick={onTheirs}>{clientWords.takeTheirs}</Button>
        <Button onClick={onMine}>{clientWords.keepMine}</Button>
      </div>
    </div>
  );
}
