import type { Content, TableCell } from 'pdfmake/interfaces';
import { paperPalette } from '../../charts/palette';
import type { ChangeView } from '../../contracts/change-views';
import type { RememberedView } from '../../contracts/remembered-views';
import { figuresText, verdictOf } from '../../core/change/figure-text';
import { foundOnPaper } from './found-svg';
import { neckSvg } from './neck-svg';
import { paperAnswers } from './paper.answers';
import { picture } from './pdf';

/** A picture for paper: a JPEG of a size that prints. */
export interface PaperPicture {
  readonly day: string;
  readonly phase: string;
  readonly jpeg: Uint8Array;
}

/** Two pictures of one view; there are none unless the client agrees to pictures in letters. */
export interface PaperPair {
  readonly pose: string;
  readonly earlier: PaperPicture;
  readonly later: PaperPicture;
  /** What their light allows to compare. */
  readonly light: string | undefined;
}

/** Everything about a client that is shown as a picture on paper. */
export interface Shown {
  readonly changes: readonly ChangeView[];
  readonly remembered: readonly RememberedView[];
  readonly pairs: readonly PaperPair[];
}

const { soft } = paperPalette;
/** A figure is as high as a hand, whatever its shape (points). */
const figureBox = [110, 200] as const;
const pictureWidth = 132;
const smallPoints = 8.5;
const mostRows = 14;

/** The fonts of the house have no arrow. */
const onPaper = (text: string): string => text.replaceAll(' → ', paperAnswers.andThen);

const heading = (text: string): Content => ({ text, bold: true, fontSize: 12, margin: [0, 12, 0, 4] });
const small = (text: string): Content => ({ text, fontSize: smallPoints, color: soft, margin: [0, 2, 0, 4] });

/** The pictures of a report or a note: what changed, the neck as a fan, what hands found, photographs as pairs. */
export function shownOnPaper({ changes, remembered, pairs }: Shown): Content[] {
  return [...changed(changes), ...neck(changes), ...found(remembered), ...photographs(pairs)];
}

/** What was taken before and after the work, at the newest visit at which both were. */
function changed(changes: readonly ChangeView[]): Content[] {
  const rows = changes
    .filter(({ isDetail }) => !isDetail)
    .flatMap((change) => {
      const at = change.visits.findLast((one) => one.change !== null);
      return at ? [[change.name, onPaper(figuresText(change, at)), verdictOf(at), at.day]] : [];
    })
    .slice(0, mostRows);
  if (rows.length === 0) return [];
  return [
    heading(paperAnswers.beforeAndAfterTheWork),
    {
      table: {
        ...{ headerRows: 1, dontBreakRows: true },
        widths: ['*', 'auto', 'auto', 'auto'],
        body: [
          [paperAnswers.what, paperAnswers.beforeThenAfter, paperAnswers.verdict, paperAnswers.visitOf].map(
            (text): TableCell => ({ text, bold: true, color: soft }),
          ),
          ...rows.map((row): TableCell[] => row.map((text, i) => ({ text, color: i > 1 ? soft : undefined }))),
        ],
      },
      layout: 'lightHorizontalLines',
      fontSize: 9.5,
    },
  ];
}

function neck(changes: readonly ChangeView[]): Content[] {
  const fan = neckSvg(changes);
  if (!fan) return [];
  return [
    {
      stack: [
        heading(paperAnswers.theNeck),
        picture(fan.svg, fan.width * 0.94, fan.alt),
        small(paperAnswers.brokenOutlineBeforeFilledAfter),
      ],
      unbreakable: true,
    },
  ];
}

function found(remembered: readonly RememberedView[]): Content[] {
  const { drawings, lines } = foundOnPaper(remembered);
  if (lines.length === 0) return [];
  return [
    {
      stack: [
        heading(paperAnswers.whatHandsFound),
        {
          columns: [
            ...drawings.map(({ svg, alt }): Content => {
              const drawn = { svg, alt, fit: [...figureBox] as [number, number], width: figureBox[0] };
              return drawn;
            }),
            { ol: [...lines], width: '*', fontSize: 9.5 },
          ],
          columnGap: 12,
        },
        small(paperAnswers.darkerTheLater),
      ],
      unbreakable: true,
    },
  ];
}

function photographs(pairs: readonly PaperPair[]): Content[] {
  if (pairs.length === 0) return [];
  const one = (pose: string, { day, phase, jpeg }: PaperPicture): Content => {
    const words = paperAnswers.pictureOf(pose, day, phase);
    const told = {
      image: `data:image/jpeg;base64,${Buffer.from(jpeg).toString('base64')}`,
      ...{ width: pictureWidth, alt: words },
    };
    return { stack: [told, small(words)] };
  };
  return pairs.map(({ pose, earlier, later, light }, i) => ({
    stack: [
      ...(i === 0 ? [heading(paperAnswers.pictures), small(paperAnswers.shownWithTheClientsAgreement)] : []),
      { columns: [one(pose, earlier), one(pose, later)], columnGap: 14 },
      ...(light === undefined ? [] : [small(light)]),
    ],
    unbreakable: true,
  }));
}
