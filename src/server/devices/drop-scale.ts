import type { DropScaleInput } from '../../contracts/oil-house';
import type { ScaleReading } from '../../core/oils/drop-scale';

/** A scale that drops are weighed on. */
export interface DropScale {
  readonly reading: () => ScaleReading;
}

/** A stand-in: drops of some oil fall on it, each as heavy as they are, rounded to its milligrams. */
export class SimulatedDropScale implements DropScale {
  #isOn = true;
  #grams = 0;

  reading(): ScaleReading {
    return { isOn: this.#isOn, text: this.#isOn ? `${this.#grams.toFixed(3)} g` : '' };
  }

  /** Lets drops fall, sets it to zero, or switches it off and on. */
  drive({ drops = 0, densityGPerMl = 0.9, dropsPerMl = 27, isOn, tare }: DropScaleInput): void {
    if (isOn !== undefined) this.#isOn = isOn;
    if (tare === true) this.#grams = 0;
    this.#grams += (drops * densityGPerMl) / dropsPerMl;
  }
}

let scale: SimulatedDropScale | undefined;

/** The scale of this house; a real one would be connected here. */
export const houseScale = (): SimulatedDropScale => (scale ??= new SimulatedDropScale());
