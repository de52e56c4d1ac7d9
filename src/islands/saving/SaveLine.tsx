import { useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import type { Saving } from './use-saving';
import type { Sending } from './sending';
import styles from './SaveLine.module.css';
import { savingWords } from './saving.words';

/** What a version says, thing by thing, in words. */
export type Facts = Readonly<Record<string, string>>;

/** How two versions are set side by side. */
export interface Comparison<Shown> {
  readonly mine: (sent: Sending<Shown>) => Facts;
  /** What is on record now; `take` shows it in place of what was written here. */
  readonly theirs: () => Promise<Theirs>;
}

interface Theirs {
  readonly version: number;
  readonly facts: Facts;
  readonly take: () => void;
  /** What has to be known before what was written here goes on top of it. */
  readonly beforeKeeping?: () => void;
}

interface Props<Shown, Answer> {
  readonly saving: Saving<Shown, Answer>;
  /** What is said while all is saved; “saved” unless the view has something better. */
  readonly saved?: string;
  readonly compare?: Comparison<Shown>;
  /** What was written here is given up: the view shows what is on record. */
  readonly onGivenUp?: () => void;
  readonly className?: string | undefined;
}

/** The one line that says how the answers of a view stand, and what can be done about it. */
export function SaveLine<Shown, Answer>({
  saving,
  saved = savingWords.saved,
  compare,
  onGivenUp,
  className,
}: Props<Shown, Answer>) {
  const { queue, status } = saving;
  const [other, setOther] = useState<Theirs>();
  const [trouble, setTrouble] = useState<string>();
  const { conflict, refused } = status;
  const look = (how: Comparison<Shown>) => how.theirs().then(setOther, () => setTrouble(savingWords.couldNotLook));
  return (
    <span className={`${styles['line']} ${className ?? ''}`} data-state={status.kind}>
      <span role="status">
        {(status.kind === 'saved' || status.kind === 'opening') && saved}
        {status.kind === 'saving' && savingWords.saving}
        {status.kind === 'waiting' &&
          (status.isOnDevice ? savingWords.waitingOnDevice(status.open) : savingWords.waitingInPage)}
      </span>
      {status.kind === 'waiting' && (
        <Button look="link" onClick={queue.retry}>
          {savingWords.tryNow}
        </Button>
      )}
      {conflict && (
        <span role="alert">
          {trouble ?? savingWords.conflict}{' '}
          {compare && (
            <Button look="link" onClick={() => void look(compare)}>
              {savingWords.compare}
            </Button>
          )}
        </span>
      )}
      {refused.map(({ draft, problem }) => (
        <span key={draft.id} role="alert">
          {savingWords.refused(problem.errors?.[0]?.message ?? problem.detail ?? problem.title)}{' '}
          <Button
            look="link"
            onClick={() => {
              queue.discard(draft.id);
              onGivenUp?.();
            }}
          >
            {savingWords.giveUp}
          </Button>
        </span>
      ))}
      {conflict && compare && other && (
        <Versions
          rows={differencesOf(compare.mine(conflict.draft.body), other.facts)}
          onClose={() => setOther(undefined)}
          onKeep={() => {
            other.beforeKeeping?.();
            queue.overwrite(other.version);
          }}
          onTake={() => {
            queue.yieldTo(other.version);
            other.take();
          }}
        />
      )}
    </span>
  );
}

function Versions({
  rows,
  onClose,
  onKeep,
  onTake,
}: {
  readonly rows: readonly Difference[];
  readonly onClose: () => void;
  readonly onKeep: () => void;
  readonly onTake: () => void;
}) {
  const decide = (decision: () => void) => () => {
    decision();
    onClose();
  };
  return (
    <Dialog title={savingWords.bothVersions} isOpen onClose={onClose} size="wide">
      {rows.length === 0 ? (
        <p>{savingWords.same}</p>
      ) : (
        <table className={styles['versions']}>
          <thead>
            <tr>
              <th scope="col">{savingWords.whatDiffers}</th>
              <th scope="col">{savingWords.yours}</th>
              <th scope="col">{savingWords.theirs}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, yours, others }) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td>{yours || savingWords.nothing}</td>
                <td>{others || savingWords.nothing}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className={styles['choice']}>
        <Button look="filled" onClick={decide(onKeep)}>
          {savingWords.keepYours}
        </Button>
        <Button onClick={decide(onTake)}>{savingWords.takeTheirs}</Button>
      </div>
    </Dialog>
  );
}

interface Difference {
  readonly name: string;
  readonly yours: string;
  readonly others: string;
}

/** What two versions say differently, in the order in which the first says it. */
export function differencesOf(mine: Facts, theirs: Facts): readonly Difference[] {
  const names = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
  return names
    .map((name) => ({ name, yours: mine[name] ?? '', others: theirs[name] ?? '' }))
    .filter(({ yours, others }) => yours !== others);
}
