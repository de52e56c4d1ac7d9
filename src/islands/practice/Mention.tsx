import { useEffect, useState } from 'react';
import type { MentionView } from '../../contracts/practice';
import type { TherapistId } from '../../core/ids';
import { send } from '../api';

interface Props {
  readonly therapistId: TherapistId;
  /** Kinds of work that are booked or planned, by id or as the house calls them. */
  readonly modalities: readonly string[];
}

/** What a trainer asks to be practised before this work, and is not done well yet: mentioned, it forbids nothing. */
export function Mention({ therapistId, modalities }: Props) {
  const [read, setRead] = useState<{ readonly of: number; readonly mentions: readonly MentionView[] }>();
  useEffect(() => {
    let isHere = true;
    send('GET /api/practice/mentions/{id}', { params: { id: therapistId } }).then(
      (mentions) => isHere && setRead({ of: therapistId, mentions }),
      // Without the network there is nothing to mention.
      () => undefined,
    );
    return () => {
      isHere = false;
    };
  }, [therapistId]);
  const mentions = read?.of === therapistId ? read.mentions : [];
  return mentions
    .filter(({ modality, work }) => modalities.includes(modality) || modalities.includes(work))
    .map(({ text }) => (
      <p key={text} role="note">
        {text}
      </p>
    ));
}
