import { useCallback, useRef, useState } from 'react';
import type { AskState, AskView } from '../../contracts/ask-views';
import type { PlacedFinding } from '../../contracts/people-views';
import type { BodyOf } from '../../contracts/routes/asking';
import type { ConditionId } from '../../core/ids';
import { RequestError, send } from '../api';
import { sending, type Sending } from '../saving/sending';
import { useSaving } from '../saving/use-saving';

export type Answer = 'yes' | 'no' | 'unsure';

/** What the routes of the consultation answer, as far as it matters here. */
interface Saved {
  readonly state?: AskState;
  readonly finding?: PlacedFinding;
}

/** What is asked and answered: shown at once, stored in order, and judged anew with each answer. */
export function useAsk(view: AskView) {
  const [state, setState] = useState<AskState>(view.state);
  const visitId = view.visit.id;
  const params = { id: visitId };
  const clientId = view.visit.client.id;
  /** A correction gets a new key; a second one in a row is told by what stands there now. */
  const keys = useRef(new Map<number, number>());
  const latestCheck = useRef(view.state.check);

  const saving = useSaving<{ readonly key: number }, Saved>(`visit ${visitId} ask`, {
    onSaved: ([draft], saved, isLast) => {
      const was = draft?.body.shown?.key;
      const now = saved.finding?.key;
      if (was !== undefined && now !== undefined) {
        keys.current.set(was, now);
        saving.queue.rewrite((body) =>
          body.shown?.key === was ? { ...body, params: { ...body.params, key: now } } : body,
        );
      }
      // The newest answer of the house is what counts when all is quiet.
      if (!isLast) return;
      if (saved.state) setState(saved.state);
      else
        void send('GET /api/visits/{id}/ask', { params }).then(
          ({ state: judged }) => setState(judged),
          () => undefined,
        );
    },
  });
  const { queue } = saving;

  /** Sends in turn with everything else. @returns what was refused; undefined when it is kept */
  const submit = useCallback(
    async (slot: string, what: Sending): Promise<RequestError | undefined> => {
      const verdict = await queue.submit(slot, what as Sending<{ readonly key: number }>);
      if (verdict.kind === 'saved' || verdict.kind === 'unreachable') return undefined;
      return new RequestError(verdict.problem.status, verdict.problem);
    },
    [queue],
  );

  const answerIntake = (answers: readonly { readonly condition: ConditionId; readonly answer: Answer }[]) => {
    setState((old) => ({
      ...old,
      intake: { ...old.intake, ...Object.fromEntries(answers.map((a) => [a.condition, a.answer])) },
    }));
    queue.addOneMore('intake', sending('POST /api/visits/{id}/intake', params, { answers }) as Sending<never>);
  };

  const answerCheck = (changed: Readonly<Record<string, 'yes' | 'no'>>) => {
    const check = { ...latestCheck.current, ...changed };
    latestCheck.current = check;
    setState((old) => ({ ...old, check }));
    queue.add('check', sending('POST /api/visits/{id}/check', params, { answers: check }) as Sending<never>);
  };

  /** The check as it stood before: what has no answer there has none again. */
  const replaceCheck = (check: AskState['check']) => {
    latestCheck.current = check;
    setState((old) => ({ ...old, check }));
    queue.add('check', sending('POST /api/visits/{id}/check', params, { answers: check }) as Sending<never>);
  };

  const ofFinding = (key: number) => ({ id: clientId, key: keys.current.get(key) ?? key });

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
    const correction = sending('PUT /api/clients/{id}/findings/{key}', ofFinding(finding.key), body);
    return submit(`finding ${finding.key}`, { ...correction, shown: { key: finding.key } });
  };

  const keepText = (text: { readonly medicines?: string; readonly dueOn?: string | null; readonly bornOn?: string }) =>
    submit('text', sending('POST /api/visits/{id}/intake', params, { answers: [], ...text }));
  const signConsent = (body: BodyOf<'POST /api/visits/{id}/consent'>) =>
    submit('consent', sending('POST /api/visits/{id}/consent', params, body));
  const setLimitAside = (body: BodyOf<'POST /api/visits/{id}/overrides'>) =>
    submit('limits', sending('POST /api/visits/{id}/overrides', params, body));
  const restoreLimit = (key: number) =>
    submit('limits', sending('DELETE /api/visits/{id}/overrides/{key}', { ...params, key }));
  const addClearance = (finding: PlacedFinding, body: BodyOf<'POST /api/clients/{id}/findings/{key}/clearance'>) => {
    const clearance = sending('POST /api/clients/{id}/findings/{key}/clearance', ofFinding(finding.key), body);
    return submit(`finding ${finding.key}`, { ...clearance, shown: { key: finding.key } });
  };

  return {
    ...{ state, saving, answerIntake, answerCheck, replaceCheck, changeFinding, keepText },
    ...{ signConsent, setLimitAside, restoreLimit, addClearance },
  };
}

export type Asking = ReturnType<typeof useAsk>;
