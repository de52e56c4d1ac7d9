import { measureWords } from './measure.words';
import type { VisitId } from '../../core/ids';
import type { BodyOf } from '../../contracts/routes/asking';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { FlagView } from '../../contracts/measure-views';
import { RequestError, send } from '../api';
import type { Tape } from './tape';

export type SaveState = 'kept' | 'saving' | 'waiting' | 'conflict';

/** What an earlier page could not send, and the version that it was typed over. */
interface Draft {
  readonly tape: Tape;
  readonly basedOn: number;
}

function readDraft(key: string): Draft | undefined {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as Draft | null) ?? undefined;
  } catch {
    return undefined;
  }
}

/**
 * Keeps the newest tape: on the device at once, on the server as soon as it answers. What is typed while a send is
 * under way goes with the next one; a draft of an earlier page is handed to `onDraft` once, if it still fits.
 */
export function useTapeKeeping({
  visitId,
  draftKey,
  savedVersion,
  toInput,
  onDraft,
  onFlags,
}: {
  readonly visitId: VisitId;
  readonly draftKey: string;
  /** Version on record when the page was made; 0 for none. */
  readonly savedVersion: number;
  readonly toInput: (tape: Tape, basedOn: number) => BodyOf<'POST /api/visits/{id}/taping'>;
  readonly onDraft: (tape: Tape) => boolean;
  readonly onFlags: (flags: readonly FlagView[]) => void;
}) {
  const [saveState, setSaveState] = useState<SaveState>('kept');
  const [trouble, setTrouble] = useState<string>();
  const version = useRef(savedVersion);
  const unsent = useRef<Tape>(undefined);
  const isSending = useRef(false);

  const flush = useCallback(async (): Promise<void> => {
    if (isSending.current) return;
    isSending.current = true;
    setSaveState('saving');
    try {
      while (unsent.current) {
        const sending: Tape = unsent.current;
        const body = toInput(sending, version.current);
        const answer = await send('POST /api/visits/{id}/taping', { params: { id: visitId }, body });
        version.current = answer.taping.version;
        onFlags(answer.flags);
        if (unsent.current === sending) unsent.current = undefined;
      }
      localStorage.removeItem(draftKey);
      setSaveState('kept');
      setTrouble(undefined);
    } catch (error) {
      setSaveState(error instanceof RequestError && error.status === 409 ? 'conflict' : 'waiting');
      setTrouble(error instanceof Error ? error.message : measureWords.notSavedYet);
    } finally {
      isSending.current = false;
    }
  }, [draftKey, onFlags, toInput, visitId]);

  const keep = useCallback(
    (tape: Tape) => {
      unsent.current = tape;
      const draft: Draft = { tape, basedOn: version.current };
      localStorage.setItem(draftKey, JSON.stringify(draft));
      void flush();
    },
    [draftKey, flush],
  );

  useEffect(() => {
    const draft = readDraft(draftKey);
    if (draft?.basedOn === version.current && onDraft(draft.tape)) keep(draft.tape);
    // Only what an earlier page left behind is restored, once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  return { saveState, trouble, keep, retry: () => void flush() };
}
