import { paperPalette } from '../../charts/palette';
import { figureText } from '../../core/change/figure-text';
import { type DialSide, type NeckDial, neckDials, wedgePath } from '../../core/change/neck-dial';
import { paperAnswers } from './paper.answers';
import { svgDrawing, svgElement, svgText } from './svg';

const { ink, soft, stone } = paperPalette;
const radius = 58;
const [dialWidth, dialHeight] = [170, 104];

const titles: Readonly<Record<NeckDial, string>> = {
  turns: paperAnswers.neckTurns,
  tilts: paperAnswers.neckTilts,
  bends: paperAnswers.neckBends,
};
const sides: Readonly<Record<NeckDial, readonly [string, string]>> = {
  turns: [paperAnswers.left, paperAnswers.right],
  tilts: [paperAnswers.left, paperAnswers.right],
  bends: [paperAnswers.back, paperAnswers.forward],
};

interface Drawing {
  readonly svg: string;
  readonly width: number;
  /** The same in words, for those who cannot see it. */
  readonly alt: string;
}

/**
 * The neck's range as a fan of six directions, one side against the other: before the work a broken outline, after it a
 * filled one, so that it reads without colour.
 * @returns undefined where the neck was not looked at
 */
export function neckSvg(changes: Parameters<typeof neckDials>[0]): Drawing | undefined {
  const dials = neckDials(changes);
  if (dials.length === 0) return undefined;
  const drawn = dials.map(({ dial, sides: both }, i) =>
    svgElement('g', { transform: `translate(${dialWidth * (i + 0.5)} 74)` }, [
      svgElement('path', { d: `M0 0V${-radius - 6}`, stroke: soft, 'stroke-width': 0.8 }),
      ...both.flatMap((side, k) => halfOf(side, k === 0)),
      svgText(titles[dial], { y: -64, 'font-size': 9, 'text-anchor': 'middle', fill: soft }),
      ...both.map((side, k) =>
        svgText(`${sides[dial][k] ?? ''} ${shown(side)}`, {
          ...{ x: k === 0 ? -4 : 4, y: 15, 'font-size': 9, fill: ink },
          'text-anchor': k === 0 ? 'end' : 'start',
        }),
      ),
    ]),
  );
  const told = dials.map(({ dial, sides: both }) => {
    const words = both.map((side, k) =>
      paperAnswers.sideBeforeAfter(sides[dial][k] ?? '', text(side.before), text(side.after)),
    );
    return `${titles[dial]}: ${words.join(', ')}`;
  });
  const width = dialWidth * dials.length;
  return { svg: svgDrawing([0, 0, width, dialHeight], drawn), width, alt: told.join('; ') };
}

const text = (degrees: number | null) => (degrees === null ? '–' : figureText('°', degrees));
const shown = ({ before, after }: DialSide) =>
  before !== null && after !== null ? `${text(before)}${paperAnswers.andThen}${text(after)}` : text(after ?? before);

function halfOf({ before, after }: DialSide, isLeft: boolean): readonly string[] {
  const transform = isLeft ? 'scale(-1 1)' : undefined;
  return [
    ...(after === null
      ? []
      : [svgElement('path', { d: wedgePath(after, radius), fill: stone, stroke: ink, 'stroke-width': 1, transform })]),
    ...(before === null
      ? []
      : [
          svgElement('path', {
            ...{ d: wedgePath(before, radius), fill: 'none', stroke: ink, 'stroke-width': 1.2, transform },
            'stroke-dasharray': '3 2',
          }),
        ]),
  ];
}
