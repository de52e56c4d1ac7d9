import type { Minutes } from '../quantities';
import type { Anatomy } from '../anatomy/place';
import { defaultSchool, type DrainageCase, type ReadCase, readCase, type School } from './case';
import type { Finding } from './finding';
import { type DrainagePlan, planDrainage } from './plan';

export interface Wish {
  readonly findings?: readonly Finding[];
  readonly school?: Partial<School>;
  readonly minutes?: Minutes;
  readonly fill?: boolean;
  readonly purpose?: DrainageCase['purpose'];
  readonly qualifications?: DrainageCase['qualifications'];
}

/** A case in a house with everyday habits; for specifications. */
export function makeCase(focus: readonly string[], wish: Wish = {}): DrainageCase {
  return {
    focus,
    purpose: wish.purpose ?? 'swelling',
    findings: wish.findings ?? [],
    school: { ...defaultSchool, ...wish.school },
    minutes: wish.minutes ?? 60,
    fill: wish.fill ?? false,
    qualifications: wish.qualifications ?? ['massage', 'lymphoedema-certified'],
  };
}

/** @throws RangeError when the case is refused */
export function mustRead(anatomy: Anatomy, input: DrainageCase): ReadCase {
  const read = readCase(anatomy, input);
  if (!read.ok) throw new RangeError(read.errors.map((error) => `${error.path}: ${error.message}`).join('; '));
  return read.value;
}

export function planOf(anatomy: Anatomy, focus: readonly string[], wish: Wish = {}): DrainagePlan {
  return planDrainage(anatomy, mustRead(anatomy, makeCase(focus, wish)));
}
