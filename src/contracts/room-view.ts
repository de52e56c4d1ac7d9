import { z } from 'zod';
import { VisitView } from './visit-views';
import { RoomItemIdShape } from './shapes/room';

/** What has to be ready before a client comes, with the time of day for each. */
export const RoomView = z.object({
  visit: VisitView,
  items: z
    .array(
      z.object({
        /** What it is, whatever it is called; absent in lists that were stored before it was kept. */
        id: RoomItemIdShape.optional(),
        kind: z.enum(['heat', 'cool', 'blend', 'lay-out', 'hands', 'water']),
        what: z.string(),
        /** Whole minutes before the beginning; 0: at the door. */
        minutesBefore: z.number(),
        why: z.string(),
        /** Of a blend: what it is spread on. */
        area: z.enum(['body', 'face']).optional(),
        at: z.string(),
        /** Its id, or its words where a list was stored before ids were kept. */
        key: z.string(),
        isReady: z.boolean(),
        /** Of oil: what is in it, and where it is blended, mixed or poured. */
        oil: z
          .object({
            words: z.string(),
            href: z.string(),
            act: z.string(),
          })
          .optional(),
      }),
    )
    .readonly(),
});
export type RoomView = z.infer<typeof RoomView>;
