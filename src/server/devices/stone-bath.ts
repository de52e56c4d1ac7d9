import type { Celsius, Seconds } from '../../core/quantities';
import { stoneBook } from '../../catalogue/stones/stones';
import type { BathDeviceInput } from '../../contracts/stones';
import type { RawReading } from '../../core/stones/thermometer';

/** A bath with a thermometer that is read every few seconds. */
export interface StoneBath {
  /** What the thermometer said, the oldest first. */
  readonly readings: () => readonly RawReading[];
  readonly state: () => BathDeviceState;
}

export interface BathDeviceState {
  readonly isOn: boolean;
  readonly setC: Celsius;
  readonly waterC: Celsius;
  readonly stones: number;
  readonly fault: NonNullable<BathDeviceInput['fault']>;
}

const readEveryMs = 2000;
const mostReadings = 120;
const stoneHeatJK = 118;
const driftKPerS = -0.004;
const tapC = 15;

/** A stand-in for a bath: it warms by its heater, loses through its walls, and can be made to drift or fail. */
export class SimulatedBath implements StoneBath {
  #waterC = tapC;
  #setC = 54;
  #isOn = false;
  #stones = 0;
  #fault: BathDeviceState['fault'] = 'none';
  #atMs: number;
  #said: RawReading[] = [];

  constructor(
    private readonly now: () => number,
    private readonly waterLitres = 6,
    private readonly heaterW = 500,
  ) {
    this.#atMs = now();
  }

  state(): BathDeviceState {
    this.#run(this.now());
    return { isOn: this.#isOn, setC: this.#setC, waterC: this.#waterC, stones: this.#stones, fault: this.#fault };
  }

  readings(): readonly RawReading[] {
    this.#run(this.now());
    return this.#said;
  }

  /** Turns a knob, puts stones in, breaks something, or lets time pass. */
  drive({ isOn, setC, stones, fault, skipS }: BathDeviceInput): BathDeviceState {
    this.#run(this.now());
    if (isOn !== undefined) this.#isOn = isOn;
    if (setC !== undefined) this.#setC = setC;
    if (stones !== undefined) this.#putIn(stones);
    if (fault !== undefined) this.#fault = fault;
    if (skipS !== undefined) this.#skip(skipS);
    return this.state();
  }

  /** Cold stones take their warmth from the water at once. */
  #putIn(stones: number): void {
    const more = Math.max(0, stones - this.#stones);
    const water = stoneBook.physics.waterJLK * this.waterLitres + this.#stones * stoneHeatJK;
    const heat = more * stoneHeatJK;
    this.#waterC = (this.#waterC * water + 21 * heat) / (water + heat);
    this.#stones = stones;
  }

  /** What was said before lies so much further back; what is said on the way is said in its own time. */
  #skip(seconds: Seconds): void {
    this.#said = this.#said.map((one) => ({ ...one, atMs: one.atMs - seconds * 1000 }));
    for (let s = 1; s <= seconds; s += 1) {
      this.#second();
      if (s % (readEveryMs / 1000) === 0) this.#say(this.#atMs - (seconds - s) * 1000);
    }
  }

  #run(nowMs: number): void {
    while (this.#atMs + readEveryMs <= nowMs) {
      this.#atMs += readEveryMs;
      for (let s = 0; s < readEveryMs / 1000; s += 1) this.#second();
      this.#say(this.#atMs);
      if (nowMs - this.#atMs > 7_200_000) this.#atMs = nowMs;
    }
  }

  #second(): void {
    const { physics } = stoneBook;
    const capacity = physics.waterJLK * this.waterLitres + this.#stones * stoneHeatJK;
    const isHeating = this.#isOn && this.#fault !== 'drift' && this.#waterC < this.#setC;
    const gainW = isHeating ? this.heaterW : 0;
    const lossW = physics.bathLossWK * (this.#waterC - physics.ambientC);
    this.#waterC += (gainW - lossW) / capacity + (this.#fault === 'drift' ? driftKPerS : 0);
  }

  #say(atMs: number): void {
    if (this.#fault === 'stops') return;
    const text = this.#fault === 'text' ? 'Err 3' : this.#fault === 'nan' ? 'NaN' : this.#waterC.toFixed(1);
    this.#said = [...this.#said.slice(1 - mostReadings), { text, atMs }];
  }
}

let bath: SimulatedBath | undefined;

/** The bath of this house; a real one would be connected here. */
export const houseBath = (): SimulatedBath => (bath ??= new SimulatedBath(() => Date.now()));
