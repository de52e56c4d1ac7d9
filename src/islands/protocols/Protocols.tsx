import { useState } from 'react';
import type { ProtocolInput } from '../../contracts/measures';
import { isSpacingWide, parsePositions, type TapeProtocol } from '../../core/swelling/protocol';
import { formatNumber } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Field, TextArea } from '../../ui/field/Field';
import { useToasts } from '../../ui/toast/useToasts';
import { RequestError, send, sentenceOf } from '../api';
import { LimbMap } from '../measure/LimbMap';
import styles from './Protocols.module.css';

interface Props {
  readonly first: readonly TapeProtocol[];
  readonly limb: 'arm' | 'leg';
}

const isOwn = (protocol: TapeProtocol) => protocol.id.startsWith('own-');

/** By which points limbs are taped: those that ship, and the house's own, made by copying. */
export function Protocols({ first, limb: firstLimb }: Props) {
  const [protocols, setProtocols] = useState(first);
  const [limb, setLimb] = useState(firstLimb);
  const [chosenId, setChosenId] = useState<string>();
  const [draft, setDraft] = useState<{ readonly input: ProtocolInput; readonly id: string | undefined }>();
  const { say, toasts } = useToasts();
  const ofLimb = protocols.filter((one) => one.limb === limb);
  const chosen = ofLimb.find(({ id }) => id === chosenId) ?? ofLimb[0];
  const shown = draft?.input ?? chosen;

  const remove = async (protocol: TapeProtocol) => {
    try {
      await send('DELETE /api/protocols/{id}', { params: { id: protocol.id } });
      setProtocols((list) => list.filter(({ id }) => id !== protocol.id));
      say(`“${protocol.name}” is no longer offered; tapings made by it keep their points.`);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  return (
    <>
      <div className={styles['view']}>
        <section className={styles['body']} aria-label="Where the points lie">
          {shown && <LimbMap label={`Points of the ${limb}`} limb={limb} side="left" positionsCm={shown.positionsCm} />}
        </section>
        <main id="main" className={styles['main']}>
          <h1>Points of taping</h1>
          <Choice
            label="Limb"
            isLabelHidden
            options={[
              { value: 'leg', text: 'legs' },
              { value: 'arm', text: 'arms' },
            ]}
            value={limb}
            onChange={(next) => {
              setLimb(next);
              setDraft(undefined);
            }}
          />
          <ul className={styles['list']}>
            {ofLimb.map((protocol) => (
              <li key={protocol.id} aria-current={protocol === chosen ? true : undefined}>
                <button type="button" onClick={() => setChosenId(protocol.id)}>
                  <strong>{protocol.name}</strong>
                  <span>
                    {protocol.positionsCm.length} points, {formatNumber(protocol.positionsCm[0] ?? 0)} to{' '}
                    {formatNumber(protocol.positionsCm.at(-1) ?? 0)} cm from the {protocol.zero}
                    {isOwn(protocol) ? ' · own' : ''}
                  </span>
                </button>
                <Button
                  look="link"
                  onClick={() =>
                    setDraft({ input: { ...toInput(protocol), name: `${protocol.name}, own` }, id: undefined })
                  }
                >
                  Copy
                </Button>
                {isOwn(protocol) && (
                  <>
                    <Button look="link" onClick={() => setDraft({ input: toInput(protocol), id: protocol.id })}>
                      Change
                    </Button>
                    <Button look="link" onClick={() => void remove(protocol)}>
                      Take out
                    </Button>
                  </>
                )}
              </li>
            ))}
          </ul>
        </main>
        <aside className={styles['aside']} aria-label="One protocol">
          {draft ? (
            <Editor
              key={draft.id ?? draft.input.name}
              draft={draft.input}
              id={draft.id}
              onChange={(input) => setDraft({ ...draft, input })}
              onDone={(saved) => {
                setDraft(undefined);
                if (!saved) return;
                setProtocols((list) => [...list.filter(({ id }) => id !== saved.id), saved]);
                setChosenId(saved.id);
                say(`“${saved.name}” can be chosen under “how it is taped”.`);
              }}
            />
          ) : (
            chosen && <Details protocol={chosen} />
          )}
        </aside>
      </div>
      {toasts}
    </>
  );
}

const toInput = (protocol: TapeProtocol): ProtocolInput => ({
  limb: protocol.limb,
  name: protocol.name,
  zero: protocol.zero,
  posture: protocol.posture,
  stop: protocol.stop,
  restMinutes: protocol.restMinutes,
  positionsCm: [...protocol.positionsCm],
  eight: protocol.eight,
});

function Details({ protocol }: { readonly protocol: TapeProtocol }) {
  return (
    <>
      <h2>{protocol.name}</h2>
      <p>{protocol.posture}</p>
      <p className={styles['soft']}>
        Zero mark: {protocol.zero}. {protocol.stop && `Up to the ${protocol.stop}. `}
        Rest {protocol.restMinutes} minutes first.
      </p>
      <p className={styles['points']}>
        {protocol.positionsCm.map((x) => formatNumber(x, Number.isInteger(x) ? 0 : 1)).join(' · ')} cm
      </p>
      <p className={styles['soft']}>
        Points that a taping was made by are not changed any more, so that a series never mixes them: copy them instead.
      </p>
    </>
  );
}

interface EditorProps {
  readonly draft: ProtocolInput;
  readonly id: string | undefined;
  readonly onChange: (input: ProtocolInput) => void;
  readonly onDone: (saved: TapeProtocol | undefined) => void;
}

function Editor({ draft, id, onChange, onDone }: EditorProps) {
  const [points, setPoints] = useState(draft.positionsCm.join(' '));
  const [error, setError] = useState<RequestError>();
  const parsed = parsePositions(points);
  const save = async () => {
    try {
      const answer = await (id === undefined
        ? send('POST /api/protocols', { body: draft })
        : send('PUT /api/protocols/{id}', { params: { id }, body: draft }));
      onDone(answer.protocol);
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  const text = (key: 'name' | 'zero' | 'stop') => ({
    value: draft[key],
    onChange: (event: { target: { value: string } }) => onChange({ ...draft, [key]: event.target.value }),
    error: error?.fieldError(key),
  });
  return (
    <div className={styles['editor']}>
      <h2>{id === undefined ? 'Own points' : 'Change the points'}</h2>
      <Field label="Name" {...text('name')} />
      <Field label="Zero mark" {...text('zero')} />
      <TextArea
        label="Points, cm from the zero mark"
        rows={3}
        value={points}
        onChange={(event) => {
          setPoints(event.target.value);
          const next = parsePositions(event.target.value);
          if (next) onChange({ ...draft, positionsCm: [...next] });
        }}
        error={parsed ? error?.fieldError('positionsCm') : 'Write numbers with spaces between, such as 0 5 12 20.'}
        hint={
          parsed && isSpacingWide(parsed)
            ? 'More than 10 cm apart lowers accuracy.'
            : '3 to 40 points, 1 cm apart or more.'
        }
      />
      <Field label="Up to" {...text('stop')} />
      <TextArea
        label="How the client lies or sits"
        rows={2}
        value={draft.posture}
        onChange={(event) => onChange({ ...draft, posture: event.target.value })}
        error={error?.fieldError('posture')}
      />
      {error && (error.problem.errors ?? []).every(({ path }) => path === '') && (
        <p role="alert" className={styles['trouble']}>
          {error.message}
        </p>
      )}
      <div className={styles['buttons']}>
        <Button onClick={() => onDone(undefined)}>Give up</Button>
        <Button look="filled" onClick={() => void save()} disabled={!parsed}>
          Save these points
        </Button>
      </div>
    </div>
  );
}
