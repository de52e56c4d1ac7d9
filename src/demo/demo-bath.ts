import { houseBath } from '../server/devices/stone-bath';

const warmUpS = 3600;

/** The demo's bath has been on for an hour, with the stones in it. */
export function warmDemoBath(stones = 20): void {
  houseBath().drive({ isOn: true, setC: 48, stones, skipS: warmUpS });
}
