import { report, timed } from './report.mjs';

/** Five minutes of contact, beside a grid twice as fine; the stones of a whole visit. */
export async function benchStones(load) {
  const { stoneBook } = await load('/src/catalogue/stones/stones.ts');
  const { contactOf } = await load('/src/core/stones/contact.ts');
  const { rotate } = await load('/src/core/stones/rotation.ts');
  const laid = {
    ...{ material: 'basalt', thicknessMm: 25, startC: 50, mode: 'still', towelLayers: 1, seconds: 300 },
    ...{ skin: 'normal', skinStartC: 33, ambientC: 24 },
  };
  for (const [name, change] of [
    ['at rest on a cloth', {}],
    ['at rest on bare skin', { towelLayers: 0 }],
    ['gliding', { mode: 'moving', startC: 52 }],
  ]) {
    const given = { ...laid, ...change };
    report(
      `stone, 300 s ${name}`,
      timed(() => contactOf(stoneBook, given), 20, 1),
      'under 40 ms',
    );
    const [usual, fine] = [contactOf(stoneBook, given), contactOf(stoneBook, given, 2)];
    const peakOff = (usual.basalPeakC - fine.basalPeakC).toFixed(3);
    const harmOff = ((usual.omega / fine.omega - 1) * 100).toFixed(1);
    console.log(`  against cells and steps half as large: peak ${peakOff}° off, harm ${harmOff} %`);
  }
  const steps = Array.from({ length: 12 }, (_, i) => ({
    ...{ id: `s${i}`, startS: i * 240, durationS: 200, class: i % 2 === 0 ? 'palm' : 'large', count: 2 },
    ...{ mode: 'moving', flip: true, towelLayers: 0, usefulC: 42, firstContactC: 50 },
  }));
  const stock = ['palm', 'large'].map((size) => ({ class: size, size, material: 'basalt', count: 8 }));
  const rotation = { bathC: 51, toleranceC: 1, ambientC: 24, stock, steps };
  report(
    'stones of a visit, 12 steps of two sizes',
    timed(() => rotate(stoneBook, rotation)),
  );
}
