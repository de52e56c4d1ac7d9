import { describe, expect, it, vi } from 'vitest';
import { type FootPress, type FootState, openFootPanel, simulatedFootSwitch } from './foot-switch';

describe('a foot switch that answers for itself', () => {
  it('is heard, is missed when its cable is out, and is back when it is plugged in', async () => {
    const presses: FootPress[] = [];
    const states: FootState[] = [];
    const stop = simulatedFootSwitch.listen(
      (press) => presses.push(press),
      (state) => states.push(state),
    );
    const panel = openFootPanel(() => undefined);
    panel.press('next');
    panel.press('back');
    await vi.waitFor(() => expect(presses).toEqual(['next', 'back']));
    expect(states.at(-1)).toBe('here');
    panel.unplug();
    panel.press('next');
    await vi.waitFor(() => expect(states.at(-1)).toBe('lost'), { timeout: 8000 });
    expect(presses).toHaveLength(2);
    panel.plugIn();
    await vi.waitFor(() => expect(states.at(-1)).toBe('here'));
    panel.close();
    stop();
  }, 20_000);
});
