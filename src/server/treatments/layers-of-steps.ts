import { oilBook } from '../../catalogue/oils/oils';
import { vocabulary } from '../../catalogue/screening/screening';
import { blendViolations, type ProductViolation } from '../../core/judgement/product-violations';
import { totalMlOf } from '../../core/oils/amounts';
import type { TreatmentHolds } from '../../contracts/treatment';
import type { BlockView, LeftOutView } from '../../contracts/treatment-views';
import { oilOf } from '../../core/oils/book';
import { dropsText, percentText } from '../../core/oils/finding-words';
import {
  layerBottleMl,
  layerErrors,
  type Layers,
  oilInDrops,
  planLayers,
  purposesInWords,
} from '../../core/oils/layers';
import type { FieldError } from '../../core/result';
import type { TableStep } from '../../core/table/table-step';
import { capitalise } from '../../core/wording/capitalise';
import type { LayerFacts } from '../oils/layer-facts';
import { judgeVisit } from '../screening/judge-visit';
import type { VisitRecord } from '../visits/visit-record';
import { treatmentsAnswers } from './treatments.answers';

/** Which oil drops in each step that asks for drops; undefined where none does. */
export function layersOf(
  steps: readonly TableStep[],
  facts: LayerFacts,
  chosen: TreatmentHolds['layers'],
): Layers | undefined {
  const wishes = steps.flatMap(({ id, told }) => (told?.layer ? [{ step: id, ...told.layer }] : []));
  const { shelf, client, areaCm2, before } = facts;
  return wishes.length === 0 ? undefined : planLayers(oilBook, { shelf, client, areaCm2, before, wishes, chosen });
}

const nameOf = (oil: string) => oilOf(oilBook, oil).name;

/** Steps that say what drops: everything that shows a step shows it. */
export function withDrops(steps: readonly TableStep[], { layers }: Layers): readonly TableStep[] {
  const known = new Map(layers.map((layer) => [layer.step, layer]));
  return steps.map((step) => {
    const layer = known.get(step.id);
    if (!layer || !step.told) return step;
    const { oil, drops } = layer;
    const told =
      oil === null
        ? { ...step.told, note: treatmentsAnswers.noDrops(layer.why, step.told.note).trim() }
        : {
            ...step.told,
            note: treatmentsAnswers
              .ofDilutedTo(
                capitalise(dropsText(drops)),
                nameOf(oil).toLowerCase(),
                percentText(layer.strengthPercent),
                step.told.note,
              )
              .trim(),
            dropped: { oil, name: nameOf(oil), drops },
          };
    return { ...step, told };
  });
}

/** Layers in which nothing may drop, with the reason. */
export function layersLeftOut(
  steps: readonly TableStep[],
  blocks: readonly BlockView[],
  { layers }: Layers,
): readonly LeftOutView[] {
  return layers.flatMap(({ step, oil, why, purposes }) => {
    const block = blocks.find((one) => one.steps.includes(step));
    const told = steps.find(({ id }) => id === step)?.told;
    return oil !== null || !block
      ? []
      : [
          {
            ...{ choice: block.choice, block: block.id, rule: 'oil-limits', why, instead: null },
            what: treatmentsAnswers.forWord(told?.title ?? 'Drops', purposesInWords(purposes)),
            technique: told?.technique ?? null,
            places: told?.places ?? [],
          },
        ];
  });
}

/** Oils that may drop → their names. */
export const namesIn = ({ layers }: Layers): Readonly<Record<string, string>> =>
  Object.fromEntries(layers.flatMap(({ mayBe }) => mayBe.map((oil) => [oil, nameOf(oil)])));

/** Bottles to lay out, in the order of the layers. */
export const bottlesInWords = ({ layers }: Layers): string | undefined => {
  const names = layers.flatMap(({ oil, inBottle }) =>
    oil === null ? [] : [`${nameOf(oil).toLowerCase()} ${inBottle}`],
  );
  return names.length > 0 ? treatmentsAnswers.mlOfPlainMediumEachWith(layerBottleMl, names.join(', ')) : undefined;
};

/** What of the therapist's choices this skin may not have. */
export const layerChoiceErrors = (
  layers: Layers | undefined,
  chosen: TreatmentHolds['layers'],
): readonly FieldError[] =>
  layers && chosen
    ? layerErrors(oilBook, layers, chosen).map(({ step, message }) => ({ path: `layers.${step}`, message }))
    : [];

/** What the check apart finds in drops straight onto the skin: they are judged as what they come to in their film. */
export function layersAgainst(
  layers: Layers | undefined,
  steps: readonly TableStep[],
  visit: VisitRecord,
): readonly ProductViolation[] {
  const given =
    layers?.layers.flatMap(({ oil, drops, strengthPercent, dropsPerMl }) =>
      oil === null ? [] : [{ oil, drops: oilInDrops(drops, strengthPercent), dropsPerMl }],
    ) ?? [];
  if (!layers || given.length === 0) return [];
  const told = new Map(steps.map((step) => [step.id, step.told]));
  return blendViolations(
    {
      totalPercent: (100 * totalMlOf(oilBook, given)) / layers.balance.filmMl,
      isScented: true,
      contents: given.map(({ oil }) => oil),
      modalities: ['spine-oil-layering', 'aromatherapy'],
      places: new Set(layers.layers.flatMap(({ step, oil }) => (oil === null ? [] : (told.get(step)?.places ?? [])))),
    },
    judgeVisit(visit),
    (group) => new Set(vocabulary.oilGroups[group]?.oils ?? []),
  );
}
