import { z } from 'zod';
import { VisitView } from './visit-views';
import { RoomItemShape } from './shapes/room';

/** What has to be ready before a client comes, with the time of day for each. */
export const RoomView = z.object({
  visit: VisitView,
  items: z
    .array(
      RoomItemShape.extend({
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
