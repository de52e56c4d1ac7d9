import { report, timed } from './report.mjs';

const busyIntake = [
  ...['nodes-removed-axillary', 'port', 'varicose-veins', 'osteoporosis', 'anticoagulants', 'many-medicines'],
  'latex-allergy',
];

/** A busy intake, and every condition there is, against all modalities and the whole body. */
export async function benchScreening(load) {
  const { screeningBook } = await load('/src/catalogue/screening/screening.ts');
  const { readScreening } = await load('/src/core/screening/read-request.ts');
  const { screen } = await load('/src/core/screening/screen.ts');
  const screenAll = (ids) => () => {
    const conditions = ids.map((id) => ({
      id,
      ...(screeningBook.conditions.get(id).locatable === 'side' ? { side: 'left' } : {}),
    }));
    const request = {
      visitDate: '2026-11-25',
      age: 54,
      conditions,
      qualifications: ['massage', 'lymphoedema-certified'],
    };
    return screen(screeningBook, readScreening(screeningBook, request).value);
  };
  report('screening, 7 conditions, 18 modalities', timed(screenAll(busyIntake), 300, 600), 'under 2 ms');
  report('screening, every condition there is', timed(screenAll([...screeningBook.conditions.keys()]), 300, 600));
}
