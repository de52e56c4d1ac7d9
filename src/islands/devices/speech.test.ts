import { describe, expect, it, vi } from 'vitest';
import { type Manner, openEar, type Speech, speechWithEar } from './speech';

const manner: Manner = { voice: '', rate: 0.95, volume: 0.3 };

/** A device that only notes what it was told. */
function deviceOf(): Speech & { readonly said: string[] } {
  const said: string[] = [];
  return { said, say: (text) => said.push(text), hush: () => said.push('hush'), voices: () => [] };
}

describe('what is said at the table', () => {
  it('is said by the device while nobody else listens', () => {
    const device = deviceOf();
    const speech = speechWithEar(device);
    speech.say('left armpit', manner);
    speech.hush();
    expect(device.said).toEqual(['left armpit', 'hush']);
    speech.close();
  });

  it('goes to an ear in another window while there is one, with how it is said, and back to the device after it', async () => {
    const device = deviceOf();
    const heard: [string, Manner][] = [];
    const speech = speechWithEar(device);
    const close = openEar((text, how) => heard.push([text, how]));
    await vi.waitFor(() => {
      speech.say('And 5.', manner);
      expect(heard).toContainEqual(['And 5.', manner]);
    });
    close();
    const before = device.said.length;
    await vi.waitFor(() => {
      speech.say('Done.', manner);
      expect(device.said.length).toBeGreaterThan(before);
    });
    speech.close();
  });

  it('finds an ear that was there first', async () => {
    const heard: string[] = [];
    const close = openEar((text) => heard.push(text));
    const speech = speechWithEar(deviceOf());
    await vi.waitFor(() => {
      speech.say('Hold.', manner);
      expect(heard).toContain('Hold.');
    });
    close();
    speech.close();
  });
});
