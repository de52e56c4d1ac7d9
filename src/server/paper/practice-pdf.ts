import type { Content, TableCell } from 'pdfmake/interfaces';
import { paperAnswers } from './paper.answers';
import { makePdf, picture, runs } from './pdf';

export interface PrintedPractice {
  readonly name: string;
  readonly house: string;
  readonly today: string;
  readonly skills: readonly { readonly title: string; readonly kind: string; readonly sure: number }[];
  readonly sessions: readonly {
    readonly day: string;
    readonly seconds: number;
    readonly answers: number;
    readonly mean: number;
  }[];
  readonly answers: number;
  readonly minutes: number;
}

const soft = '#564c5c';
const plum = '#5a3a63';
/** As many as fit on one page beside the skills. */
const mostSessions = 10;
const pebbleWidth = 16;

/** What was practised and what is known of it, on one page. */
export function printPractice(practice: PrintedPractice): Promise<Buffer> {
  const { name, house, today, skills, sessions, answers, minutes } = practice;
  const half = Math.ceil(skills.length / 2);
  return makePdf({
    info: { title: paperAnswers.practiceOf(name), author: house },
    content: [
      { text: runs(house), fontSize: 14, bold: true },
      { text: runs(paperAnswers.practiceOf(name)), fontSize: 18, bold: true, margin: [0, 6, 0, 0] },
      { text: paperAnswers.practisedUpTo(today, answers, minutes), color: soft, margin: [0, 0, 0, 10] },
      ...(skills.length === 0
        ? [{ text: paperAnswers.nothingPractised }]
        : [
            {
              columns: [{ stack: skills.slice(0, half).map(row) }, { stack: skills.slice(half).map(row) }],
              columnGap: 24,
            },
          ]),
      ...(sessions.length === 0 ? [] : [sessionTable(sessions.slice(0, mostSessions))]),
    ],
    footer: (): Content => ({
      text: paperAnswers.madeUpCasesOnly,
      fontSize: 8.5,
      color: soft,
      margin: [56, 12, 56, 0],
    }),
  });
}

/** A pebble that is as full as the skill is sure. */
const row = ({ title, kind, sure }: PrintedPractice['skills'][number]): Content => ({
  columns: [
    { width: 22, stack: [picture(pebble(sure), pebbleWidth, paperAnswers.sureOf(Math.round(100 * sure)))] },
    { width: '*', text: [...[runs(title)].flat(), { text: `  ${kind}`, color: soft, fontSize: 8.5 }], fontSize: 10 },
  ],
  columnGap: 6,
  margin: [0, 1.5, 0, 1.5],
});

function pebble(sure: number): string {
  const y = 2 + 16 * (1 - sure);
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 20"><clipPath id="p"><rect x="0" y="${y}" width="24" height="20"/></clipPath><ellipse cx="12" cy="10" rx="10.5" ry="8" fill="${plum}" clip-path="url(#p)"/><ellipse cx="12" cy="10" rx="10.5" ry="8" fill="none" stroke="${plum}" stroke-width="1.4"/></svg>`;
}

function sessionTable(sessions: PrintedPractice['sessions']): Content {
  const head = [
    paperAnswers.sessionDay,
    paperAnswers.sessionMinutes,
    paperAnswers.sessionCases,
    paperAnswers.sessionMean,
  ];
  return {
    table: {
      headerRows: 1,
      widths: ['*', 'auto', 'auto', 'auto'],
      body: [
        head.map((text): TableCell => ({ text, bold: true })),
        ...sessions.map(({ day, seconds, answers, mean }): TableCell[] => [
          day,
          { text: (seconds / 60).toFixed(0), alignment: 'right' },
          { text: String(answers), alignment: 'right' },
          { text: String(Math.round(100 * mean)), alignment: 'right' },
        ]),
      ],
    },
    layout: 'lightHorizontalLines',
    fontSize: 9.5,
    margin: [0, 14, 0, 0],
  };
}
