import type { Content } from 'pdfmake/interfaces';
import { anatomy } from '../../catalogue/anatomy';
import { homeWordsOf } from '../../catalogue/homecare/homecare';
import { tellHomeStep } from '../../catalogue/homecare/tell';
import type { HomeWords } from '../../catalogue/homecare/words';
import type { HomeWish } from '../../contracts/home';
import { bestDrawing, viewsOf } from '../../core/figure/views';
import type { HomePart, HomeSheet, HomeStep } from '../../core/homecare/sheet';
import { figureOf, figureSvg } from './figure-svg';
import { makePdf, runs } from './pdf';

export interface PrintedHome {
  readonly sheet: HomeSheet;
  readonly wish: HomeWish;
  readonly language: string;
  readonly firstName: string;
  readonly house: string;
  readonly phone: string;
  readonly therapist: string;
}

export type Paper = 'A4' | 'LETTER';

const drawingWidth = 122;
const logWeeks = 4;
const soft = '#564c5c';

interface NumberedStep {
  readonly step: HomeStep;
  readonly number: number;
}

/** The sheet to take home: large type, a drawing for each part with numbers and arrows, and a log to tick. */
export function printHome(given: PrintedHome, paper: Paper): Promise<Buffer> {
  const words = homeWordsOf(given.language);
  const { sheet, wish } = given;
  const routine = words.routines[sheet.routine];
  const minutes = Math.max(1, Math.round(sheet.seconds / 60));
  let number = 0;
  const parts = sheet.parts.map((part) => ({
    part,
    steps: part.steps.map((step): NumberedStep => ({ step, number: (number += 1) })),
  }));
  return makePdf({
    pageSize: paper,
    pageMargins: [48, 44, 48, 52],
    info: { title: routine.title },
    footer: (page, of) => ({
      columns: [
        { text: runs([given.house, given.phone].filter(Boolean).join(' · ')) },
        { text: runs(words.page.page(page, of)), alignment: 'right' },
      ],
      margin: [48, 14, 48, 0],
      fontSize: 11,
      color: soft,
    }),
    content: [
      { text: runs(routine.title), fontSize: 26, bold: true, lineHeight: 1.1 },
      {
        text: runs(
          `${given.firstName} · ${words.page.minutes(minutes)} · ${words.page.rhythm(wish.times.length, wish.daysPerWeek)}, ${words.page.at(wish.times)}`,
        ),
        fontSize: 14,
        margin: [0, 4, 0, 0],
      },
      { text: runs(routine.about), fontSize: 14, margin: [0, 2, 0, 8] },
      ...(wish.note ? [{ text: runs(wish.note), fontSize: 14, italics: true, margin: [0, 0, 0, 8] as Margin }] : []),
      ...boxed(words.page.beforeTitle, [...words.before, ...extra(words, sheet)]),
      ...parts.flatMap(({ part, steps }) => partContent(words, part, steps)),
      ...boxed(words.page.stopTitle, [...words.stop, words.page.caution]),
      ...logContent(words, wish),
    ],
  });
}

type Margin = [number, number, number, number];

const extra = (words: HomeWords, { routine }: HomeSheet): readonly string[] =>
  routine === 'mouth' ? words.whenMouth : routine === 'neck-jaw-tool' ? words.whenTool : [];

const boxed = (title: string, lines: readonly string[]): readonly Content[] => [
  {
    unbreakable: true,
    margin: [0, 4, 0, 10],
    stack: [
      { text: runs(title), fontSize: 16, bold: true, margin: [0, 0, 0, 2] },
      { ul: lines.map((line) => ({ text: runs(line), margin: [0, 0, 0, 2] })), fontSize: 13 },
    ],
  },
];

/** A part: its drawing at the left, its steps in large type at the right. */
function partContent(words: HomeWords, part: HomePart, steps: readonly NumberedStep[]): readonly Content[] {
  const drawings = drawingsOf(steps);
  const said = new Set<string>();
  const list = steps.flatMap(({ step, number }): Content[] => {
    const told = tellHomeStep(words, step);
    // How it is done is said once a part.
    const how: Content[] = said.has(told.how)
      ? []
      : [{ text: runs(told.how), fontSize: 12.5, italics: true, margin: [0, 3, 0, 3] }];
    said.add(told.how);
    const line = [told.count, told.brief].filter(Boolean).join(', ');
    return [
      ...how,
      {
        margin: [0, 0, 0, 3],
        columns: [
          { width: 24, text: String(number), fontSize: 14, bold: true, color: soft },
          {
            width: '*',
            text: [{ text: asArray(runs(told.title)), bold: true }, { text: asArray(runs(`  ${line}`)) }],
            fontSize: 14,
            lineHeight: 1.2,
          },
        ],
      },
    ];
  });
  return [
    {
      unbreakable: steps.length <= 12,
      margin: [0, 6, 0, 8],
      stack: [
        { text: runs(words.parts[part.id]), fontSize: 18, bold: true, margin: [0, 0, 0, 4] },
        {
          columns: [
            {
              width: drawingWidth * drawings.length + 6 * (drawings.length - 1),
              columns: drawings.map((svg): Content => ({ svg, width: drawingWidth })),
              columnGap: 6,
            },
            { width: '*', stack: list, margin: [14, 0, 0, 0] },
          ],
        },
      ],
    },
  ];
}

const asArray = (content: Content): Content[] => (Array.isArray(content) ? content : [content]);

/** As many drawings as it takes to show every step: most parts need one, some the back as well. */
function drawingsOf(steps: readonly NumberedStep[], width = drawingWidth): readonly string[] {
  const drawn: string[] = [];
  // A long stroke leads far away: it is drawn only where it is all that is done, or the part would look small.
  const near = steps.filter(({ step }) => step.kind !== 'carry');
  let rest = near.length > 0 ? near : steps;
  while (rest.length > 0 && drawn.length < 2) {
    const { view, side } = bestDrawing(
      anatomy,
      rest.flatMap(({ step }) => step.places),
    );
    const shown = rest.filter(({ step }) => step.places.some((place) => viewsOf(anatomy, place).includes(view)));
    if (shown.length === 0) break;
    const figure = figureOf(view, side);
    drawn.push(
      figureSvg(
        figure,
        shown.map(({ step, number }) => ({
          number,
          kind: step.kind,
          places: step.places,
          path: step.toward === null ? [] : [step.places[0] ?? '', ...step.via, step.toward],
        })),
        width,
      ),
    );
    rest = rest.filter((one) => !shown.includes(one));
  }
  return drawn;
}

/** Four weeks of days to tick, a box for each time. */
function logContent(words: HomeWords, { times }: HomeWish): readonly Content[] {
  const box = times.map(() => '☐').join(' ');
  return [
    {
      unbreakable: true,
      margin: [0, 8, 0, 0],
      stack: [
        { text: runs(words.page.log), fontSize: 16, bold: true },
        { text: runs(words.page.logHow), fontSize: 12, color: soft, margin: [0, 0, 0, 4] },
        {
          table: {
            headerRows: 1,
            widths: ['auto', ...words.page.days.map(() => '*')],
            body: [
              ['', ...words.page.days.map((day): Content => ({ text: runs(day), alignment: 'center' }))],
              ...Array.from({ length: logWeeks }, (_, week): Content[] => [
                { text: runs(words.page.week(week + 1)) },
                ...words.page.days.map((): Content => boxes(box)),
              ]),
            ],
          },
          layout: { hLineColor: () => '#c9bfce', vLineColor: () => '#c9bfce' },
          fontSize: 12,
        },
      ],
    },
  ];
}

/** Empty boxes, drawn: the font has none. */
function boxes(row: string): Content {
  const count = row.split(' ').length;
  const width = 13 * count + 5 * (count - 1);
  const squares = Array.from(
    { length: count },
    (_, i) => `<rect x="${0.5 + i * 18}" y="0.5" width="12" height="12" rx="3" fill="none" stroke="${soft}"/>`,
  );
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="13">${squares.join('')}</svg>`,
    alignment: 'center',
    margin: [0, 4, 0, 4],
  };
}
