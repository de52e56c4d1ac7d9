import { askWords } from './ask.words';
import type { ConditionId } from '../../core/ids';
import { useCallback, useRef, useState } from 'react';
import type { AskState, AskView } from '../../contracts/ask-views';
import type { BodyOf } from '../../contracts/routes/asking';
import type { PlacedFinding } from '../../contracts/people-views';
import { RequestError, send, sentenceOf } from '../api';

export type Answer = 'yes' | 'no' | 'unsure';

/** How storing stands: everything is kept, something is on its way, or it could not be stored yet. */
export type Keeping = { readonly kind: 'kept' | 'saving' } | { readonly kind: 'trouble'; readonly text: string };

const retryMs = 2000;
const waiting: Keeping = {
  kind: 'trouble',
  text: askWords.theHousesComputerDoesNotAnswer,
};

/** Tries again as long as nobody answers; a refusal is an answer. */
async function untilReached<T>(task: () => Promise<T>, onWaiting: () => void): Promise<T> {
  for (;;) {
    try {
      return await task();
    } catch (error) {
      if (!(error instanceof RequestError) || error.status !== 0) throw error;
      onWaiting();
      await new Promise((resolve) => setTimeout(resolve, retryMs));
    }
  }
}

/** What is asked and answered: shown at once, stored in order, and judged anew with each answer. */
export function useAsk(view: AskView) {
  const [state, setState] = useState<AskState>(view.state);
  const [keeping, setKeeping] = useState<Keeping>({ kind: 'kept' });
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const pending = useRef(0);
  const params = { id: view.visit.id };

  /** Sends after all that was to be sent before; the newest answer of the server is what counts when all is quiet. */
  const enqueue = useCallback(<T extends { readonly state?: AskState }>(task: () => Promise<T>): Promise<T> => {
    pending.current += 1;
    setKeeping({ kind: 'saving' });
    const run = queue.current.then(() => untilReached(task, () => setKeeping(waiting)));
    queue.current = run.then(
      (saved) => {
        pending.current -= 1;
        if (pending.current === 0) {
          if (saved.state) setState(saved.state);
          setKeeping({ kind: 'kept' });
        }
      },
      (error: unknown) => {
        pending.current -= 1;
        setKeeping({ kind: 'trouble', text: sentenceOf(error) });
      },
    );
    return run;
  }, []);

  const reload = () => send('GET /api/visits/{id}/ask', { params });

  const answerIntake = (answers: readonly { readonly condition: ConditionId; readonly answer: Answer }[]) => {
    setState((old) => ({
      ...old,
      intake: { ...old.intake, ...Object.fromEntries(answers.map((a) => [a.condition, a.answer])) },
    }));
    void enqueue(() => send('POST /api/visits/{id}/intake', { params, body: { answers } })).catch(() => undefined);
  };

  const answerCheck = (changed: Readonly<Record<string, 'yes' | 'no'>>) => {
    const check = { ...latestCheck.current, ...changed };
    latestCheck.current = check;
    setState((old) => ({ ...old, check }));
    void enqueue(() => send('POST /api/visits/{id}/check', { params, body: { answers: check } })).catch(
      () => undefined,
    );
  };
  const latestCheck = useRef(view.state.check);

  /** Changes a finding; the error says which field. */
  const changeFinding = (finding: PlacedFinding, change: Partial<PlacedFinding>): Promise<RequestError | undefined> => {
    const next = { ...finding, ...change };
    setState((old) => ({ ...old, findings: old.findings.map((f) => (f.key === finding.key ? next : f)) }));
    const body = {
      id: next.id,
      ...(next.side ? { side: next.side } : {}),
      ...(next.regions ? { regions: next.regions } : {}),
      ...(next.crosses ? { crosses: next.crosses } : {}),
      sinceOn: next.sinceOn,
      note: next.note,
      isUnsure: next.isUnsure,
      answers: next.answers,
    };
    return inTurn(async () => {
      // A correction gets a new key; a second one in a row is told by what stands there now.
      const key = keys.current.get(finding.key) ?? finding.key;
      const ofFinding = { id: view.visit.client.id, key };
      const saved = await send('PUT /api/clients/{id}/findings/{key}', { params: ofFinding, body });
      keys.current.set(finding.key, saved.finding.key);
      return reload();
    });
  };
  const keys = useRef(new Map<number, number>());

  const keepText = (text: { readonly medicines?: string; readonly dueOn?: string | null; readonly bornOn?: string }) =>
    enqueue(() => send('POST /api/visits/{id}/intake', { params, body: { answers: [], ...text } })).then(
      () => undefined,
      (error: unknown) => (error instanceof RequestError ? error : undefined),
    );

  /** Sends in turn with everything else. @returns what was refused; undefined when it is kept */
  const inTurn = (task: () => Promise<{ readonly state?: AskState }>): Promise<RequestError | undefined> =>
    enqueue(task).then(
      () => undefined,
      (error: unknown) => {
        if (error instanceof RequestError) return error;
        throw error;
      },
    );

  const signConsent = (body: BodyOf<'POST /api/visits/{id}/consent'>) =>
    inTurn(() => send('POST /api/visits/{id}/consent', { params, body }));
  const setLimitAside = (body: BodyOf<'POST /api/visits/{id}/overrides'>) =>
    inTurn(() => send('POST /api/visits/{id}/overrides', { params, body }));
  const restoreLimit = (key: number) =>
    inTurn(() => send('DELETE /api/visits/{id}/overrides/{key}', { params: { ...params, key } }));
  const addClearance = (finding: PlacedFinding, body: BodyOf<'POST /api/clients/{id}/findings/{key}/clearance'>) =>
    inTurn(async () => {
      const ofFinding = { id: view.visit.client.id, key: keys.current.get(finding.key) ?? finding.key };
      await send('POST /api/clients/{id}/findings/{key}/clearance', { params: ofFinding, body });
      return reload();
    });

  return {
    state,
    keeping,
    answerIntake,
    answerCheck,
    changeFinding,
    keepText,
    signConsent,
    setLimitAside,
    restoreLimit,
    addClearance,
  };
}

export type Asking = ReturnType<typeof useAsk>;
