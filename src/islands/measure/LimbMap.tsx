import { BodyMap } from '../../ui/body-map/BodyMap';
import { type Band, TapeLines } from './TapeLines';

interface Props {
  readonly label: string;
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly positionsCm: readonly number[];
  /** The point at hand; null: none. */
  readonly hereCm?: number | null;
  readonly isHereAffected?: boolean;
  readonly bands?: readonly Band[];
}

const surroundings = {
  leg: ['thigh-upper-outer.left', 'thigh-upper-outer.right', 'toes.left', 'toes.right'],
  arm: ['shoulder-cap.left', 'shoulder-cap.right', 'fingers.left', 'fingers.right'],
} as const;

/** Both arms or both legs from the front with the points of a taping. */
export function LimbMap({ label, limb, side, positionsCm, hereCm = null, isHereAffected = true, bands = [] }: Props) {
  return (
    <BodyMap view="front" label={label} zoomTo={surroundings[limb]}>
      {(figure) => (
        <TapeLines
          figure={figure}
          limb={limb}
          side={side}
          positionsCm={positionsCm}
          hereCm={hereCm}
          isHereAffected={isHereAffected}
          bands={bands}
        />
      )}
    </BodyMap>
  );
}
