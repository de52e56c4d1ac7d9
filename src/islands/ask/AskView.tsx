import { askWords } from './ask.words';
import { useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { AskView as View } from '../../contracts/ask-views';
import { expandArea } from '../../core/anatomy/areas';
import { BodySheet } from '../../ui/body-sheet/BodySheet';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Kbd } from '../../ui/kbd/Kbd';
import { useToasts } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import { marksOf } from '../body-marks';
import { VisitHead } from '../visit-head/VisitHead';
import { Allows } from './Allows';
import { askRegions } from './ask-regions';
import styles from './AskView.module.css';
import { Check, GatedCheck } from './Check';
import { Intake } from './Intake';
import { useAnswering } from './useAnswering';
import { useAsk } from './useAsk';
import { useAskKeys } from './useAskKeys';
import { unpacked } from '../../ui/frame/packed';

const usualWork = 'lymph-drainage';

/** The consultation: the intake or the short check, the body with what was found, and what it allows. */
export function AskView({ view, today }: { readonly view: View; readonly today: string }) {
  const { visit } = view;
  const asking = useAsk(view);
  const { state } = asking;
  const { say, toasts } = useToasts();
  const answering = useAnswering(view, asking, say);
  const { part, groups, outcome, progress, checking, current } = answering;
  const [marking, setMarking] = useState<number>();
  const [openWork, setOpenWork] = useState<string>();
  const [isAllShown, setIsAllShown] = useState(true);

  const hand = async () => {
    try {
      await send('POST /api/session/hand', { body: { visitId: visit.id } });
      window.location.replace(`/tablet/${visit.id}`);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  useAskKeys(answering, {
    onMark: () => {
      const finding = state.findings.find(({ id }) => id === current);
      setMarking(marking === undefined ? finding?.key : undefined);
    },
    onHand: () => void hand(),
  });

  const marked = state.findings.find(({ key }) => key === marking);
  const pick = (place: string) => {
    if (!marked) return;
    const known = marked.regions ?? [];
    const next = known.includes(place) ? known.filter((id) => id !== place) : [...known, place];
    const isLine = marked.locatable === 'line';
    const regions = isLine ? next.slice(-2) : next;
    const crosses = isLine && regions.length === 2 ? [[regions[0] ?? '', regions[1] ?? '']] : undefined;
    void asking.changeFinding(marked, { regions, crosses }).then((error) => error && say(error.message, 'error'));
  };
  const found = marksOf(state.findings);
  const focus = visit.focus.flatMap((id) => expandArea(anatomy, id) ?? []);
  const work = state.screening.decisions.find(({ modality }) => modality === (openWork ?? usualWork));
  const shown = isAllShown ? groups : groups.filter((g) => g.state === 'unasked' || g.unanswered.length > 0);

  return (
    <>
      <VisitHead visit={visit} here="ask" stage={state.stage} />
      <div className={styles['view']}>
        <BodySheet className={styles['body']} label={askWords.bodyMap} isHidden isWanted={marked !== undefined}>
          <BodyPanel
            label={askWords.bodyOf(visit.client.name)}
            initial={bestDrawing(focus)}
            sheets={['body', 'face', 'hand', 'foot']}
            regions={askRegions({ focus, work, found, marking: marked?.regions ?? [] })}
            nodes={found.nodes}
            signs={found.signs}
            onPick={marked ? pick : undefined}
            selected={marked?.regions?.at(-1)}
          />
        </BodySheet>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>{part === 'intake' ? askWords.consultation : askWords.beforeWeBegin}</h2>
            <span>
              {part === 'intake'
                ? `${progress.done} of ${progress.all}${view.intakeDue ? ` · ${view.intakeDue}` : ''}`
                : askWords.answeredOf(checking.progress.done, checking.progress.all)}
            </span>
          </div>
          <div className={styles['parts']}>
            <Choice
              label={askWords.partOfTheConsultation}
              isLabelHidden
              options={[
                { value: 'intake', text: askWords.fullIntake },
                { value: 'check', text: askWords.checkOfToday },
              ]}
              value={part}
              onChange={answering.showPart}
            />
            {part === 'check' && (
              <Button look="link" onClick={() => checking.setOneByOne(!checking.isOneByOne)}>
                {checking.isOneByOne ? askWords.byGates : askWords.oneByOne}
              </Button>
            )}
            {part === 'intake' && (
              <Button look="link" onClick={() => setIsAllShown(!isAllShown)}>
                {isAllShown ? askWords.showOnlyWhatIsOpen : askWords.showAll}
              </Button>
            )}
          </div>
          {part === 'intake' ? (
            <>
              <Intake
                {...{ view, asking, marking, current }}
                groups={shown}
                onCurrent={answering.setCurrent}
                onAnswer={answering.answerIntake}
                onRestNo={answering.restNo}
                onMark={setMarking}
              />
              {progress.done === progress.all && (
                <p className={styles['done']}>
                  {askWords.everyQuestionOfTheIntakeHas}{' '}
                  <Button look="filled" onClick={() => answering.showPart('check')}>
                    {askWords.onToTheCheckOfToday}
                  </Button>
                </p>
              )}
            </>
          ) : (
            <>
              {checking.isOneByOne ? (
                <Check
                  {...{ view, asking, marking, current }}
                  onCurrent={checking.setCurrent}
                  onAnswer={checking.answer}
                  onIntake={(condition, input) => asking.answerIntake([{ condition, answer: input }])}
                  onMark={setMarking}
                />
              ) : (
                <GatedCheck
                  {...{ view, asking, marking, current }}
                  opened={checking.opened}
                  onCurrent={checking.setCurrent}
                  onAnswer={checking.answer}
                  onIntake={(condition, input) => asking.answerIntake([{ condition, answer: input }])}
                  onMark={setMarking}
                />
              )}
            </>
          )}
        </main>
        <Allows
          {...{ view, asking, outcome, openWork }}
          onOpenWork={setOpenWork}
          onSigned={() => say(askWords.consentKept(today))}
        />
      </div>
      <footer className={styles['foot']}>
        <span>
          <Kbd>Y</Kbd> <Kbd>N</Kbd> {part === 'intake' && <Kbd>U</Kbd>} {askWords.answer}
        </span>
        <span>
          <Kbd>↓</Kbd> {askWords.next}
        </span>
        {part === 'intake' && (
          <span>
            <Kbd>R</Kbd> {askWords.restNo}
          </span>
        )}
        <span>
          <Kbd>M</Kbd> {askWords.markOnTheBody}
        </span>
        <Button look="link" onClick={() => void hand()}>
          <Kbd>H</Kbd> {askWords.handTheTabletOver}
        </Button>
        {part === 'check' && (
          <p className={styles['rest']}>
            {checking.undoRest ? (
              <>
                <span role="status">{askWords.theRestWasAnsweredNo}</span>{' '}
                <Button look="link" onClick={checking.undoRest}>
                  {askWords.undoTheRest}
                </Button>
              </>
            ) : (
              outcome.kind === 'open' && (
                <Button onClick={checking.restNo}>
                  <Kbd>R</Kbd> {askWords.theRestNo}
                </Button>
              )
            )}
          </p>
        )}
        <em>{askWords.localLawAndYourLicenceCome}</em>
      </footer>
      {toasts}
    </>
  );
}

/** As the page shows it. */
export const AskIsland = unpacked(AskView);
