import type { RememberedView } from '../../contracts/remembered-views';
import type { PlaceId } from '../../core/anatomy/place';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import type { RegionMark } from '../../ui/body-map/map-marks';
import { bestDrawing } from '../../ui/body-map/views';
import { progressWords } from './progress.words';
import styles from './Remembered.module.css';

/** The map that remembers: what hands found over the visits, the fainter the longer ago. */
export function Remembered({ remembered }: { readonly remembered: readonly RememberedView[] }) {
  if (remembered.length === 0) return null;
  const regions = new Map<PlaceId, RegionMark>();
  // The most present of a place is drawn: it stands first.
  for (const { place, what, words, presence } of remembered)
    if (!regions.has(place))
      regions.set(place, {
        tone: 'tender',
        words: `${what.toLowerCase()}: ${words}`,
        strength: Math.max(0.15, presence),
      });
  return (
    <section className={styles['remembered']} aria-label={progressWords.whatHandsFound}>
      <h2>{progressWords.whatHandsFound}</h2>
      <p>{progressWords.fainterTheLongerAgo}</p>
      <div className={styles['both']}>
        <div className={styles['body']}>
          <BodyPanel
            label={progressWords.bodyOfFindings}
            initial={bestDrawing([...regions.keys()])}
            regions={regions}
          />
        </div>
        <ul>
          {remembered.map(({ kind, place, what, words }) => (
            <li key={`${kind} ${place}`}>
              <strong>{what}</strong> {words}
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}
