import type { RoomItem } from '../core/room/room-list';
import type { VisitView } from './visit-views';

/** What has to be ready before a client comes, with the time of day for each. */
export interface RoomView {
  readonly visit: VisitView;
  readonly items: readonly (RoomItem & {
    readonly at: string;
    /** Its id, or its words where a list was stored before ids were kept. */
    readonly key: string;
    readonly isReady: boolean;
    /** Of oil: what is in it, and where it is blended, mixed or poured. */
    readonly oil?: { readonly words: string; readonly href: string; readonly act: string };
  })[];
}
