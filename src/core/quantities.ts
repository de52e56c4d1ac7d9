import type { Nominal } from './nominal';

/** Quantities whose mix-up would hurt somebody. Arithmetic gives plain numbers: name the result again by its unit. */
export type Millilitres = Nominal<number, 'mL'>;
export type Drops = Nominal<number, 'drops'>;
export type Percent = Nominal<number, '%'>;
export type Celsius = Nominal<number, '°C'>;
export type Seconds = Nominal<number, 's'>;
export type Minutes = Nominal<number, 'min'>;
