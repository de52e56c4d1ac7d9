import type { Content } from 'pdfmake/interfaces';
import { anatomy } from '../../catalogue/anatomy';
import { homeWordsOf } from '../../catalogue/homecare/homecare';
import { type HomeLine, linesOf } from '../../catalogue/homecare/lines';
import { beforeLines, type HomeWords } from '../../catalogue/homecare/words';
import type { HomeWish } from '../../contracts/home';
import { bestDrawing, viewsOf } from '../../core/figure/views';
import type { HomePart, HomeSheet, HomeStep } from '../../core/homecare/sheet';
import { emptyFigure, figureOf, figureSvg } from './figure-svg';
import { makePdf, picture, runs } from './pdf';
import { paperAnswers } from './paper.answers';

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

const drawingWidth = 78;
const smallDrawingWidth = 58;
const logWeeks = 4;
const soft = '#564c5c';

interface NumberedLine {
  readonly line: HomeLine;
  readonly number: number;
  /** Where the same was told already. */
  readonly before: number | undefined;
}

interface NumberedStep {
  readonly step: HomeStep;
  readonly number: number;
  readonly title: string;
}

/** Sizes of type that are tried, the largest first, until the sheet fits on both sides of one leaf. */
const scales = [1.1, 1, 0.94, 0.89];
const mostPages = 2;

/** A size of type in points, as large as the sheet allows. */
type Size = (points: number) => number;

/** The sheet to take home: large type, a drawing for each part with numbers and arrows, and a log to tick. */
export async function printHome(input: PrintedHome, paper: Paper): Promise<Buffer> {
  const sizes = scales.map(
    (scale): Size =>
      (points) =>
        Math.round(points * scale * 10) / 10,
  );
  for (const size of sizes.slice(0, -1)) {
    const { pages } = await printAt(input, paper, size, 'layout');
    if (pages <= mostPages) return (await printAt(input, paper, size, 'drawn')).pdf;
  }
  const [smallest] = sizes.slice(-1) as [Size];
  return (await printAt(input, paper, smallest, 'drawn')).pdf;
}

/** `layout`: how many pages it takes is found with empty frames instead of drawings, in half the time. */
type Pass = 'layout' | 'drawn';

async function printAt(
  input: PrintedHome,
  paper: Paper,
  size: Size,
  pass: Pass,
): Promise<{ readonly pdf: Buffer; readonly pages: number }> {
  const words = homeWordsOf(input.language);
  const { sheet, wish } = input;
  const routine = words.routines[sheet.routine];
  const minutes = Math.max(1, Math.round(sheet.seconds / 60));
  let number = 0;
  const firstAt = new Map<string, number>();
  const parts = sheet.parts.map((part) => ({
    part,
    lines: linesOf(words, sheet, part).map((line): NumberedLine => {
      number += 1;
      const { key } = line;
      const before = firstAt.get(key);
      if (before === undefined) firstAt.set(key, number);
      return { line, number, before };
    }),
  }));
  let pages = 0;
  const pdf = await makePdf({
    language: input.language,
    pageSize: paper,
    pageMargins: [42, 34, 42, 42],
    info: { title: routine.title },
    footer: (page, of) => {
      pages = of;
      return {
        columns: [
          { text: runs([input.house, input.phone].filter(Boolean).join(' · ')) },
          { text: runs(words.page.page(page, of)), alignment: 'right' },
        ],
        margin: [42, 8, 42, 0],
        fontSize: size(10.5),
        color: soft,
      };
    },
    content: [
      { text: runs(routine.title), fontSize: size(22), bold: true, lineHeight: 1.05 },
      {
        text: runs(
          `${input.firstName} · ${words.page.minutes(minutes)} · ${words.page.rhythm(wish.times.length, wish.daysPerWeek)}, ${words.page.at(wish.times)}`,
        ),
        fontSize: size(12.5),
        margin: [0, 2, 0, 0],
      },
      { text: runs(routine.about), fontSize: size(12.5), margin: [0, 1, 0, 4] },
      ...(wish.note
        ? [{ text: runs(wish.note), fontSize: size(12.5), italics: true, margin: [0, 0, 0, 4] as Margin }]
        : []),
      {
        columns: [
          { width: '*', stack: boxed(words.page.beforeTitle, beforeLines(words, sheet.routine), size) },
          { width: '*', stack: boxed(words.page.stopTitle, [...words.stop, words.page.caution], size) },
        ],
        columnGap: 18,
      },
      ...parts.flatMap(({ part, lines }) => partContent(words, part, lines, size, pass)),
      ...logContent(words, wish, size),
    ],
  });
  return { pdf, pages };
}

type Margin = [number, number, number, number];

const boxed = (title: string, lines: readonly string[], size: Size): Content[] => [
  {
    unbreakable: true,
    margin: [0, 2, 0, 4],
    stack: [
      { text: runs(title), fontSize: size(12.5), bold: true },
      { ul: lines.map((line) => ({ text: runs(line) })), fontSize: size(11), lineHeight: 1.12 },
    ],
  },
];

/** A part: its drawing at the left, its steps in large type at the right. */
function partContent(
  words: HomeWords,
  part: HomePart,
  lines: readonly NumberedLine[],
  size: Size,
  pass: Pass,
): readonly Content[] {
  // What was drawn before is not drawn again.
  const fresh = lines.some(({ before }) => before === undefined) ? lines : [];
  const numbered = fresh.flatMap(({ line, number }) => line.steps.map((step) => ({ step, number, title: line.title })));
  const first = drawingsOf(numbered, drawingWidth, pass);
  // Two beside each other are smaller, so that the words keep their room.
  const width = first.length > 1 ? smallDrawingWidth : drawingWidth;
  const drawings = first.length > 1 ? drawingsOf(numbered, width, pass) : first;
  const said = new Set<string>();
  const list = lines.flatMap(({ line, number, before }): Content[] => {
    // It stands where it is used; neighbours that are done alike say it once.
    const text = before === undefined ? line.how : words.page.asAt(before);
    const how: Content[] = said.has(line.how)
      ? []
      : [{ text: runs(text), fontSize: size(11), lineHeight: 1.12, margin: [20, 0, 0, 2] }];
    said.add(line.how);
    return [
      {
        unbreakable: true,
        margin: [0, 0, 0, 1],
        columns: [
          { width: 20, text: String(number), fontSize: size(12.5), bold: true, color: soft },
          {
            width: '*',
            text: [...asArray(runs(line.title, true)), ...asArray(runs(`  ${line.count}`))],
            fontSize: size(12.5),
            lineHeight: 1.05,
          },
        ],
      },
      ...how,
    ];
  });
  return [
    {
      unbreakable: lines.length <= 4,
      margin: [0, 1, 0, 2],
      stack: [
        { text: runs(words.parts[part.id]), fontSize: size(13), bold: true, margin: [0, 0, 0, 1] },
        {
          columns: [
            ...(drawings.length === 0
              ? []
              : [
                  {
                    width: width * drawings.length + 6 * (drawings.length - 1),
                    columns: drawings.map(({ svg, alt }) => picture(svg, width, alt)),
                    columnGap: 6,
                  },
                ]),
            { width: '*', stack: list, margin: [drawings.length === 0 ? 0 : 14, 0, 0, 0] as Margin },
          ],
        },
      ],
    },
  ];
}

const asArray = (content: Content): Content[] => (Array.isArray(content) ? content : [content]);

/** A drawing with its numbers, and the same in words. */
interface Drawing {
  readonly svg: string;
  readonly alt: string;
}

/** As many drawings as it takes to show every step: most parts need one, some the back as well. */
function drawingsOf(steps: readonly NumberedStep[], width: number, pass: Pass): readonly Drawing[] {
  const drawn: Drawing[] = [];
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
    drawn.push({
      alt: shown.map(({ number, title }) => `${number} ${title}`).join(', '),
      svg:
        pass === 'layout'
          ? emptyFigure(width)
          : figureSvg(
              figure,
              shown.map(({ step, number }) => ({
                number,
                kind: step.kind,
                places: step.places,
                path: step.toward === null ? [] : [step.places[0] ?? '', ...step.via, step.toward],
              })),
              width,
            ),
    });
    rest = rest.filter((one) => !shown.includes(one));
  }
  return drawn;
}

/** Four weeks of days to tick, a box for each time. */
function logContent(words: HomeWords, { times }: HomeWish, size: Size): readonly Content[] {
  const box = times.map(() => '☐').join(' ');
  return [
    {
      unbreakable: true,
      margin: [0, 4, 0, 0],
      stack: [
        { text: runs(words.page.log), fontSize: size(13), bold: true },
        { text: runs(words.page.logHow), fontSize: size(11), color: soft, margin: [0, 0, 0, 3] },
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
          fontSize: size(10.5),
          lineHeight: 1,
        },
      ],
    },
  ];
}

/** Empty boxes, drawn: the font has none. */
function boxes(row: string): Content {
  const count = row.split(' ').length;
  const width = 13 * count + 5 * (count - 1);
  const squares = Array.from({ length: count }, (_, i) => paperAnswers.rectXY05Width(0.5 + i * 18, soft));
  return {
    svg: paperAnswers.svgXmlnsHttpWwwW3Org3(width, squares.join('')),
    alignment: 'center',
    margin: [0, 1, 0, 0],
  };
}
