export function shiftClock(offsetMs: number): void;
