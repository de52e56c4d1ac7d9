/** Measures time and says it in one line: median, 95th percentile and what the design asks for. */

/** @returns how long something takes (ms) */
export const time = (run) => {
  const start = performance.now();
  run();
  return performance.now() - start;
};

/** @returns how long it takes, time and again (ms each), after it has been run `warm` times unmeasured */
export const timed = (run, times = 20, warm = 0) => {
  for (let i = 0; i < warm; i += 1) run();
  return Array.from({ length: times }, () => time(run));
};

/** The same for what answers later; `run` gets the number of the turn. */
export async function timedLater(run, times, warm = 0) {
  const taken = [];
  for (let i = 0; i < warm + times; i += 1) {
    const start = performance.now();
    await run(i);
    if (i >= warm) taken.push(performance.now() - start);
  }
  return taken;
}

const quantile = (sorted, q) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))];

/** @param reach what the design asks for, in words; – when it asks for nothing */
export function report(name, times, reach = '–') {
  const sorted = [...times].sort((a, b) => a - b);
  const ms = (q) => {
    const value = quantile(sorted, q);
    return `${value.toFixed(value < 10 ? 2 : 1)} ms`.padStart(10);
  };
  console.log(`${name.padEnd(52)} median ${ms(0.5)}   p95 ${ms(0.95)}   reach ${reach}`);
}
