import { treatmentWords } from './treatment.words';
import { lazy, Suspense, useState } from 'react';
import { lineNames } from '../../catalogue/facial/usual-lines';
import type { VisitView } from '../../contracts/visit-views';
import { lineWorkId } from '../../core/facial/line-work';
import type { Proposal } from '../../core/treatment/shorten';
import { byReason, insteadInWords } from '../../core/treatment/left-out-groups';
import { formatClock } from '../../core/units';
import { Kbd } from '../../ui/kbd/Kbd';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { schoolInWords } from '../plan/school-words';
import { SchoolFields } from '../plan/SchoolFields';
import { SkinLedger } from './SkinLedger';
import { type Choices, withoutBlocks, withProtocol } from './chosen';
import shared from './Treatment.module.css';
import styles from './TreatmentSide.module.css';
import type { TreatmentHandle } from './useTreatment';

/** Fetched when somebody keeps a treatment. */
const Chooser = lazy(async () => ({ default: (await import('./Chooser')).Chooser }));
const KeepTemplate = lazy(async () => ({ default: (await import('./KeepTemplate')).KeepTemplate }));

interface Props {
  readonly handle: TreatmentHandle;
  readonly visit: VisitView;
  readonly regionLabel: (name: string) => string;
}

const mostRegions = 8;

/** Beside the parts: what was chosen, the time, what is left out and why, what could be saved, and the load. */
export function TreatmentSide({ handle, visit, regionLabel }: Props) {
  const { treatment } = handle;
  const { wish, load } = treatment;
  const stoneChanges = (treatment.stones ?? []).reduce((sum, { changes }) => sum + changes, 0);
  const [open, setOpen] = useState<'chooser' | 'keep' | 'school'>();
  const [trouble, setTrouble] = useState<string>();
  const close = () => setOpen(undefined);
  const blocks = treatment.blocks.map(({ id }) => id);
  const isOnlyDrainage = wish.choices.length === 1 && treatment.blocks.every(({ name }) => name === 'drainage');
  const hasDrainage = treatment.blocks.some(({ name }) => name === 'drainage');
  const setChoices = (choices: Choices) => handle.set({ choices });
  const takes = (proposal: Proposal) => {
    if (proposal.kind === 'short-form') handle.set({ isShort: true });
    else if (proposal.kind === 'both-hands') handle.set({ bothSides: true });
    else if (proposal.blocks.length > 0) setChoices(withoutBlocks(wish.choices, proposal.blocks, blocks));
  };
  return (
    <aside className={styles['side']} aria-label={treatmentWords.whatItHoldsAndTheTime}>
      <section>
        <h2>{treatmentWords.thisVisitHolds}</h2>
        <ul className={styles['chosen']}>
          {treatment.choices.map(({ id, name, isGiven }) => {
            const parts = wish.choices.find((one) => one.id === id)?.blocks?.length;
            return (
              <li key={id}>
                <span data-off={isGiven ? undefined : true}>
                  {name}
                  {parts !== undefined && (
                    <small> {parts === 1 ? treatmentWords.onePart : treatmentWords.parts2(parts)}</small>
                  )}
                </span>
                {treatment.choices.length > 1 && (
                  <Button
                    look="link"
                    aria-label={treatmentWords.takeOut2(name)}
                    onClick={() => setChoices(wish.choices.filter((one) => one.id !== id))}
                  >
                    {treatmentWords.takeOut}
                  </Button>
                )}
              </li>
            );
          })}
        </ul>
        <div className={styles['pair']}>
          <Button onClick={() => setOpen('chooser')}>{treatmentWords.choose}</Button>
          <Button look="link" onClick={() => setOpen('keep')}>
            {treatmentWords.keepForAnotherTime}
          </Button>
        </div>
        {isOnlyDrainage && (
          <Button look="link" onClick={() => void handle.asDrainage().then((why) => setTrouble(why))}>
            {treatmentWords.planItAsDrainageAloneStep}
          </Button>
        )}
        {trouble !== undefined && <p role="alert">{trouble}</p>}
      </section>
      <OpenLines handle={handle} onAdd={() => setChoices(withProtocol(wish.choices, lineWorkId))} />
      <Time handle={handle} />
      <Pace handle={handle} />
      {hasDrainage && (
        <section>
          <h2>{treatmentWords.schoolOfDrainage}</h2>
          <p className={shared['soft']}>
            {schoolInWords(wish.school ?? visit.school)}{' '}
            <Button look="link" onClick={() => setOpen('school')}>
              {treatmentWords.change}
            </Button>
          </p>
        </section>
      )}
      {treatment.proposals.length > 0 && (
        <section>
          <h2>{treatmentWords.shortOfTime}</h2>
          <ul className={styles['plain']}>
            {treatment.proposals.map((proposal) => (
              <li key={proposal.words} className={styles['proposal']}>
                <span>{proposal.words}</span> <strong>{formatClock(proposal.savesSeconds)}</strong>
                {proposal.kind !== 'evenly' && !isTaken(proposal, wish) && (
                  <Button
                    look="link"
                    aria-label={treatmentWords.takeIt2(proposal.words)}
                    onClick={() => takes(proposal)}
                  >
                    {treatmentWords.takeIt}
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      {treatment.leftOut.length > 0 && (
        <section>
          <h2>{treatmentWords.leftOut}</h2>
          <ul className={styles['plain']}>
            {byReason(treatment.leftOut).map(({ what, why, instead }) => (
              <li key={why}>
                <strong>{why}</strong> {what.join('; ')}.
                {instead.length > 0 && <em>{treatmentWords.instead(insteadInWords(instead, what.length))}</em>}
              </li>
            ))}
          </ul>
        </section>
      )}
      {treatment.layers && <SkinLedger layers={treatment.layers} />}
      <section>
        <h2>{treatmentWords.whatItAsksOfYou}</h2>
        <p>
          {formatClock(load.standingSeconds)} {treatmentWords.standing} {formatClock(load.thumbSeconds)}{' '}
          {treatmentWords.withTheThumbs}
          {load.firmSeconds > 0 ? treatmentWords.firm(formatClock(load.firmSeconds)) : ''}.
          {stoneChanges > 0 && ` ${treatmentWords.handsChangeStones(stoneChanges)}`}
        </p>
        <table className={styles['regions']}>
          <caption>{treatmentWords.minutesByRegion}</caption>
          <tbody>
            {load.byRegion.slice(0, mostRegions).map(({ region, seconds }) => (
              <tr key={region}>
                <th scope="row">{regionLabel(region)}</th>
                <td>{formatClock(seconds)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {open === 'chooser' && (
        <Suspense>
          <Chooser
            clientId={visit.client.id}
            chosen={wish.choices}
            onClose={close}
            onChoose={({ holds, minutes }) => {
              close();
              handle.set({ ...holds, ...(minutes ? { minutes } : {}) });
            }}
          />
        </Suspense>
      )}
      {open === 'keep' && (
        <Suspense>
          <KeepTemplate visit={visit} wish={wish} onClose={close} />
        </Suspense>
      )}
      <Dialog title={treatmentWords.schoolOfDrainageInThisPlan} isOpen={open === 'school'} onClose={close}>
        <SchoolFields school={wish.school ?? visit.school} onChange={(school) => handle.set({ school })} />
        <Button look="filled" onClick={close}>
          {treatmentWords.done}
        </Button>
      </Dialog>
    </aside>
  );
}

const isTaken = ({ kind }: Proposal, { isShort, bothSides }: TreatmentHandle['treatment']['wish']) =>
  (kind === 'short-form' && isShort) || (kind === 'both-hands' && bothSides);

/** Lines that were drawn on the face and that nothing of the treatment works. */
function OpenLines({ handle, onAdd }: { readonly handle: TreatmentHandle; readonly onAdd: () => void }) {
  const { lines, openLines } = handle.treatment;
  const names = lines
    .filter(({ id }) => openLines.includes(id))
    .map(({ kind, side }) => `${lineNames[kind].toLowerCase()}${side === 'mid' ? '' : `, ${side}`}`);
  if (names.length === 0) return null;
  return (
    <section>
      <h2>{treatmentWords.linesNotWorked}</h2>
      <p className={shared['soft']}>
        {[...new Set(names)].join('; ')}.{' '}
        <Button look="link" onClick={onAdd}>
          {treatmentWords.addWorkOnTheClientsOwn}
        </Button>
      </p>
    </section>
  );
}

/** Whose seconds the plan is made of, where the therapist has been measured in any of it: one switch. */
function Pace({ handle }: { readonly handle: TreatmentHandle }) {
  const { pace } = handle.treatment;
  if (!pace) return null;
  return (
    <section>
      <h2>{treatmentWords.pace}</h2>
      <Choice
        label={treatmentWords.plannedAt}
        options={[
          { value: 'library', text: treatmentWords.theLibrarysPace },
          { value: 'own', text: treatmentWords.asTakenBy(pace.whose) },
        ]}
        value={pace.isOwn ? 'own' : 'library'}
        onChange={handle.setPace}
      />
      <ul className={styles['plain']}>
        {pace.techniques.map(({ name, ownSeconds, times, librarySeconds }) => (
          <li key={name}>{treatmentWords.secondsOfATechnique(name, ownSeconds, times, librarySeconds)}</li>
        ))}
      </ul>
    </section>
  );
}

const kindWords = {
  turn: ['turn', 'turns'],
  hands: [treatmentWords.changeOfHands, treatmentWords.changesOfHands],
  walk: ['walk', 'walks'],
  drape: ['draping', 'drapings'],
  head: [treatmentWords.turnOfTheHead, treatmentWords.turnsOfTheHead],
  wash: [treatmentWords.washingOfTheHands, treatmentWords.washingsOfTheHands],
} as const;

/** The order that the protocol teaches, and a faster one where there is one: what it saves, and what it departs from. */
function TaughtOrder({ handle }: { readonly handle: TreatmentHandle }) {
  const { wish, faster } = handle.treatment;
  if (wish.isFree)
    return (
      <p>
        {treatmentWords.orderIsFree}{' '}
        <Button look="link" onClick={() => handle.setFree(false)}>
          {treatmentWords.asTheProtocolHasIt} <Kbd>O</Kbd>
        </Button>
      </p>
    );
  if (!faster) return null;
  return (
    <p>
      {treatmentWords.aFasterOrderSaves(formatClock(faster.savesSeconds), faster.departs.join('; '))}{' '}
      <Button look="link" onClick={() => handle.setFree(true)}>
        {treatmentWords.takeTheFasterOrder}
      </Button>
    </p>
  );
}

/** How long it takes and what costs time; minutes, form and filling may be changed. */
function Time({ handle }: { readonly handle: TreatmentHandle }) {
  const { treatment } = handle;
  const { wish } = treatment;
  const [minutes, setMinutes] = useState(String(wish.minutes));
  const [shown, setShown] = useState(wish.minutes);
  if (shown !== wish.minutes) {
    setShown(wish.minutes);
    setMinutes(String(wish.minutes));
  }
  const takeMinutes = () => {
    const value = Number(minutes.replace(',', '.'));
    if (value >= 1 && value <= 480 && value !== wish.minutes) handle.set({ minutes: value });
    else setMinutes(String(wish.minutes));
  };
  const changes = treatment.blocks.flatMap((block) => block.changes);
  const costs = (['turn', 'hands', 'walk', 'drape', 'wash', 'head'] as const).flatMap((kind) => {
    const own = changes.filter((change) => change.kind === kind);
    const seconds = own.reduce((sum, change) => sum + change.seconds, 0);
    return own.length === 0
      ? []
      : [`${own.length} ${kindWords[kind][own.length === 1 ? 0 : 1]} ${formatClock(seconds)}`];
  });
  return (
    <section>
      <h2>{treatmentWords.time}</h2>
      <p>
        <strong>{formatClock(treatment.totalSeconds)}</strong> {treatmentWords.of}{' '}
        {formatClock(treatment.availableSeconds)} {treatmentWords.min2}
        {costs.length > 0 && treatmentWords.ofIt(costs.join(', '))}.
      </p>
      <p className={shared['soft']}>
        {treatment.fits
          ? timeWords(treatment.totalSeconds, treatment.usualSeconds)
          : treatmentWords.evenTheLeastIsTooLong(formatClock(treatment.shortBySeconds))}{' '}
        {treatment.isBestOrder
          ? treatmentWords.noOrderNeedsLessForChanges
          : treatmentWords.theBestOrderWouldNeedFor(formatClock(treatment.lowerBoundSeconds))}{' '}
        {(treatment.crossings ?? 0) > 0 && treatmentWords.crossesTheTable(treatment.crossings ?? 0)}
      </p>
      <TaughtOrder handle={handle} />
      <Field
        label={treatmentWords.minutes}
        inputMode="decimal"
        value={minutes}
        onChange={(event) => setMinutes(event.target.value)}
        onBlur={takeMinutes}
        onKeyDown={(event) => event.key === 'Enter' && takeMinutes()}
      />
      <Choice
        label={treatmentWords.form}
        options={[
          { value: 'whole', text: treatmentWords.whole },
          { value: 'short', text: treatmentWords.shortForm },
        ]}
        value={wish.isShort ? 'short' : 'whole'}
        onChange={(value) => handle.set({ isShort: value === 'short' })}
      />
      <Choice
        label={treatmentWords.leftAndRight}
        options={[
          { value: 'one', text: treatmentWords.oneSideFirst },
          { value: 'both', text: treatmentWords.bothHandsAlike },
        ]}
        value={wish.bothSides ? 'both' : 'one'}
        onChange={(value) => handle.set({ bothSides: value === 'both' })}
      />
      <Choice
        label={treatmentWords.timeThatIsLeft}
        options={[
          { value: 'end', text: treatmentWords.endEarly },
          { value: 'fill', text: treatmentWords.fillIt },
        ]}
        value={wish.fill ? 'fill' : 'end'}
        onChange={(value) => handle.set({ fill: value === 'fill' })}
      />
    </section>
  );
}

function timeWords(total: number, usual: number): string {
  if (Math.abs(total - usual) < 30) return treatmentWords.everythingAtItsUsualRepetitions;
  return total < usual
    ? treatmentWords.shortenedAtTheUsualRepetitionsIt(formatClock(usual))
    : treatmentWords.longerThanUsualBy(formatClock(total - usual));
}
