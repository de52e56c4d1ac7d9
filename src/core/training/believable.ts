import type { Condition } from '../screening/tables';

/** Ages at which a made-up client may expect or nurse a child. */
const [fromAge, toAge] = [18, 48];
const mayNurse = (age: number): boolean => age >= fromAge && age <= toAge;

/** Whether a made-up client of that age may bring a condition: what the age itself implies is not told beside it. */
export const isBelievable = ({ impliedWhen, groupId }: Condition, age: number): boolean =>
  impliedWhen === undefined && (groupId !== 'pregnancy' || mayNurse(age));

/** The same of what bears on oils; skin and age are told by themselves. */
export function isBelievableForOils(condition: string, age: number): boolean {
  if (condition.startsWith('age-') || condition === 'sensitive-skin') return false;
  return (condition !== 'pregnancy' && condition !== 'breastfeeding') || mayNurse(age);
}
