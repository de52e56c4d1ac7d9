import { makeBook } from '../../core/screening/book';
import type { Condition } from '../../core/screening/tables';
import { anatomy } from '../anatomy';
import { readRows, readTable } from '../read-table';
import age from './data/age.json';
import allergies from './data/allergies.json';
import bones from './data/bones-and-joints.json';
import breathing from './data/breathing.json';
import cancer from './data/cancer-and-its-treatment.json';
import devices from './data/devices-and-implants.json';
import belly from './data/digestion-and-abdomen.json';
import gateRows from './data/gates.json';
import heart from './data/heart-and-vessels.json';
import hormones from './data/hormones-and-metabolism.json';
import infection from './data/infection-and-fever.json';
import medicines from './data/medicines.json';
import comfort from './data/mental-comfort-and-consent.json';
import modalityRows from './data/modalities.json';
import nerves from './data/nerves-and-sensation.json';
import pregnancy from './data/pregnancy.json';
import procedures from './data/recent-procedures.json';
import redFlagRows from './data/red-flags.json';
import ruleRows from './data/rules.json';
import skin from './data/skin.json';
import vocabularyRows from './data/vocabulary.json';
import { ConditionSchema, GateSchema, ModalitySchema, RedFlagSchema, RuleSchema, VocabularySchema } from './schemas';

/** The groups of the intake, in the order in which they are asked. */
const conditionGroups = [
  ['Heart and vessels', heart],
  ['Cancer and its treatment', cancer],
  ['Infection and fever', infection],
  ['Skin', skin],
  ['Nerves and feeling', nerves],
  ['Bones and joints', bones],
  ['Hormones and metabolism', hormones],
  ['Pregnancy', pregnancy],
  ['Breathing', breathing],
  ['Digestion and belly', belly],
  ['Recent procedures', procedures],
  ['Medicines', medicines],
  ['Allergies', allergies],
  ['Devices and implants', devices],
  ['Comfort and consent', comfort],
  ['Age', age],
] as const satisfies readonly (readonly [string, readonly unknown[]])[];

export const vocabulary = readTable('vocabulary', VocabularySchema, vocabularyRows);

const slugOf = (title: string) => title.toLowerCase().replace(/[^a-z]+/g, '-');

const conditions: readonly Condition[] = conditionGroups.flatMap(([group, rows]) =>
  readRows(group, ConditionSchema, rows).map((row) => ({ ...row, group, groupId: slugOf(group) })),
);

/** The gates of the check of the day. */
export const checkGates = readRows('gates', GateSchema, gateRows);

/** Everything that screening knows, checked and laid out once. */
export const screeningBook = makeBook(
  {
    modalities: readRows('modalities', ModalitySchema, modalityRows),
    conditions,
    rules: readRows('rules', RuleSchema, ruleRows),
    redFlags: readRows('red flags', RedFlagSchema, redFlagRows),
    qualifications: vocabulary.qualifications,
    families: vocabulary.families,
    basinSkin: vocabulary.basinSkin,
    limitKeys: vocabulary.limitKeys,
  },
  anatomy,
);
