import { protocolsWords } from './protocols.words';
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
import { unpacked } from '../../ui/frame/packed';

interface Props {
  readonly first: readonly TapeProtocol[];
  readonly limb: 'arm' | 'leg';
}

const isOwn = (protocol: TapeProtocol) => protocol.id.startsWith('own-');

/** By which points limbs are taped: those that ship, and the house's own, made by copying. */
function Protocols({ first, limb: firstLimb }: Props) {
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
      say(protocolsWords.isNoLongerOfferedTapingsMade(protocol.name));
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  return (
    <>
      <div className={styles['view']}>
        <section className={styles['body']} aria-label={protocolsWords.whereThePointsLie}>
          {shown && (
            <LimbMap label={protocolsWords.pointsOfThe(limb)} limb={limb} side="left" positionsCm={shown.positionsCm} />
          )}
        </section>
        <main id="main" className={styles['main']}>
          <h1>{protocolsWords.pointsOfTaping}</h1>
          <Choice
            label={protocolsWords.limb}
            isLabelHidden
            options={[
              { value: 'leg', text: protocolsWords.legs },
              { value: 'arm', text: protocolsWords.arms },
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
                    {protocol.positionsCm.length} {protocolsWords.points} {formatNumber(protocol.positionsCm[0] ?? 0)}{' '}
                    {protocolsWords.to} {formatNumber(protocol.positionsCm.at(-1) ?? 0)} {protocolsWords.cmFromThe}{' '}
                    {protocol.zero}
                    {isOwn(protocol) ? protocolsWords.own : ''}
                  </span>
                </button>
                <Button
                  look="link"
                  onClick={() =>
                    setDraft({
                      input: { ...toInput(protocol), name: protocolsWords.own2(protocol.name) },
                      id: undefined,
                    })
                  }
                >
                  {protocolsWords.copy}
                </Button>
                {isOwn(protocol) && (
                  <>
                    <Button look="link" onClick={() => setDraft({ input: toInput(protocol), id: protocol.id })}>
                      {protocolsWords.change}
                    </Button>
                    <Button look="link" onClick={() => void remove(protocol)}>
                      {protocolsWords.takeOut}
                    </Button>
                  </>
                )}
              </li>
            ))}
          </ul>
        </main>
        <aside className={styles['aside']} aria-label={protocolsWords.oneProtocol}>
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
                say(protocolsWords.canBeChosenUnderHowIt(saved.name));
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
        {protocolsWords.zeroMark} {protocol.zero}. {protocol.stop && protocolsWords.upToThe(protocol.stop)}
        {protocolsWords.rest} {protocol.restMinutes} {protocolsWords.minutesFirst}
      </p>
      <p className={styles['points']}>
        {protocolsWords.cm(protocol.positionsCm.map((x) => formatNumber(x, Number.isInteger(x) ? 0 : 1)).join(' · '))}
      </p>
      <p className={styles['soft']}>{protocolsWords.pointsThatATapingWasMade}</p>
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
      <h2>{id === undefined ? protocolsWords.ownPoints : protocolsWords.changeThePoints}</h2>
      <Field label={protocolsWords.name} {...text('name')} />
      <Field label={protocolsWords.zeroMark2} {...text('zero')} />
      <TextArea
        label={protocolsWords.pointsCmFromTheZeroMark}
        rows={3}
        value={points}
        onChange={(event) => {
          setPoints(event.target.value);
          const next = parsePositions(event.target.value);
          if (next) onChange({ ...draft, positionsCm: [...next] });
        }}
        error={parsed ? error?.fieldError('positionsCm') : protocolsWords.writeNumbersWithSpacesBetweenSuch}
        hint={
          parsed && isSpacingWide(parsed)
            ? protocolsWords.moreThanCmApartLowersAccuracy
            : protocolsWords.toPointsCmApartOrMore
        }
      />
      <Field label={protocolsWords.upTo} {...text('stop')} />
      <TextArea
        label={protocolsWords.howTheClientLiesOrSits}
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
        <Button onClick={() => onDone(undefined)}>{protocolsWords.giveUp}</Button>
        <Button look="filled" onClick={() => void save()} disabled={!parsed}>
          {protocolsWords.saveThesePoints}
        </Button>
      </div>
    </div>
  );
}

/** As the page shows it. */
export const ProtocolsIsland = unpacked(Protocols);
