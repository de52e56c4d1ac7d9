import { report, timed } from './report.mjs';

const six = [
  { id: 'nodes-removed-axillary', side: 'left' },
  { id: 'port', regions: ['chest-upper.left'] },
  { id: 'osteoporosis' },
  { id: 'multiple-sclerosis' },
  { id: 'anticoagulants' },
  { id: 'irradiated-skin', regions: ['breast.left'] },
];

/** Screening, judgement and all that they take out of a whole treatment, for a client with six findings. */
export async function benchJudgement(load) {
  const { judge, judged, wayRoundFor, everything } = await load('/tests/judged-client.ts');
  const { expandChoices } = await load('/src/core/treatment/expand.ts');
  const { judgeBlocks } = await load('/src/core/treatment/judge-blocks.ts');
  const { anatomy } = await load('/src/catalogue/anatomy.ts');
  const { shippedLibrary } = await load('/src/catalogue/library/library.ts');
  for (const protocols of [['aroma-whole-body'], ['upper-body-drainage', 'lifting-facial', 'stones-back']]) {
    const choices = protocols.map((protocol, i) => ({ id: `c${i + 1}`, protocol }));
    const blocks = expandChoices(anatomy, shippedLibrary, choices, 'left');
    const judgement = judge(six, everything);
    const wayRound = wayRoundFor(six, everything);
    const run = () => judgeBlocks(shippedLibrary, judgement, blocks, wayRound);
    report(`judgement, 6 findings: ${protocols.join(', ')}`, timed(run, 100, 300), 'under 5 ms');
  }
  report(
    'the same from the intake on',
    timed(() => judged(['aroma-whole-body'], six), 50, 100),
  );
}
