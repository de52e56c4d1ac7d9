import { trainingBooks } from '../../catalogue/training';
import type { NextDrill } from '../../contracts/practice';
import type { TherapistId } from '../../core/ids';
import type { DrillKind, Level } from '../../core/training/kinds';
import { questionOf, skillsIn } from '../../core/training/drills';
import { levelFor } from '../../core/training/session';
import { type Skill, skills } from '../../core/training/skills';
import type { Db } from '../db/connection';
import { isDue, sureness } from './cards';
import type { PracticeCard } from './practice.documents';
import { listAnswers, readCards } from './practice.repository';

interface Wanted {
  readonly kind?: DrillKind | undefined;
  readonly level?: Level | undefined;
}

const mostSeed = 100_000;
/** So many cases of a kind are looked at for one that asks for a skill, in words that were not the last ones. */
const drawn = 8;

/**
 * The case that is most worth practising now: of the skills in their turn the first that a case of one's level asks for.
 * What comes only with higher levels waits for them.
 */
export async function nextDrill(db: Db, person: TherapistId, wanted: Wanted, now: Date): Promise<NextDrill> {
  const [cards, answers] = await Promise.all([readCards(db, person), listAnswers(db, person)]);
  const draws = new Map<DrillKind, readonly Drawn[]>();
  const drawsOf = (kind: DrillKind): readonly Drawn[] => {
    const of = answers.filter((one) => one.kind === kind);
    const made = draws.get(kind) ?? draw(kind, wanted.level ?? levelFor(of), of[0]);
    draws.set(kind, made);
    return made;
  };
  const among = skills.filter(({ kind }) => wanted.kind === undefined || kind === wanted.kind);
  for (const { id, kind, title } of inTurn(among, cards, now)) {
    const found = drawsOf(kind).find((one) => one.skills.includes(id));
    if (found) return { kind, level: found.level, seed: found.seed, course: null, set: null, why: title };
  }
  throw new Error('every case asks for a skill of its kind');
}

interface Drawn {
  readonly level: Level;
  readonly seed: number;
  readonly skills: readonly string[];
}

/** Cases of a kind, those in other words than the last one first. */
function draw(kind: DrillKind, level: Level, last: DrillAt | undefined): readonly Drawn[] {
  const lastWords = last && wordsOf(last);
  const all = Array.from({ length: drawn }, () => Math.floor(Math.random() * mostSeed)).map((seed) => ({
    ...{ level, seed, skills: skillsIn(trainingBooks, { kind, level, seed }) },
    isNew: wordsOf({ kind, level, seed }) !== lastWords,
  }));
  return [...all.filter(({ isNew }) => isNew), ...all.filter(({ isNew }) => !isNew)];
}

type DrillAt = { readonly kind: DrillKind; readonly level: Level; readonly seed: number };

const wordsOf = ({ kind, level, seed }: DrillAt) =>
  (questionOf(trainingBooks, { kind, level, seed }).question as { readonly words: string }).words;

/** What is due, the least sure first; then what was never asked, as it is taught; then the rest, the least sure first. */
export function inTurn(among: readonly Skill[], cards: ReadonlyMap<string, PracticeCard>, now: Date): readonly Skill[] {
  const known = among
    .flatMap((skill) => {
      const card = cards.get(skill.id);
      return card ? [{ skill, isDue: isDue(card, now), sure: sureness(card, now) }] : [];
    })
    .sort((a, b) => a.sure - b.sure);
  return [
    ...known.filter((one) => one.isDue).map(({ skill }) => skill),
    ...among.filter(({ id }) => !cards.has(id)),
    ...known.filter((one) => !one.isDue).map(({ skill }) => skill),
  ];
}
