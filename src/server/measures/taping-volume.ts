import type { ClientId } from '../../core/ids';
import type { TapingView } from '../../contracts/visit-views';
import type { LimbVolume } from '../../core/swelling/limb-volume';
import { usualVolume, volumeSettings, type VolumeSettings } from '../../core/swelling/settings';
import { type Pass, tapingVolume } from '../../core/swelling/taping';
import type { Db } from '../db/connection';
import type { TapingRow } from '../db/schema';
import { findClientMeasuring } from './measures.repository';
import { findMeasuring } from '../people/settings.repository';
import { toTaping } from './tapings.repository';

type Girths = Pick<TapingView, 'limb' | 'side' | 'unit' | 'positions'> & Pass;

/** Volume of a taping as far as it has been taken: null while too few points are there. */
export function volumeOf(taping: Girths, settings: VolumeSettings = usualVolume): LimbVolume | null {
  const both = tapingVolume(taping, settings);
  if (both.ok) return both.value;
  // The other limb may not be there yet.
  const alone = tapingVolume({ ...taping, reference: taping.positions.map(() => null) }, settings);
  return alone.ok ? alone.value : null;
}

/** A stored taping with its volume worked out afresh from the raw girths, so that a series shares one set of settings. */
export function withVolume(row: TapingRow, settings: VolumeSettings = usualVolume): TapingView {
  const taping = toTaping(row, null);
  return { ...taping, volume: volumeOf(taping, settings) };
}

/** What volumes of a client are worked out with: the house's settings and what is particular to the client. */
export async function readVolumeSettings(db: Db, clientId: ClientId): Promise<VolumeSettings> {
  const [house, client] = await Promise.all([findMeasuring(db), findClientMeasuring(db, clientId)]);
  return volumeSettings(house, client);
}
