import { visitHeadWords } from './visit-head.words';
import type { Stage, StageOrEnd } from '../../contracts/people-views';
import { stages } from '../../core/visit/stage';
import { type VisitView } from '../../contracts/visit-views';
import { type Stone, SteppingStones } from '../../ui/stones/SteppingStones';
import { type Shortcut, Shortcuts } from '../../ui/shortcuts/Shortcuts';
import styles from './VisitHead.module.css';

/** Stages that have a view of their own. */
const walked = ['ask', 'measure', 'plan', 'prepare', 'table', 'close'] as const;
const names: Readonly<Record<(typeof walked)[number], string>> = {
  ask: visitHeadWords.ask,
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
    [['Y'], visitHeadWords.yesToTheQuestionAtHand],
    [['N'], visitHeadWords.noToTheQuestionAtHand],
    [['U'], visitHeadWords.notSure],
    [['R'], visitHeadWords.noToTheRestOfThe],
    [['↑', '↓'], visitHeadWords.fromQuestionToQuestion],
    [['M'], visitHeadWords.markTheFindingOnTheBody],
    [['H'], visitHeadWords.handTheTabletToTheClient],
  ],
  measure: [
    [['Enter'], visitHeadWords.takeTheNumberOnToThe],
    [['↑'], visitHeadWords.nextPointUp],
    [['↓'], visitHeadWords.backToThePointBelow],
    [['I'], visitHeadWords.inchesOrCentimetres],
    [['A'], visitHeadWords.tapeAgainWithoutLooking],
    [['Y'], visitHeadWords.tapedAgainItIsRight],
    [['U'], visitHeadWords.undoTheLastNumber],
    [['C'], visitHeadWords.howItIsTaped],
    [['B'], visitHeadWords.tapeWithAButton],
    [['T'], visitHeadWords.tapeRun],
    [['K'], visitHeadWords.skinAndTissue],
    [['F'], visitHeadWords.howItFeels],
    [['N'], visitHeadWords.faceAndNeck],
    [['L'], visitHeadWords.linesOfTheFace],
    [['G'], visitHeadWords.girthsOfTheBelly],
    [['P'], 'pictures'],
  ],
  plan: [
    [['↑', '↓'], visitHeadWords.fromStepToStep],
    [['Enter'], visitHeadWords.whyAStepStandsWhereIt],
    [['Alt', '↑'], visitHeadWords.moveTheStepUp],
    [['Alt', '↓'], visitHeadWords.moveTheStepDown],
    [['M'], visitHeadWords.mendWhatIsBroken],
    [['Ctrl', 'Z'], visitHeadWords.undoTheLastMove],
  ],
  prepare: [
    [['Tab'], visitHeadWords.nextOnTheList],
    [['Space'], visitHeadWords.readyOrNotYet],
  ],
  table: [],
  close: [
    [['Tab'], visitHeadWords.nextQuestion],
    [['←', '→'], visitHeadWords.chooseAnAnswer],
    [['Ctrl', 'Enter'], visitHeadWords.closeTheVisit],
  ],
};

/** What of the asking is missing, for a visit that has not begun at the table. */
function missingWords({ missing, events }: VisitView): string | undefined {
  if (missing.length === 0 || events.length > 0) return undefined;
  const names = { intake: 'intake', consent: 'consent', check: 'check' } as const;
  return visitHeadWords.missing(missing.map(({ gate }) => names[gate]).join(', '));
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
          {visit.time}, {visit.minutes} {visitHeadWords.minWith} {visit.therapist.name} · {visit.work}
        </p>
      </div>
      <div className={styles['stones']}>
        <SteppingStones stones={stones} />
        <Shortcuts list={keysOf[here]} />
      </div>
    </div>
  );
}
