import { batchSeconds, readySeconds, recoverSeconds } from './bath';
import type { MaterialId, StonePhysics } from './book';
import type { StoneHabits } from './habits';
import { shapeOf, type StoneSize } from './shape';
import type { Medium } from './book';

export interface BathStone extends StoneSize {
  readonly material: MaterialId;
}

const tapC = 15;
const roomC = 21;

/** Seconds to bring the water of a hot bath up, and then all stones; null where the heater cannot. */
export function warmUpSeconds(
  physics: StonePhysics,
  materials: Readonly<Record<MaterialId, Medium>>,
  habits: StoneHabits,
  stones: readonly BathStone[],
): number | null {
  const { hotBathC, waterLitres, heaterW, toleranceC } = habits;
  // On the way up half of the loss at the set temperature is lost on the mean.
  const spareW = heaterW - (physics.bathLossWK * (hotBathC - physics.ambientC)) / 2;
  if (heaterW <= physics.bathLossWK * (hotBathC - physics.ambientC)) return null;
  const water = (physics.waterJLK * waterLitres * (hotBathC - tapC)) / spareW;
  let [slowest, heat] = [0, 0];
  for (const stone of stones) {
    const medium = materials[stone.material];
    const shape = shapeOf(stone, medium, physics.thomsenExponent);
    heat += shape.heatJK;
    slowest = Math.max(slowest, readySeconds(shape, medium, physics, { startC: roomC, bathC: hotBathC, toleranceC }));
  }
  const recover = recoverSeconds(heat, physics, { count: 1, startC: roomC, bathC: hotBathC, waterLitres, heaterW });
  return water + batchSeconds(slowest, recover ?? 0);
}
