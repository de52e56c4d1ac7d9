import { roomWords } from './room.words';
import { useState } from 'react';
import type { RoomView } from '../../contracts/room-view';
import { formatClock } from '../../core/units';
import { Button, ButtonLink } from '../../ui/button/Button';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { send, sentenceOf } from '../api';
import { Countdown } from '../day/Countdown';
import { StoneTrouble } from '../treatment/StoneTrouble';
import { VisitHead } from '../visit-head/VisitHead';
import styles from './RoomList.module.css';
import { unpacked } from '../../ui/frame/packed';

const kindWords = {
  heat: 'heat',
  cool: 'cool',
  blend: 'blend',
  'lay-out': roomWords.layOut,
  hands: 'yourself',
  water: roomWords.forTheClient,
} as const;
type PlanWish = NonNullable<NonNullable<RoomView['visit']['plan']>['treatment']>['wish'];

const minuteMs = 60_000;

/** What to heat, blend and lay out before a client comes, in the order in which it is done; ticks are kept. */
export function RoomList({ room, now }: { readonly room: RoomView; readonly now: string }) {
  const { visit, items } = room;
  const [ready, setReady] = useState<ReadonlySet<string>>(
    () => new Set(items.filter(({ isReady }) => isReady).map(({ key }) => key)),
  );
  const [status, setStatus] = useState(roomWords.ticksAreKeptAsYouSet);
  useShortcuts([
    { keys: ['Tab'], words: roomWords.nextOnTheList },
    { keys: ['Space'], words: roomWords.readyOrNotYet },
  ]);
  const tick = (key: string, isReady: boolean) => {
    const next = new Set(ready);
    if (isReady) next.add(key);
    else next.delete(key);
    setReady(next);
    setStatus(roomWords.saving);
    send('PUT /api/visits/{id}/ready', { params: { id: visit.id }, body: { ready: [...next] } })
      .then(() => setStatus(roomWords.ticksAreKeptAsYouSet))
      .catch((error: unknown) => {
        setStatus(sentenceOf(error));
        setReady(ready);
      });
  };
  const takeStones = async (stones: NonNullable<PlanWish['stones']>) => {
    if (!visit.plan?.treatment) return;
    const { wish } = visit.plan.treatment;
    setStatus(roomWords.saving);
    try {
      const body = { ...wish, stones: { ...wish.stones, ...stones }, reason: '', basedOn: visit.plan.version };
      await send('POST /api/visits/{id}/treatment', { params: { id: visit.id }, body });
      window.location.reload();
    } catch (error) {
      setStatus(sentenceOf(error));
    }
  };
  const left = items.filter(({ key }) => !ready.has(key)).length;
  const treatment = visit.plan?.treatment;
  return (
    <>
      <VisitHead visit={visit} here="prepare" />
      <div className={styles['view']}>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>
              {roomWords.theRoomBefore} {visit.client.name.split(' ')[0]} {roomWords.comes}
            </h2>
            <span>
              {items.length === 0 ? '' : left === 0 ? roomWords.allIsReady : roomWords.ofToDo(left, items.length)}
            </span>
          </div>
          {treatment?.stones && <StoneTrouble stones={treatment.stones} onTake={(stones) => void takeStones(stones)} />}
          {items.length === 0 ? (
            <p className={styles['empty']}>
              {roomWords.nothingIsPlannedYetSoNothing} <a href={`/visits/${visit.id}/plan`}>{roomWords.toThePlan}</a>
            </p>
          ) : (
            <ol className={styles['items']}>
              {items.map(({ key, what, why, kind, at, minutesBefore, oil }) => (
                <li key={key} data-kind={kind}>
                  <label>
                    <span className={styles['at']}>
                      <strong>{at}</strong>
                      <Countdown
                        startsAt={new Date(Date.parse(visit.startsAt) - minutesBefore * minuteMs).toISOString()}
                        now={now}
                      />
                    </span>
                    <input
                      type="checkbox"
                      checked={ready.has(key)}
                      onChange={(event) => tick(key, event.target.checked)}
                    />
                    <span className={styles['what']}>
                      <strong>{what}</strong>
                      <span>{why}</span>
                    </span>
                    <em>{kindWords[kind]}</em>
                  </label>
                  {oil && (
                    <p className={styles['oil']}>
                      {oil.words} <a href={oil.href}>{oil.act}</a>
                    </p>
                  )}
                </li>
              ))}
            </ol>
          )}
        </main>
        <aside className={styles['aside']} aria-label={roomWords.whatItIsFor} tabIndex={0}>
          <h2>{roomWords.min(visit.time, visit.minutes)}</h2>
          {treatment ? (
            <ol className={styles['parts']}>
              {treatment.blocks.map((block) => (
                <li key={block.id}>
                  {block.changeWords.length > 0 && <span>{block.changeWords.join(' ')}</span>}
                  <strong>{block.name}</strong>
                  <em>{formatClock(block.seconds)}</em>
                </li>
              ))}
            </ol>
          ) : (
            <p>{visit.work}</p>
          )}
        </aside>
      </div>
      <footer className={styles['foot']}>
        <span role="status">{status}</span>
        <Button look="link" onClick={() => window.print()}>
          {roomWords.print}
        </Button>
        <ButtonLink href={`/visits/${visit.id}/plan`}>{roomWords.backToThePlan}</ButtonLink>
        <ButtonLink look="filled" href={`/visits/${visit.id}/table`}>
          {roomWords.toTheTable}
        </ButtonLink>
      </footer>
    </>
  );
}

/** As the page shows it. */
export const RoomIsland = unpacked(RoomList);
