import { z } from 'zod';

/** The end of a visit as it is on record, with the version that a change is based on. */
export const ClosingView = z.object({
  version: z.number(),
  pressure: z.union([z.literal(0), z.literal(1), z.literal(-1)]).nullable(),
  comfort: z.number().nullable(),
  /** 0 none … 4 very strong. */
  redness: z.number().nullable(),
  /** The same before the work. */
  rednessBefore: z.number().nullable(),
  /** Minutes until it was back; −1: not yet at the last look; null: not looked. */
  fadeMinutes: z.number().nullable(),
  warmth: z.number().nullable(),
  scent: z.number().nullable(),
  relaxationBefore: z.number().nullable(),
  relaxationAfter: z.number().nullable(),
  note: z.string(),
  /** The note with its form; where it is given, the plain note is read from it. */
  noteDoc: z
    .object({
      type: z.literal('doc'),
      content: z
        .array(
          z.union([
            z.object({
              type: z.literal('paragraph'),
              content: z
                .array(
                  z.object({
                    type: z.literal('text'),
                    text: z.string(),
                    marks: z
                      .array(
                        z.object({
                          type: z.enum(['bold', 'italic']),
                        }),
                      )
                      .readonly()
                      .optional(),
                  }),
                )
                .readonly()
                .optional(),
            }),
            z.object({
              type: z.literal('bulletList'),
              content: z
                .array(
                  z.object({
                    type: z.literal('listItem'),
                    content: z
                      .array(
                        z.object({
                          type: z.literal('paragraph'),
                          content: z
                            .array(
                              z.object({
                                type: z.literal('text'),
                                text: z.string(),
                                marks: z
                                  .array(
                                    z.object({
                                      type: z.enum(['bold', 'italic']),
                                    }),
                                  )
                                  .readonly()
                                  .optional(),
                              }),
                            )
                            .readonly()
                            .optional(),
                        }),
                      )
                      .readonly(),
                  }),
                )
                .readonly(),
            }),
          ]),
        )
        .readonly(),
    })
    .nullable(),
  /** Answers that the client gave with their own hand. */
  byClient: z
    .array(z.enum(['pressure', 'comfort', 'warmth', 'scent', 'relaxationBefore', 'relaxationAfter']))
    .readonly(),
  /** Millilitres of oil that were really used; what is left out was used as planned. */
  oilMl: z.object({
    body: z.number().optional(),
    face: z.number().optional(),
  }),
  /** How many stones were really used; null: as planned. */
  stonesUsed: z.number().nullable(),
  /** What the client is told to mind; null: as proposed. */
  aftercare: z
    .array(
      z.enum([
        'oil-stays',
        'oil-off',
        'no-sun',
        'oil-eyes',
        'rest',
        'water',
        'get-up-slowly',
        'garment',
        'no-heat',
        'no-sport',
        'skin-alone',
        'flush-normal',
        'mouth-tender',
        'neck-easy',
        'normal',
        'not-normal',
        'call',
      ]),
    )
    .readonly()
    .nullable(),
});
export type ClosingView = z.infer<typeof ClosingView>;
