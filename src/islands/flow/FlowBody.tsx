import { useEffect, useRef, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { PlaceId } from '../../core/anatomy/place';
import type { DrawingChoice } from '../../core/figure/views';
import type { Flow } from '../../core/flow/flow';
import { type Frame, frameAt } from '../../core/flow/frames';
import { flowFigures } from '../../core/flow/model';
import type { Seconds } from '../../core/quantities';
import { BodyMap } from '../../ui/body-map/BodyMap';
import type { RegionMark } from '../../ui/body-map/map-marks';
import type { NodeState } from '../../ui/body-map/MapNode';
import { flowWords } from './flow.words';
import styles from './Replay.module.css';
import type { Replay } from './useReplay';

interface Props {
  readonly title: string;
  readonly flow: Flow;
  readonly drawing: DrawingChoice;
  readonly nodes: ReadonlyMap<PlaceId, NodeState>;
  /** Follows a replay; without one it stands still at `second`. */
  readonly replay?: Replay;
  readonly second: Seconds;
}

/** Depth of the colour: none when empty, full at what skin holds. */
const depthOf = (place: PlaceId, ml: number): number => {
  const capacityMl = flowFigures.placementCapacityMl * (anatomy.territories.get(place)?.placements ?? 1);
  return Math.min(1, ml / capacityMl);
};

/** One body that fills and empties. Every frame is written straight into the drawing. */
export function FlowBody({ title, flow, drawing, nodes, replay, second }: Props) {
  const host = useRef<HTMLDivElement>(null);
  /** What lies under the finger or the pointer, with what it holds. */
  const [pointed, setPointed] = useState<string>();
  const { onFrame } = replay ?? {};
  useEffect(() => {
    let shown = second;
    const draw = (now: Seconds) => {
      shown = now;
      paint(host.current, flow, frameAt(flow, now));
    };
    const stop = onFrame?.(draw);
    if (!onFrame) draw(second);
    // The drawing is fetched: what is to be seen is painted once it is here.
    const watch = new MutationObserver(() => draw(shown));
    if (host.current) watch.observe(host.current, { childList: true, subtree: true });
    return () => {
      stop?.();
      watch.disconnect();
    };
    // While it follows a replay, frames say the second.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [flow, onFrame, onFrame ? 0 : second]);
  const frame = frameAt(flow, second);
  const marks = new Map<PlaceId, RegionMark>(
    Object.keys(flow.places)
      .filter((id) => anatomy.territories.has(id))
      .map((id) => [id, { tone: 'fluid', words: flowWords.ml(frame.ml(id).toFixed(0)) }]),
  );
  return (
    <figure className={styles['body']}>
      <figcaption>{title}</figcaption>
      <div ref={host}>
        <BodyMap
          view={drawing.view}
          side={drawing.side}
          label={flowWords.bodyAt(title, frame.drainedMl.toFixed(0))}
          regions={marks}
          nodes={nodes}
          onPoint={setPointed}
        />
      </div>
      <strong>{flowWords.out(frame.drainedMl.toFixed(0))}</strong>
      <small className={styles['pointed']}>{pointed}</small>
    </figure>
  );
}

function paint(host: HTMLElement | null, flow: Flow, frame: Frame): void {
  if (!host) return;
  for (const path of host.querySelectorAll<SVGPathElement>('[data-tone="fluid"][data-region]')) {
    const place = path.dataset['region'] ?? '';
    const percent = (88 * depthOf(place, frame.ml(place))).toFixed(1);
    if (flow.places[place]) path.style.fill = `color-mix(in oklab, var(--river) ${percent}%, var(--skin))`;
  }
}
