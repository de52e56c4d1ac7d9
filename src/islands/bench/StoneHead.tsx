import { benchWords } from './bench.words';
import type { StoneBenchView } from '../../contracts/stone-views';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { BenchNav } from './BenchNav';
import styles from './StoneHead.module.css';

const likeWords = { cooler: benchWords.likesItMild, warmer: benchWords.likesItWarm } as const;

/** Whose stones these are, and the way to those of the day and of other visits. */
export function StoneHead({ visit, visits, inUse }: Pick<StoneBenchView, 'visit' | 'visits'> & { inUse: number }) {
  const likes =
    visit && visit.limits.likes in likeWords ? [likeWords[visit.limits.likes as keyof typeof likeWords]] : [];
  const about = visit
    ? [visit.time, benchWords.skin(visit.limits.skin), ...likes, visit.work]
    : [benchWords.stonesInUse(inUse)];
  return (
    <div className={styles['head']}>
      <h1>{visit ? benchWords.stonesFor(visit.client) : benchWords.stones2}</h1>
      <p>{about.join(' · ')}</p>
      <div>
        {visits.length > 0 && (
          <a href="/bench/stones" aria-current={visit ? undefined : 'page'}>
            {benchWords.theDay}
          </a>
        )}
        {visits.map(({ id, client, time }) => (
          <a key={id} href={`/bench/stones?visit=${id}`} aria-current={id === visit?.id ? 'page' : undefined}>
            {time} {client.split(' ')[0]}
          </a>
        ))}
        <BenchNav here="stones" visitId={visit?.id ?? null} />
        <Shortcuts />
      </div>
    </div>
  );
}
