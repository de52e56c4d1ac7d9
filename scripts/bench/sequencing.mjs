import { report, time, timed } from './report.mjs';

/** Sixteen blocks that all differ, beside an integer program solved for the same question; sixty steps in 90 minutes. */
export async function benchSequencing(load) {
  const { sequenceBlocks } = await load('/src/core/sequencing/sequence.ts');
  const { fitTime } = await load('/src/core/sequencing/time-fit.ts');
  const { handStates, positions, blockSides, startSetting, tablePlaces, usualCosts } = await load(
    '/src/core/sequencing/block.ts',
  );
  const { leastOrderByProgram } = await load('/tests/integer-programs.ts');
  const blocksOf = (count) =>
    Array.from({ length: count }, (_, i) => ({
      ...{ id: `b${i}`, minutes: 5, after: [], position: positions[i % 3], hands: handStates[(i * 7) % 6] },
      ...{ therapist: tablePlaces[(i * 5) % 4], side: blockSides[(i * 11) % 3] },
    }));
  const blocks = blocksOf(16);
  report(
    'exact order of 16 blocks, none alike',
    timed(() => sequenceBlocks(blocks), 20, 1),
    'under 60 ms',
  );
  const few = blocksOf(9);
  const ownMs = time(() => sequenceBlocks(few));
  const start = performance.now();
  const least = await leastOrderByProgram(few, startSetting, usualCosts);
  const programMs = performance.now() - start;
  const { value } = sequenceBlocks(few);
  console.log(
    `order of 9 blocks: ours ${ownMs.toFixed(1)} ms, an integer program ${programMs.toFixed(0)} ms, ${value.setupSeconds} and ${Math.round(least)} s`,
  );
  const steps = Array.from({ length: 60 }, (_, i) => ({
    ...{ id: `s${i}`, secondsPerRepetition: 3 + ((i * 7) % 17), overheadSeconds: 8, weight: 1 + (i % 5) / 3 },
    ...{ min: 2 + (i % 2), usual: 12 + (i % 3), max: 18 + (i % 4), optional: i % 4 === 0, stretchable: i % 3 === 0 },
  }));
  report(
    'exact time fit of 60 steps, 90 min',
    timed(() => fitTime(steps, 5400), 40),
    'under 30 ms',
  );
}

/** What is offered when clock and plan have drifted apart: the exact fit over a treatment of sixty steps. */
export async function benchRefit(load) {
  const { waysToCatchUp } = await load('/src/core/table/refit.ts');
  const { noChange } = await load('/src/core/table/progress.ts');
  const steps = Array.from({ length: 60 }, (_, i) => ({
    ...{ id: `s${i}`, kind: 'soften', place: 'back-upper.left', toward: null, via: [], pressure: 'light' },
    ...{ repetitions: 6, placements: 1, seconds: 60, rules: [], why: '', cautions: [] },
    fit: { min: 2 + (i % 3), max: 10, secondsPerRepetition: 8 + (i % 4), isStretchable: i % 5 === 0 },
    told: {
      ...{ title: `Stroke ${i}`, how: '', cue: '', note: '', block: `part ${Math.floor(i / 6)}` },
      ...{ count: 'repetitions', places: ['back-upper.left'] },
    },
  }));
  const clock = { index: 3, stepSeconds: 20, visitSeconds: 620, availableSeconds: 3600, plannedSeconds: 3600 };
  if (waysToCatchUp(steps, clock, noChange).length < 3) throw new Error('the re-fit offers less than three ways');
  report(
    're-fit of 60 steps, six minutes late',
    timed(() => waysToCatchUp(steps, clock, noChange), 40),
    'under 30 ms',
  );
}
