import type { StoneBenchView } from '../../contracts/stone-views';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { BenchNav } from './BenchNav';
import styles from './StoneHead.module.css';
import { knobs } from './stone-setting';

const keys = [
  [['←', '→'], 'a degree cooler, warmer'],
  ...knobs.map(({ letter, tells }) => [[letter.toUpperCase()], tells] as const),
  [['W'], 'pin what is, to compare with'],
  [['V'], 'next visit with stones'],
] as const;

const likeWords = { cooler: 'likes it mild', warmer: 'likes it warm' } as const;

/** Whose stones these are, and the way to those of the day and of other visits. */
export function StoneHead({ visit, visits, inUse }: Pick<StoneBenchView, 'visit' | 'visits'> & { inUse: number }) {
  const likes =
    visit && visit.limits.likes in likeWords ? [likeWords[visit.limits.likes as keyof typeof likeWords]] : [];
  const about = visit ? [visit.time, `${visit.limits.skin} skin`, ...likes, visit.work] : [`${inUse} stones in use`];
  return (
    <div className={styles['head']}>
      <h1>{visit ? `Stones for ${visit.client}` : 'Stones'}</h1>
      <p>{about.join(' · ')}</p>
      <div>
        {visits.length > 0 && (
          <a href="/bench/stones" aria-current={visit ? undefined : 'page'}>
            the day
          </a>
        )}
        {visits.map(({ id, client, time }) => (
          <a key={id} href={`/bench/stones?visit=${id}`} aria-current={id === visit?.id ? 'page' : undefined}>
            {time} {client.split(' ')[0]}
          </a>
        ))}
        <BenchNav here="stones" visitId={visit?.id ?? null} />
        <Shortcuts list={keys} />
      </div>
    </div>
  );
}
