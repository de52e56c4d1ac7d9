import { list } from '../drainage/wording';
import type { Anatomy, PlaceId } from '../anatomy/place';
import type { Library } from '../library/protocol';
import type { TreatmentBlock, TreatmentStep } from '../treatment/block';
import { placesFor } from '../treatment/expand';
import type { FaceLine, LineKind } from './line';
import { facialSays } from './facial.says';

/** The choice of work on the client's own lines; it has no blocks of its own in the library. */
export const lineWorkId = 'client-lines';

/** How each kind of line is worked, with techniques of the library. */
const work: Readonly<
  Record<LineKind, { readonly across: string; readonly smooth: string; readonly regions: readonly string[] }>
> = {
  forehead: { across: 'forehead-line-cross', smooth: 'flush-three-levels', regions: ['forehead'] },
  frown: { across: 'frown-cross', smooth: 'flush-three-levels', regions: ['forehead'] },
  crow: { across: 'crow-line-cross', smooth: 'eye-flush', regions: ['temple'] },
  smile: { across: 'smile-line-cross', smooth: 'sweep-to-ear', regions: ['lip-upper', 'cheek'] },
  'mouth-corner': { across: 'press-and-release-out', smooth: 'sweep-to-ear', regions: ['lip-lower', 'chin'] },
  neck: { across: 'neck-lift-sweep', smooth: 'drain-down-neck', regions: ['neck-front'] },
};

/** Low ones first, so that what is moved off the upper ones finds its way open. */
const levels: readonly { readonly id: string; readonly name: string; readonly kinds: readonly LineKind[] }[] = [
  { id: 'lines-neck', name: facialSays.linesOfTheNeck, kinds: ['neck'] },
  { id: 'lines-mouth', name: facialSays.linesRoundTheMouth, kinds: ['mouth-corner', 'smile'] },
  { id: 'lines-eyes', name: facialSays.linesBesideTheEyes, kinds: ['crow'] },
  { id: 'lines-brow', name: facialSays.linesOfBrowAndForehead, kinds: ['frown', 'forehead'] },
];

/** Blocks that work across each of the client's lines, on its own side only, and smooth it towards its drain. */
export function lineBlocks(
  anatomy: Anatomy,
  library: Library,
  choice: string,
  lines: readonly FaceLine[],
): readonly TreatmentBlock[] {
  return levels.flatMap((level): TreatmentBlock[] => {
    const steps = level.kinds.flatMap((kind) =>
      (['left', 'right', 'mid'] as const).flatMap((side) =>
        stepsFor(
          anatomy,
          library,
          `${choice}/${level.id}/${kind}-${side}`,
          kind,
          lines.filter((line) => line.kind === kind && line.side === side),
        ),
      ),
    );
    if (steps.length === 0) return [];
    return [
      {
        id: `${choice}/${level.id}`,
        choice,
        protocol: lineWorkId,
        name: level.name,
        modality: 'facial-massage',
        school: 'outlet-first',
        position: 'supine',
        hands: 'oiled',
        therapist: 'head',
        side: 'both',
        isShortForm: false,
        isOptional: false,
        isOrdered: true,
        after: [],
        steps,
      },
    ];
  });
}

function stepsFor(
  anatomy: Anatomy,
  library: Library,
  id: string,
  kind: LineKind,
  lines: readonly FaceLine[],
): readonly TreatmentStep[] {
  if (lines.length === 0) return [];
  const [first] = lines;
  const side = first?.side === 'left' || first?.side === 'right' ? first.side : 'both';
  const { across, smooth, regions } = work[kind];
  return [across, smooth].flatMap((name, i): TreatmentStep[] => {
    const technique = library.techniques.get(name);
    if (!technique) return [];
    const places: readonly PlaceId[] = regions.flatMap((region) => placesFor(anatomy, region, side));
    return [
      {
        id: `${id}/${i + 1}`,
        technique,
        regions,
        side,
        places,
        repetitions: technique.repetitions.usual,
        pressure: technique.pressure,
        note: i === 0 ? noteFor(kind, lines) : facialSays.alongTheLineToItsDrain,
        cautions: [],
        lines: lines.map((line) => line.id),
      },
    ];
  });
}

/** `two lines, depth 2 and 3, cut up and down`: which way square to a line is depends on how it runs. */
function noteFor(kind: LineKind, lines: readonly FaceLine[]): string {
  const depths = [...new Set(lines.flatMap(({ depth }) => depth ?? []))].sort((a, b) => a - b);
  return [
    lines.length === 1 ? facialSays.oneLine : facialSays.lines(lines.length),
    ...(depths.length > 0 ? [facialSays.depth(list(depths.map(String)))] : []),
    acrossWords[kind],
  ].join(', ');
}

const acrossWords: Readonly<Record<LineKind, string>> = {
  forehead: facialSays.cutUpAndDown,
  frown: facialSays.crossedSideways,
  crow: facialSays.cutAcross,
  smile: facialSays.cutAcross,
  'mouth-corner': facialSays.cutAcross,
  neck: facialSays.smoothedUpward,
};

/** The client's lines that a step of any protocol runs across: on its regions and its side. */
export function linesOfStep(step: TreatmentStep, lines: readonly FaceLine[]): readonly string[] {
  if (step.lines) return step.lines;
  const isAcross = step.technique.direction === 'across-line';
  return lines
    .filter(({ kind, side }) => {
      const isMeant = work[kind].across === step.technique.id;
      const isHere = isMeant || (isAcross && work[kind].regions.some((one) => step.regions.includes(one)));
      return isHere && (side === 'mid' || step.side === 'both' || step.side === 'each' || step.side === side);
    })
    .map(({ id }) => id);
}

/** Lines that no step of a treatment works. */
export function openLines(
  blocks: readonly Pick<TreatmentBlock, 'steps'>[],
  lines: readonly FaceLine[],
): readonly FaceLine[] {
  const worked = new Set(blocks.flatMap(({ steps }) => steps.flatMap((step) => linesOfStep(step, lines))));
  return lines.filter(({ id }) => !worked.has(id));
}
