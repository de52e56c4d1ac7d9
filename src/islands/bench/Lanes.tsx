import { benchWords } from './bench.words';
import type { Minutes, Seconds } from '../../core/quantities';
import type { RotationView } from '../../contracts/stone-views';
import styles from './Lanes.module.css';

interface Props {
  readonly rotations: readonly RotationView[];
  readonly minutes: Minutes;
}

const reasons = {
  'no-stock': benchWords.theHouseHasNoSuchStones,
  window: benchWords.noTemperatureIsBothUsefulAnd,
  rest: benchWords.itCannotComeToTheAllowed,
  'short-lived': benchWords.itCoolsWithinAQuarterOf,
} as const;

/** Stones as lanes: when each is out, on the client, and back in the bath. */
export function Lanes({ rotations, minutes }: Props) {
  const uses = rotations.flatMap(({ rotation }) => rotation.uses);
  const from = Math.min(0, ...uses.map(({ outS }) => outS));
  const to = Math.max(minutes * 60, ...uses.map(({ readyS }) => readyS));
  const at = (seconds: Seconds) => `${((seconds - from) / (to - from)) * 100}%`;
  const width = (a: number, b: number) => `${((b - a) / (to - from)) * 100}%`;
  const marks = Array.from({ length: Math.floor(to / 600) + 1 }, (_, i) => i * 600);
  return (
    <div className={styles['lanes']}>
      {rotations.map(({ isCold, rotation, names, bathC }) => {
        const lanes = grouped(rotation.uses);
        return (
          <div key={String(isCold)} role="group" aria-label={isCold ? benchWords.coolStones : benchWords.hotStones}>
            <h4>
              {isCold ? benchWords.coolBathAt(bathC) : benchWords.hotBathAt(bathC)}
              <small>
                {rotation.swaps} {rotation.swaps === 1 ? benchWords.swap : benchWords.swaps}
                {Object.entries(rotation.stonesInPlay).map(
                  ([name, count], i) => `${i === 0 ? ' · ' : ', '}${count} ${name.replace('-', ' ')}`,
                )}
              </small>
            </h4>
            <ol>
              {lanes.map(({ name, own }) => (
                <li key={name} data-missing={own.some(({ missing }) => missing) || undefined}>
                  <span>{name}</span>
                  <div className={styles['lane']}>
                    {own.map((use) => (
                      <div key={`${use.step} ${use.run}`}>
                        <i style={{ left: at(use.outS), width: width(use.outS, use.readyS) }} />
                        <b
                          style={{ left: at(use.fromS), width: width(use.fromS, use.toS) }}
                          data-cold={isCold || undefined}
                          title={benchWords.outOnToReady(
                            names[use.step] ?? '',
                            clock(use.outS),
                            clock(use.fromS),
                            clock(use.toS),
                            clock(use.readyS),
                          )}
                        >
                          {(use.toS - use.fromS) / (to - from) > leastForWords ? names[use.step] : ''}
                        </b>
                      </div>
                    ))}
                  </div>
                </li>
              ))}
            </ol>
            {blockedWords(rotation, names).map((words) => (
              <p key={words} className={styles['short']}>
                {words}
              </p>
            ))}
            {rotation.shortages.map(({ class: name, short, fromS, toS }) => (
              <p key={`${name} ${fromS}`} className={styles['short']}>
                {benchWords.shortBy} {short} {name.replace('-', ' ')}{' '}
                {short === 1 ? benchWords.stone : benchWords.stones} {benchWords.between} {clock(fromS)}{' '}
                {benchWords.and} {clock(toS)}.
              </p>
            ))}
          </div>
        );
      })}
      <div className={styles['scale']} aria-hidden="true">
        {marks.map((mark) => (
          <span key={mark} style={{ left: at(mark) }}>
            {mark / 60}
          </span>
        ))}
      </div>
      {rotations.flatMap(({ waysOut }) => waysOut).length > 0 && (
        <p className={styles['ways']}>
          {benchWords.itCanBeDoneWith(
            rotations.flatMap(({ waysOut }) => waysOut.map(({ words }) => words)).join(' · or '),
          )}
        </p>
      )}
      {rotations
        .flatMap(({ spared }) => spared)
        .map((words) => (
          <p key={words} className={styles['ways']}>
            {words}
          </p>
        ))}
    </div>
  );
}

/** What cannot be done with the house's stones; steps of several parts that are called alike are named once. */
const blockedWords = ({ blocked }: RotationView['rotation'], names: RotationView['names']): readonly string[] => [
  ...new Set(blocked.map(({ step, reason }) => benchWords.cannotBeDone(names[step] ?? step, reasons[reason]))),
];

/** A minute of the visit; never written like the time of day. */
const clock = (seconds: Seconds) => {
  const [minutes, rest] = [Math.floor(Math.abs(seconds) / 60), Math.abs(seconds) % 60];
  return `${seconds < 0 ? '−' : ''}${minutes} min${rest > 0 ? ` ${rest} s` : ''}`;
};

const leastForWords = 0.07;

type Use = RotationView['rotation']['uses'][number];

const numberOf = (name: string) => Number(name.slice(name.lastIndexOf('-') + 1));
const classOf = (name: string) => name.slice(0, name.lastIndexOf('-'));

/** Stones that serve at the same times share a lane, as `palm 1, 2`. */
function grouped(uses: readonly Use[]): readonly { readonly name: string; readonly own: readonly Use[] }[] {
  const byStone = new Map<string, Use[]>();
  for (const use of uses) byStone.set(use.stone, [...(byStone.get(use.stone) ?? []), use]);
  const lanes = new Map<string, { stones: string[]; own: readonly Use[] }>();
  for (const [stone, own] of byStone) {
    const key = `${classOf(stone)} ${own.map(({ outS, readyS, missing }) => `${outS}-${readyS}-${missing}`).join(' ')}`;
    lanes.set(key, { stones: [...(lanes.get(key)?.stones ?? []), stone], own });
  }
  return [...lanes.values()]
    .map(({ stones, own }) => {
      const numbers = stones.map(numberOf).sort((a, b) => a - b);
      const kind = classOf(stones[0] ?? '').replaceAll('-', ' ');
      return { name: `${kind} ${numbers.join(', ')}`, kind, first: numbers[0] ?? 0, own };
    })
    .sort((a, b) => a.kind.localeCompare(b.kind) || a.first - b.first);
}
