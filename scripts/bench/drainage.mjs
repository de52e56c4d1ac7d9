import { report, timed } from './report.mjs';

/** Every finding that changes a way, on one body. */
const everyRule = [
  { id: 'nodes-removed-inguinal', side: 'left' },
  { id: 'nodes-removed-axillary', side: 'right' },
  { id: 'nodes-sentinel-neck', side: 'left' },
  { id: 'irradiated', regions: ['chest-upper.right', 'flank-upper.left'] },
  { id: 'scar', crosses: [['pubic.left', 'pubic.right']] },
  { id: 'port', regions: ['chest-upper.left'] },
  { id: 'open-wound', regions: ['shin-lower.right'] },
  { id: 'thickened', regions: ['ankle-inner.left', 'calf-lower.left'] },
];

/** Courses of three sizes, and looking through the longest of them. */
export async function benchDrainage(load) {
  const { anatomy } = await load('/src/catalogue/anatomy.ts');
  const { readCase, defaultSchool } = await load('/src/core/drainage/case.ts');
  const { planDrainage } = await load('/src/core/drainage/plan.ts');
  const { checkCourse, mendCourse } = await load('/src/core/drainage/check.ts');
  const given = (focus, findings, minutes) => {
    const read = readCase(anatomy, {
      ...{ focus, findings, minutes, purpose: 'swelling', school: defaultSchool, fill: false },
      qualifications: ['lymphoedema-certified'],
    });
    if (!read.ok) throw new Error(read.errors[0].message);
    return read.value;
  };
  const whole = given(['whole-body'], everyRule, 240);
  for (const [name, read] of [
    ['plan, one leg rerouted', given(['leg.left'], everyRule.slice(0, 1), 45)],
    ['plan, whole body, all rules, 240 min', whole],
    ['plan, whole body, all rules, too short at 30 min', given(['whole-body'], everyRule, 30)],
  ])
    report(
      name,
      timed(() => planDrainage(anatomy, read), 200, 30),
      'under 10 ms',
    );
  const { steps } = planDrainage(anatomy, whole);
  const reversed = [...steps].reverse();
  report(
    `check of ${steps.length} steps as planned`,
    timed(() => checkCourse(anatomy, whole, steps), 60),
  );
  report(
    'mend all of the same, reversed',
    timed(() => mendCourse(anatomy, whole, reversed), 30),
  );
}
