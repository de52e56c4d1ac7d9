import type { OilId } from '../core/ids';
import { z } from 'zod';
import { areas, noteIds, useIds } from '../core/oils/book';

/** Shapes of what is calculated about blends. Percent: volume in volume; drops are whole. */

const oil = z.string('Give the id of an oil.').min(1, 'Give the id of an oil.').max(80);
const drops = z
  .number('Give whole drops.')
  .int('Drops are whole: round to the nearest.')
  .min(0, 'Not fewer than no drops.')
  .max(100_000, 'That is more than any bottle has.');
const volumeMl = z.number('Give mL.').gt(0, 'More than 0 mL.').max(10_000, 'At most 10,000 mL.');
const area = z.enum(areas, `One of ${areas.join(', ')}.`);
const perMl = z.number('Give drops in a mL.').gt(0, 'More than 0 drops in a mL.').max(200).optional();

const OilClientSchema = z.object({
  age: z.number('Give an age in years.').min(0, 'Not below 0.').max(130, 'At most 130 years.').nullable().default(null),
  conditions: z.array(z.string('Give the id of a condition.'), 'Give a list of conditions.').max(60).default([]),
  skin: z.enum(['normal', 'sensitive'], 'normal or sensitive.').default('normal'),
});
const client = OilClientSchema.default({ age: null, conditions: [], skin: 'normal' });

const basis = z.enum(['max', 'typical'], 'max or typical.').default('max');

/** Each oil once. */
function eachOnce(list: readonly { readonly oil: OilId }[], context: z.RefinementCtx, path: string): void {
  list.forEach((part, i) => {
    if (list.findIndex((other) => other.oil === part.oil) < i)
      context.addIssue({ code: 'custom', path: [path, i, 'oil'], message: `“${part.oil}” stands there twice.` });
  });
}

const parts = z.array(z.object({ oil, drops, dropsPerMl: perMl }), 'Give the parts.').max(62, 'At most 62 oils.');

export const BlendCheckRequest = z
  .object({
    volumeMl,
    carrier: z.string('Give the id of a carrier.').min(1, 'Give the id of a carrier.'),
    area,
    client,
    parts,
    basis,
    /** What lies on the client's skin already; only what is on the same area counts. */
    already: z
      .array(z.object({ area, parts, volumeMl: volumeMl.optional() }), 'Give a list of what lies on the skin.')
      .max(60, 'At most 60 entries.')
      .default([]),
  })
  .superRefine((input, context) => eachOnce(input.parts, context, 'parts'));
export type BlendCheckRequest = z.infer<typeof BlendCheckRequest>;

const finding = z.object({
  code: z.string(),
  severity: z.enum(['over', 'caution']),
  oil: z.string().nullable(),
  constituent: z.string().nullable(),
  text: z.string(),
});
const constituents = z.array(
  z.object({
    id: z.string(),
    percent: z.number(),
    limitPercent: z.number().nullable(),
    shareOfLimit: z.number().nullable(),
  }),
);
const verdict = z.enum(['ok', 'caution', 'over']);

export const BlendCheckResponse = z.object({
  totalPercent: z.number(),
  carrierMl: z.number(),
  parts: z.array(
    z.object({
      oil: z.string(),
      drops: z.number(),
      ml: z.number(),
      percent: z.number(),
      limitPercent: z.number().nullable(),
      shareOfLimit: z.number().nullable(),
    }),
  ),
  /** How many more drops of each oil this skin may have; only where `already` was given. Null: nothing limits it. */
  dropsLeft: z.array(z.object({ oil: z.string(), drops: z.number().nullable() })).optional(),
  constituents,
  phototoxic: z.object({ sumOfFractions: z.number(), hoursOutOfSun: z.number() }),
  verdict,
  findings: z.array(finding),
  withinGuide: z.boolean(),
  guideMaxPercent: z.number(),
});

/** More sets of oils than these would take longer than anybody waits. */
const mostCandidates = 20;

export const BlendBestRequest = z
  .object({
    volumeMl,
    area: area.default('body'),
    client,
    candidates: z
      .array(
        z.object({
          oil,
          costPerDrop: z.number('Give the cost of a drop.').min(0, 'Not below 0.').max(1_000_000).default(0),
          maxDrops: drops.default(60),
          dropsPerMl: perMl,
        }),
        'Give the oils to choose from.',
      )
      .min(1, 'Give at least one oil to choose from.')
      .max(mostCandidates, `At most ${mostCandidates} oils to choose from.`),
    wanted: z
      .array(
        z.object({
          use: z.enum(useIds, `One of ${useIds.join(', ')}.`),
          weight: z.number('Give a weight.').gt(0, 'More than 0.').max(1000).default(1),
        }),
        'Give what is wanted.',
      )
      .max(useIds.length)
      .default([]),
    notes: z
      .object(
        Object.fromEntries(
          noteIds.map((id) => [
            id,
            z.number('Give a share, 0–1.').min(0, 'Not below 0.').max(1, 'At most 1.').default(0),
          ]),
        ) as Record<(typeof noteIds)[number], z.ZodDefault<z.ZodNumber>>,
      )
      .nullable()
      .default(null),
    targetPercent: z.number('Give percent.').gt(0, 'More than 0 %.').max(100, 'At most 100 %.'),
    maxOils: z
      .number('Give a number of oils.')
      .int('A whole number.')
      .min(1, 'At least one.')
      .max(8, 'At most 8.')
      .default(4),
  })
  .superRefine((input, context) => eachOnce(input.candidates, context, 'candidates'));
export type BlendBestRequest = z.infer<typeof BlendBestRequest>;

export const BlendBestResponse = z.object({
  parts: z.array(z.object({ oil: z.string(), drops: z.number() })),
  objective: z.number(),
  totalPercent: z.number(),
  optimal: z.boolean(),
  binding: z.array(z.string()),
});

export const LayeredDropsRequest = z
  .object({
    areaCm2: z.number('Give cm².').gt(0, 'More than 0 cm².').max(25_000, 'At most 25,000 cm².'),
    carrierMl: z.number('Give mL.').min(0, 'Not below 0 mL.').max(10_000, 'At most 10,000 mL.').default(0),
    parts: parts.min(1, 'Give at least one oil.'),
    client,
  })
  .superRefine((input, context) => eachOnce(input.parts, context, 'parts'));
export type LayeredDropsRequest = z.infer<typeof LayeredDropsRequest>;

export const LayeredDropsResponse = z.object({
  effectivePercent: z.number(),
  filmMl: z.number(),
  parts: z.array(
    z.object({
      oil: z.string(),
      drops: z.number(),
      ml: z.number(),
      effectivePercent: z.number(),
      limitPercent: z.number().nullable(),
    }),
  ),
  constituents,
  verdict,
  findings: z.array(finding),
  dilutedEquivalent: z.object({
    carrier: z.string(),
    bottleMl: z.number(),
    totalPercent: z.number(),
    maxTotalPercent: z.number(),
    parts: z.array(z.object({ oil: z.string(), drops: z.number() })),
  }),
});
