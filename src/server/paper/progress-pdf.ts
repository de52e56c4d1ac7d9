import type { Millilitres } from '../../core/quantities';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { courseOption } from '../../charts/course-options';
import { paperPalette } from '../../charts/palette';
import { responseOption } from '../../charts/visit-options';
import type { CoursePoint, LimbCourse, ProgressView } from '../../contracts/progress-views';
import { shortCourse } from '../../core/course/short';
import { volumeTrendInWords } from '../../core/swelling/trend-words';
import { formatNumber } from '../../core/units';
import { volumesIn } from '../../core/volume-units';
import { dayInWords } from '../../core/visit/words';
import { chartSvg } from './chart-svg';
import { makePdf, picture, runs } from './pdf';
import { paperAnswers } from './paper.answers';
import { type PaperPair, shownOnPaper } from './shown';

const soft = '#564c5c';
const chartWidth = 720;
const pageWidth = 483;
/** As many of the newest as fit on two pages. */
const mostRows = 16;

const shown = (value: number | null, decimals = 0) => (value === null ? '–' : formatNumber(value, decimals));

/**
 * What was measured over the visits, for the client or a physician, and whether it is real: one limb's course where one
 * is taped, everything that is measured before and after the work, and its pictures.
 * @param pairs photographs; none unless the client agrees to them in letters
 */
export function printProgress(
  view: ProgressView,
  course: LimbCourse | null,
  bornOn: string | null,
  pairs: readonly PaperPair[],
): Promise<Buffer> {
  const name = course && `${course.side} ${course.limb}`;
  return makePdf({
    info: {
      title: name ? paperAnswers.progressOfThe(name, view.today) : paperAnswers.progressOf(view.today),
      author: view.house,
    },
    content: [
      { text: runs(view.house), fontSize: 16, bold: true },
      {
        text: runs(`${view.client.name}${bornOn ? paperAnswers.born(dayInWords(bornOn)) : ''}`),
        fontSize: 13,
        bold: true,
        margin: [0, 10, 0, 0],
      },
      {
        text: name ? paperAnswers.progressOfTheUpTo(name, view.today) : paperAnswers.progressUpTo(view.today),
        color: soft,
        margin: [0, 0, 0, 10],
      },
      ...(course ? ofLimb(view, course) : []),
      ...shownOnPaper({ changes: view.changes, remembered: view.remembered, pairs }),
    ],
    footer: (page: number, pages: number): Content => ({
      columns: [
        {
          text: paperAnswers.measuredAndRecordedByAPractice,
          width: '*',
        },
        { text: `${page} of ${pages}`, width: 50, alignment: 'right' },
      ],
      fontSize: 8.5,
      color: soft,
      margin: [56, 12, 56, 0],
    }),
  });
}

function ofLimb(view: ProgressView, course: LimbCourse): Content[] {
  const newest = course.points.at(-1);
  const sentence =
    course.points.length === 1
      ? paperAnswers.oneVisitSoFar
      : volumeTrendInWords(course.trends.excess ?? course.trends.affected, volumesIn(course.volumeUnit));
  return [
    { text: sentence, fontSize: 14, bold: true },
    ...(newest ? [facts(course, newest)] : []),
    ...(course.points.length > 1 ? charts(view, course) : []),
    ...ahead(course),
    ...howMeasured(course),
    figures(course),
  ];
}

function facts(course: LimbCourse, newest: CoursePoint): Content {
  const cell = (figure: string, words: string): Content => ({
    stack: [
      { text: figure, fontSize: 15, bold: true },
      { text: words, color: soft, fontSize: 9.5 },
    ],
  });
  const { firstChange } = course;
  const volumes = volumesIn(course.volumeUnit);
  const cells: Content[] = [
    cell(
      volumes.text(newest.excessMl ?? newest.affectedMl),
      newest.excessPercent === null
        ? paperAnswers.volume(newest.day)
        : paperAnswers.overTheOtherSide(formatNumber(newest.excessPercent, 1), newest.day),
    ),
  ];
  if (firstChange)
    cells.push(
      cell(
        volumes.signed(firstChange.ml),
        paperAnswers.sinceTheStartMeasuringError(
          firstChange.isBeyond ? 'beyond' : 'within',
          volumes.text(firstChange.limitMl),
        ),
      ),
    );
  if (course.medianResponseMl !== null)
    cells.push(
      cell(
        volumes.signed(-course.medianResponseMl),
        paperAnswers.byOneVisitMedian(
          course.medianRetentionPercent === null
            ? ''
            : paperAnswers.ofItHeldToTheNext(formatNumber(course.medianRetentionPercent)),
        ),
      ),
    );
  const { isMet, short } = course.definition;
  cells.push(
    cell(
      isMet === null ? '–' : isMet ? 'met' : paperAnswers.notMet,
      paperAnswers.definitionInUse(short.replace('≥', paperAnswers.atLeast)),
    ),
  );
  return { columns: cells, columnGap: 12, margin: [0, 8, 0, 8] };
}

function charts(view: ProgressView, course: LimbCourse): Content[] {
  const svg = (option: Parameters<typeof chartSvg>[0], height: number, alt: string) =>
    picture(chartSvg(option, chartWidth, height), pageWidth, alt);
  return [
    svg(
      courseOption(course, view.visits, 'excess', paperPalette),
      300,
      paperAnswers.courseOfTheOverDaysThat(course.side, course.limb, course.points.length),
    ),
    {
      text: paperAnswers.tintAlongTheLineWhatThe(volumesIn(course.volumeUnit).text(course.limitMl)),
      fontSize: 8.5,
      color: soft,
      margin: [0, 2, 0, 8],
    },
    ...(course.responses.length > 0
      ? [
          { text: paperAnswers.whatEachVisitTookAndHow, bold: true } as Content,
          svg(responseOption(course, paperPalette), 180, paperAnswers.whatEachVisitTookAndHow2),
        ]
      : []),
  ];
}

/** What is to come, only ever with its range, and as an estimate. */
function ahead(course: LimbCourse): Content[] {
  const short = shortCourse(course);
  if (!short || short.rows.length === 0) return [];
  const rows = short.rows.map(({ every, visits, comesTo }) => paperAnswers.aVisitEvery(every, visits, comesTo));
  return [
    { text: paperAnswers.theCourseAhead, bold: true, margin: [0, 6, 0, 0] },
    { text: `${short.words} ${short.plateau ?? ''}`.trim() },
    { text: `${paperAnswers.excessInTwelveWeeks} ${rows.join('; ')}.`, margin: [0, 2, 0, 0] },
    { text: paperAnswers.anEstimateNeverAPromise, fontSize: 8.5, color: soft, margin: [0, 2, 0, 8] },
  ];
}

function howMeasured(course: LimbCourse): Content[] {
  return [
    {
      text: paperAnswers.girthsByTapeAtFixedMarks(
        formatNumber(course.fromCm),
        formatNumber(course.toCm),
        course.method,
        course.side,
        course.limb,
      ),
      fontSize: 9.5,
      color: soft,
      margin: [0, 8, 0, 6],
    },
  ];
}

function figures(course: LimbCourse): Content {
  const { name, bare } = volumesIn(course.volumeUnit);
  const volume = (ml: Millilitres | null) => (ml === null ? '–' : bare(ml));
  const head = [
    'Date',
    `${course.side}, ${name}`,
    paperAnswers.other(name),
    paperAnswers.excess(name),
    '%',
    paperAnswers.after(name),
    'held',
  ];
  const held = new Map(course.responses.map(({ date, retentionPercent }) => [date, retentionPercent]));
  const rows = course.points.toReversed().slice(0, mostRows);
  const right = (text: string): TableCell => ({ text, alignment: 'right' });
  return {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      widths: ['*', 'auto', 'auto', 'auto', 'auto', 'auto', 'auto'],
      body: [
        head.map((text, i): TableCell => ({ text, bold: true, color: soft, alignment: i === 0 ? 'left' : 'right' })),
        ...rows.map((point): TableCell[] => [
          `${point.day}${point.isProvisional ? ' (provisional)' : ''}`,
          right(`${bare(point.affectedMl)} ± ${bare(1.96 * point.affectedSdMl)}`),
          right(volume(point.referenceMl)),
          right(point.excessMl === null ? '–' : `${bare(point.excessMl)} ± ${bare(1.96 * (point.excessSdMl ?? 0))}`),
          right(shown(point.excessPercent, 1)),
          right(volume(point.afterMl)),
          right(held.get(point.date) == null ? '–' : `${formatNumber(held.get(point.date) ?? 0)} %`),
        ]),
      ],
    },
    layout: 'lightHorizontalLines',
    fontSize: 9.5,
  };
}
