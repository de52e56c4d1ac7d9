import { clientWords } from './client.words';
import type { ClientId } from '../../core/ids';
import { useRef, useState } from 'react';
import { languageIds, languageNames } from '../../core/language';
import type { ClientInput } from '../../contracts/record';
import { Button } from '../../ui/button/Button';
import { Field, Select, TextArea } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import { typedNumber } from '../forms/numbers';
import { useHouseForm } from '../forms/use-house-form';
import styles from './EditClient.module.css';
import { FormDate } from '../forms/FormDate';

interface Props {
  readonly clientId: ClientId;
  readonly data: ClientInput;
  readonly version: number;
  /** When they said how they would like to be written to; '' where nobody has asked. */
  readonly messagesSaidOn: string;
  /** The front desk changes contact data only. */
  readonly isContactOnly: boolean;
  readonly onSaved: (data: ClientInput, version: number) => void;
}

const names: Readonly<Partial<Record<keyof ClientInput, string>>> = {
  name: clientWords.name,
  bornOn: clientWords.bornOn,
  phone: clientWords.phone,
  email: clientWords.email,
  address: clientWords.address,
  emergencyContact: clientWords.inAnEmergency,
  note: clientWords.goodToKnow,
  medicines: clientWords.medicines,
  language: clientWords.reads2,
  messagesBy: clientWords.messages,
};

/** What is typed: the data of a client, with what may be empty or no number yet as text. */
type Typed = Omit<ClientInput, 'bornOn' | 'heightCm'> & { readonly bornOn: string; readonly heightCm: string };

const typedOf = (data: ClientInput): Typed => ({
  ...data,
  bornOn: data.bornOn ?? '',
  heightCm: String(data.heightCm ?? ''),
});

/** What is typed as the data of a client; a height that is no number stays what it was. */
export function filledIn(before: ClientInput, typed: Typed): ClientInput {
  const heightCm = typedNumber(typed.heightCm);
  return {
    ...typed,
    bornOn: typed.bornOn || null,
    heightCm: Number.isNaN(heightCm) ? before.heightCm : heightCm,
  };
}

/** A client's own data. When somebody else saved in the meantime both are shown, and the person decides. */
export function EditClient({ clientId, data, version, messagesSaidOn, isContactOnly, onSaved }: Props) {
  /** What the day stands for that was read with the page. */
  const [saidFirst] = useState(data.messagesBy);
  const [conflict, setConflict] = useState<{
    readonly mine: ClientInput;
    readonly theirs: ClientInput;
    readonly version: number;
  }>();
  const [isKept, setIsKept] = useState(false);
  /** The version that both were compared by, where they were. */
  const agreed = useRef(version);
  const save = async (mine: ClientInput) => {
    const basedOn = Math.max(version, agreed.current);
    try {
      const saved = await send('PUT /api/clients/{id}', { params: { id: clientId }, body: { ...mine, basedOn } });
      setConflict(undefined);
      form.reset(typedOf(saved.data));
      setIsKept(true);
      onSaved(saved.data, saved.version);
    } catch (caught) {
      if (!(caught instanceof RequestError) || caught.status !== 409) throw caught;
      setConflict({ mine, theirs: caught.problem.theirs as ClientInput, version: caught.problem.version ?? basedOn });
    }
  };
  const form = useHouseForm({ first: typedOf(data), onSend: (typed) => save(filledIn(data, typed)) });
  const { field } = form;
  return (
    <form
      className={styles['form']}
      onSubmit={form.submit}
      onChange={() => setIsKept(false)}
      noValidate
      aria-label={clientWords.dataOfTheClient}
    >
      {conflict && (
        <Conflict
          {...conflict}
          onMine={() => {
            agreed.current = conflict.version;
            form.submit();
          }}
          onTheirs={() => {
            form.reset(typedOf(conflict.theirs));
            onSaved(conflict.theirs, conflict.version);
            setConflict(undefined);
          }}
        />
      )}
      <div className={styles['grid']}>
        <Field label={clientWords.name} autoComplete="off" {...field('name')} />
        <FormDate label={clientWords.bornOn} form={form} name="bornOn" />
        <Field label={clientWords.phone} autoComplete="off" {...field('phone')} />
        <Field label={clientWords.email} autoComplete="off" {...field('email')} />
        <Field label={clientWords.address} autoComplete="off" {...field('address')} />
        <Field label={clientWords.inAnEmergency} autoComplete="off" {...field('emergencyContact')} />
        <Select label={clientWords.reads} {...field('language')}>
          <option value="">{clientWords.asTheHouseDoes}</option>
          {languageIds.map((id) => (
            <option key={id} value={id} lang={id}>
              {languageNames[id]}
            </option>
          ))}
        </Select>
        <Select
          label={clientWords.messagesOnVisits}
          hint={messagesHint(data, data.messagesBy === saidFirst ? messagesSaidOn : clientWords.today)}
          {...field('messagesBy')}
        >
          <option value="">{clientWords.notAsked}</option>
          <option value="text">{clientWords.byText}</option>
          <option value="mail">{clientWords.byMail}</option>
          <option value="none">{clientWords.ratherNone}</option>
        </Select>
      </div>
      {!isContactOnly && (
        <>
          <h3>{clientWords.likesAndDislikes}</h3>
          <div className={styles['grid']}>
            <Select label={clientWords.pressure} {...field('likes.pressure')}>
              <option value="">{clientWords.notAsked}</option>
              <option value="lighter">{clientWords.lighter}</option>
              <option value="usual">{clientWords.asUsual}</option>
              <option value="firmer">{clientWords.firmer}</option>
            </Select>
            <Select label={clientWords.warmth} {...field('likes.warmth')}>
              <option value="">{clientWords.notAsked}</option>
              <option value="cooler">{clientWords.cooler}</option>
              <option value="usual">{clientWords.asUsual}</option>
              <option value="warmer">{clientWords.warmer}</option>
            </Select>
            <Select label={clientWords.music} {...field('likes.music')}>
              <option value="">{clientWords.notAsked}</option>
              <option value="on">{clientWords.on}</option>
              <option value="off">{clientWords.off}</option>
            </Select>
            <Field label={clientWords.sideDifferences} {...field('likes.sides')} />
            <Field
              label={clientWords.heightCm}
              inputMode="decimal"
              hint={clientWords.withTheWeightItTellsHow}
              {...field('heightCm')}
            />
            <Field label={clientWords.scentsLiked} {...field('likes.scentsLiked')} />
            <Field label={clientWords.scentsDisliked} {...field('likes.scentsDisliked')} />
          </div>
          <TextArea label={clientWords.goodToKnow} {...field('note')} />
        </>
      )}
      {form.trouble && <p role="alert">{form.trouble}</p>}
      <div className={styles['buttons']}>
        <span role="status">{isKept ? clientWords.keptWhatWasThereBeforeIs : ''}</span>
        <Button look="filled" type="submit">
          {clientWords.keep}
        </Button>
      </div>
    </form>
  );
}

/** What has been said to messages, or why none can be sent. */
export function messagesHint({ messagesBy, phone, email }: ClientInput, saidOn: string): string {
  if (messagesBy === 'text' && phone === '') return clientWords.noNumber;
  if (messagesBy === 'mail' && email === '') return clientWords.noMail;
  if (messagesBy === '') return clientWords.askThem;
  const said = clientWords.saidOn(saidOn);
  return messagesBy === 'mail' ? clientWords.withCalendar(said) : said;
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
