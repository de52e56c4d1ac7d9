import { useCallback, useRef, useState } from 'react';
import type { AskState, AskView } from '../../contracts/ask-views';
import type { PlacedFinding } from '../../contracts/people-views';
import { RequestError, send, sentenceOf } from '../api';

export type Answer = 'yes' | 'no' | 'unsure';

/** How storing stands: everything is kept, something is on its way, or it could not be stored yet. */
export type Keeping = { readonly kind: 'kept' | 'saving' } | { readonly kind: 'trouble'; readonly text: string };

const retryMs = 2000;
const waiting: Keeping = {
  kind: 'trouble',
  text: 'The house’s computer does not answer. Your answers are kept here and are stored as soon as it does.',
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
  const base = `/api/visits/${view.visit.id}`;
  const clientPath = `/api/clients/${view.visit.client.id}`;

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

  const reload = useCallback(() => send<{ state: AskState }>('GET', `${base}/ask`), [base]);

  const answerIntake = (answers: readonly { readonly condition: string; readonly answer: Answer }[]) => {
    setState((old) => ({
      ...old,
      intake: { ...old.intake, ...Object.fromEntries(answers.map((a) => [a.condition, a.answer])) },
    }));
    void enqueue(() => send<{ state: AskState }>('POST', `${base}/intake`, { answers })).catch(() => undefined);
  };

  const answerCheck = (changed: Readonly<Record<string, 'yes' | 'no'>>) => {
    const check = { ...latestCheck.current, ...changed };
    latestCheck.current = check;
    setState((old) => ({ ...old, check }));
    void enqueue(() => send<{ state: AskState }>('POST', `${base}/check`, { answers: check })).catch(() => undefined);
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
    return enqueue(async () => {
      // A correction gets a new key; a second one in a row is told by what stands there now.
      const key = keys.current.get(finding.key) ?? finding.key;
      const saved = await send<{ finding: PlacedFinding }>('PUT', `${clientPath}/findings/${key}`, body);
      keys.current.set(finding.key, saved.finding.key);
      return reload();
    }).then(
      () => undefined,
      (error: unknown) => {
        if (error instanceof RequestError) return error;
        throw error;
      },
    );
  };
  const keys = useRef(new Map<number, number>());

  const keepText = (text: { readonly medicines?: string; readonly dueOn?: string | null; readonly bornOn?: string }) =>
    enqueue(() => send<{ state: AskState }>('POST', `${base}/intake`, { answers: [], ...text })).then(
      () => undefined,
      (error: unknown) => (error instanceof RequestError ? error : undefined),
    );

  const post = (path: string, body?: object, method: 'POST' | 'DELETE' = 'POST') =>
    enqueue(() => send<{ state: AskState }>(method, `${base}/${path}`, body)).then(
      () => undefined,
      (error: unknown) => {
        if (error instanceof RequestError) return error;
        throw error;
      },
    );

  const addClearance = (finding: PlacedFinding, body: object) =>
    enqueue(async () => {
      await send('POST', `${clientPath}/findings/${keys.current.get(finding.key) ?? finding.key}/clearance`, body);
      return reload();
    }).then(
      () => undefined,
      (error: unknown) => {
        if (error instanceof RequestError) return error;
        throw error;
      },
    );

  return { state, keeping, answerIntake, answerCheck, changeFinding, keepText, post, addClearance };
}

export type Asking = ReturnType<typeof useAsk>;
