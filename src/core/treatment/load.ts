import type { Seconds } from '../quantities';
import { hasTrait } from '../library/technique';
import type { PlannedBlock } from './plan-treatment';

/** What a treatment asks of the therapist's own body, and where its minutes go. */
export interface TreatmentLoad {
  readonly thumbSeconds: Seconds;
  readonly standingSeconds: Seconds;
  readonly firmSeconds: Seconds;
  readonly byRegion: readonly { readonly region: string; readonly seconds: Seconds }[];
}

export function loadOf(blocks: readonly PlannedBlock[]): TreatmentLoad {
  const byRegion = new Map<string, number>();
  let [thumbSeconds, standingSeconds, firmSeconds] = [0, 0, 0];
  for (const block of blocks) {
    if (block.therapist !== 'head') standingSeconds += block.seconds;
    for (const step of block.steps) {
      if (hasTrait(step.technique, 'thumb-load')) thumbSeconds += step.seconds;
      if (step.pressure === 'firm') firmSeconds += step.seconds;
      for (const region of step.regions)
        byRegion.set(region, (byRegion.get(region) ?? 0) + step.seconds / step.regions.length);
    }
  }
  return {
    thumbSeconds,
    standingSeconds,
    firmSeconds,
    byRegion: [...byRegion].map(([region, seconds]) => ({ region, seconds })).sort((a, b) => b.seconds - a.seconds),
  };
}
