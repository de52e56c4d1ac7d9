import { renderToStaticMarkup } from 'react-dom/server';
import { beforeEach, describe, expect, it } from 'vitest';
import { readRoom } from '../../server/treatments/read-room';
import { bookFor, mayAll, planFor } from '../../server/treatments/treatment-fixtures';
import { now, openHouse, type TestHouse } from '../../server/shared/test-house';
import { pack } from '../../ui/frame/packed';
import { RoomIsland } from './RoomList';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
  await mayAll(house);
});
const roomOf = async (visit: number) => {
  const room = await readRoom(house.db, visit);
  if (!room) throw new Error('no such visit');
  return room;
};
const shown = (room: Awaited<ReturnType<typeof roomOf>>) =>
  renderToStaticMarkup(<RoomIsland packed={pack({ room, now: now.toISOString() })} />);

describe('the room before a client comes', () => {
  it('leads to the plan while there is none', async () => {
    const html = shown(await roomOf(house.visit));
    expect(html).toContain('The room before Zoë comes');
    expect(html).toContain(`href="/visits/${house.visit}/plan"`);
    expect(html).not.toContain('type="checkbox"');
  });

  it('lists what to do in the order in which it is done, with what is left', async () => {
    const visit = await bookFor(house, 1, ['stones-back']);
    await planFor(house, visit, ['stones-back']);
    const room = await roomOf(visit);
    const html = shown(room);
    expect(room.items.length).toBeGreaterThan(2);
    const places = room.items.map(({ what }) => html.indexOf(what.slice(0, 20)));
    expect(places.every((at) => at > 0)).toBe(true);
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect(html.match(/type="checkbox"/g)).toHaveLength(room.items.length);
    expect(html).toContain(`${room.items.length} of ${room.items.length}`);
  });

  it('keeps the ticks that were set, and says when all is ready', async () => {
    const visit = await bookFor(house, 1, ['stones-back']);
    await planFor(house, visit, ['stones-back']);
    const room = await roomOf(visit);
    const [first, ...others] = room.items;
    if (!first) throw new Error('nothing to do');
    const some = shown({ ...room, items: [{ ...first, isReady: true }, ...others] });
    expect(some.match(/checked=""/g)).toHaveLength(1);
    const all = shown({ ...room, items: room.items.map((item) => ({ ...item, isReady: true })) });
    expect(all).toContain('all is ready');
  });
});
