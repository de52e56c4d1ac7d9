import type { Content } from 'pdfmake/interfaces';
import { anatomy } from '../../catalogue/anatomy';
import { homeWordsOf } from '../../catalogue/homecare/homecare';
import { type HomeLine, linesOf } from '../../catalogue/homecare/lines';
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

const drawingWidth = 92;
const logWeeks = 4;
const soft = '#564c5c';

interface NumberedLine {
  readonly line: HomeLine;
  readonly number: number;
}

interface NumberedStep {
  readonly step: HomeStep;
  readonly number: number;
}

/** The sheet to take home: large type, a drawing for each part with numbers and arrows, and a log to tick. */
export function printHome(input: PrintedHome, paper: Paper): Promise<Buffer> {
  const words = homeWordsOf(input.language);
  const { sheet, wish } = input;
  const routine = words.routines[sheet.routine];
  const minutes = Math.max(1, Math.round(sheet.seconds / 60));
  let number = 0;
  const parts = sheet.parts.map((part) => ({
    part,
    lines: linesOf(words, sheet, part).map((line): NumberedLine => ({ line, number: (number += 1) })),
  }));
  return makePdf({
    pageSize: paper,
    pageMargins: [48, 44, 48, 52],
    info: { title: routine.title },
    footer: (page, of) => ({
      columns: [
        { text: runs([input.house, input.phone].filter(Boolean).join(' · ')) },
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
          `${input.firstName} · ${words.page.minutes(minutes)} · ${words.page.rhythm(wish.times.length, wish.daysPerWeek)}, ${words.page.at(wish.times)}`,
        ),
        fontSize: 14,
        margin: [0, 4, 0, 0],
      },
      { text: runs(routine.about), fontSize: 14, margin: [0, 2, 0, 8] },
      ...(wish.note ? [{ text: runs(wish.note), fontSize: 14, italics: true, margin: [0, 0, 0, 8] as Margin }] : []),
      ...boxed(words.page.beforeTitle, [...words.before, ...extra(words, sheet)]),
      ...parts.flatMap(({ part, lines }) => partContent(words, part, lines)),
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
    margin: [0, 2, 0, 4],
    stack: [
      { text: runs(title), fontSize: 14, bold: true, margin: [0, 0, 0, 1] },
      { ul: lines.map((line) => ({ text: runs(line), margin: [0, 0, 0, 1] })), fontSize: 12 },
    ],
  },
];

/** A part: its drawing at the left, its steps in large type at the right. */
function partContent(words: HomeWords, part: HomePart, lines: readonly NumberedLine[]): readonly Content[] {
  const drawings = drawingsOf(lines.flatMap(({ line, number }) => line.steps.map((step) => ({ step, number }))));
  const said = new Set<string>();
  const list = lines.flatMap(({ line, number }): Content[] => {
    // It stands where it is used; neighbours that are done alike say it once.
    const how: Content[] = said.has(line.how) ? [] : [{ text: runs(line.how), fontSize: 11.5, margin: [20, 0, 0, 4] }];
    said.add(line.how);
    return [
      {
        unbreakable: true,
        margin: [0, 0, 0, 2],
        columns: [
          { width: 20, text: String(number), fontSize: 13, bold: true, color: soft },
          {
            width: '*',
            text: [...asArray(runs(line.title, true)), ...asArray(runs(`  ${line.count}`))],
            fontSize: 13,
            lineHeight: 1.1,
          },
        ],
      },
      ...how,
    ];
  });
  return [
    {
      unbreakable: lines.length <= 4,
      margin: [0, 2, 0, 4],
      stack: [
        { text: runs(words.parts[part.id]), fontSize: 15, bold: true, margin: [0, 0, 0, 2] },
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
