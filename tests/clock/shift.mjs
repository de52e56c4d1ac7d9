/**
 * Moves the clock of whatever it runs in: a server that is tested, a page, a test. Everything that asks for the time
 * gets it so many milliseconds later; moments that are named stay what they are. It reads nothing from around it, so
 * that it can be handed to a page as text.
 * @param {number} offsetMs
 */
export function shiftClock(offsetMs) {
  const real = globalThis.Date;
  if (offsetMs === 0 || real.isShifted) return;
  const now = () => real.now() + offsetMs;
  globalThis.Date = new Proxy(real, {
    construct: (target, given, asked) => Reflect.construct(target, given.length === 0 ? [now()] : given, asked),
    apply: () => new real(now()).toString(),
    get: (target, key) => (key === 'now' ? now : key === 'isShifted' ? true : Reflect.get(target, key)),
  });
}
