import type { Stage, StageOrEnd } from '../../contracts/people-views';
import { stages } from '../../core/visit/stage';
import { type VisitView } from '../../contracts/visit-views';
import { type Stone, SteppingStones } from '../../ui/stones/SteppingStones';
import { type Shortcut, Shortcuts } from '../../ui/shortcuts/Shortcuts';
import styles from './VisitHead.module.css';

/** Stages that have a view of their own. */
const walked = ['ask', 'measure', 'plan', 'prepare', 'table', 'close'] as const;
const names: Readonly<Record<(typeof walked)[number], string>> = {
  ask: 'Ask',
  measure: 'Measure',
  plan: 'Plan',
  prepare: 'Prepare',
  table: 'Table',
  close: 'Close',
};

interface Props {
  readonly visit: VisitView;
  readonly here: (typeof walked)[number];
  readonly stage?: StageOrEnd;
}

/** What the keyboard can do on each view. */
const keysOf: Readonly<Record<(typeof walked)[number], readonly Shortcut[]>> = {
  ask: [
    [['Y'], 'yes to the question at hand'],
    [['N'], 'no to the question at hand'],
    [['U'], 'not sure'],
    [['R'], 'no to the rest of the group'],
    [['↑', '↓'], 'from question to question'],
    [['M'], 'mark the finding on the body'],
    [['H'], 'hand the tablet to the client'],
  ],
  measure: [
    [['Enter'], 'take the number, on to the next point'],
    [['↑'], 'next point up'],
    [['↓'], 'back to the point below'],
    [['I'], 'inches or centimetres'],
    [['A'], 'tape again, without looking'],
    [['Y'], 'taped again, it is right'],
    [['U'], 'undo the last number'],
    [['C'], 'how it is taped'],
    [['B'], 'tape with a button'],
    [['T'], 'tape run'],
    [['K'], 'skin and tissue'],
    [['F'], 'how it feels'],
    [['N'], 'face and neck'],
    [['L'], 'lines of the face'],
    [['G'], 'girths of the belly'],
    [['P'], 'pictures'],
  ],
  plan: [
    [['↑', '↓'], 'from step to step'],
    [['Enter'], 'why a step stands where it stands'],
    [['Alt', '↑'], 'move the step up'],
    [['Alt', '↓'], 'move the step down'],
    [['M'], 'mend what is broken'],
    [['Ctrl', 'Z'], 'undo the last move'],
  ],
  prepare: [
    [['Tab'], 'next on the list'],
    [['Space'], 'ready, or not yet'],
  ],
  table: [],
  close: [
    [['Tab'], 'next question'],
    [['←', '→'], 'choose an answer'],
    [['Ctrl', 'Enter'], 'close the visit'],
  ],
};

/** What of the asking is missing, for a visit that has not begun at the table. */
function missingWords({ missing, events }: VisitView): string | undefined {
  if (missing.length === 0 || events.length > 0) return undefined;
  const names = { intake: 'intake', consent: 'consent', check: 'check' } as const;
  return `${missing.map(({ gate }) => names[gate]).join(', ')} missing`;
}

/** Client and stage of a visit, the same on each of its views. */
export function VisitHead({ visit, here, stage = visit.stage }: Props) {
  const reached = stage === 'done' ? stages.length : stages.indexOf(stage as Stage);
  const stones = walked.map((name): Stone => {
    const isHere = name === here;
    const isPassed = stage === 'done' || stages.indexOf(name) < Math.max(reached, stages.indexOf(here));
    const missing = name === 'ask' ? missingWords(visit) : undefined;
    const isDone = !isHere && isPassed && missing === undefined && (name !== 'measure' || visit.before !== null);
    const isClosed = stage === 'stopped' && name !== 'ask' && !isHere;
    return {
      name: names[name],
      href: `/visits/${visit.id}/${name}`,
      state: isHere ? 'here' : isDone ? 'done' : 'ahead',
      isClosed,
      missing: isHere || !isPassed ? undefined : missing,
    };
  });
  return (
    <div className={styles['head']}>
      <div className={styles['who']}>
        <h1>
          <a href={`/clients/${visit.client.id}`}>{visit.client.name}</a>
        </h1>
        <p>
          {visit.client.age === null ? '' : `${visit.client.age} · `}
          {visit.time}, {visit.minutes} min with {visit.therapist.name} · {visit.work}
        </p>
      </div>
      <div className={styles['stones']}>
        <SteppingStones stones={stones} />
        <Shortcuts list={keysOf[here]} />
      </div>
    </div>
  );
}
