import { closeWords } from './close.words';
import { lazy, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { CloseView as View } from '../../contracts/visit-views';
import { expandArea } from '../../core/anatomy/areas';
import { replay } from '../../core/table/progress';
import { noteFrom, type NoteDoc, plainNote, withSentences } from '../../core/visit/note-doc';
import type { RegionMark } from '../../ui/body-map/map-marks';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Drawn } from '../../ui/charts/Drawn';
import { useToasts } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import { marksOf } from '../body-marks';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { SaveLine } from '../saving/SaveLine';
import { VisitHead } from '../visit-head/VisitHead';
import { ChangesOfVisit } from '../changes/ChangesOfVisit';
import { Pairs } from '../pictures/Pairs';
import { Aftercare } from './Aftercare';
import { Ahead } from './Ahead';
import styles from './CloseView.module.css';
import { Done } from './Done';
import { Feedback } from './Feedback';
import { Marked } from './Marked';
import { Measured } from './Measured';
import { NextVisit } from './NextVisit';
import { Signed } from './Signed';
import { SkinAfter } from './SkinAfter';
import { Used } from './Used';
import { useClosing } from './useClosing';
import { unpacked } from '../../ui/frame/packed';

const NoteEditor = lazy(() => import('../../ui/editor/NoteEditor'));

/** The two minutes at the end: look again, measure again, ask how it was. Stored as it is answered, then signed off. */
export function CloseView({ view }: { readonly view: View }) {
  const { visit, next } = view;
  const { say, toasts } = useToasts();
  const { answers, answer, saving, compare, noteError, settle, version } = useClosing(visit);
  const isClosed = visit.stage === 'done';
  const [isCorrecting, setIsCorrecting] = useState(false);
  const isFixed = isClosed && !isCorrecting;
  const [turn, setTurn] = useState(0);
  const doc: NoteDoc = answers.noteDoc ?? noteFrom(answers.note);
  const setNote = (noteDoc: NoteDoc) => answer({ noteDoc, note: plainNote(noteDoc) });
  const isScented = Object.values(visit.blends).some(({ blend }) => blend.parts.length > 0);

  const finish = async () => {
    if (!(await settle())) return say(closeWords.notAllSavedYet, 'error');
    try {
      await send('POST /api/visits/{id}/finish', { params: { id: visit.id } });
      window.location.assign(`/clients/${visit.client.id}`);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const handOver = async () => {
    if (!(await settle())) return say(closeWords.notAllSavedYet, 'error');
    try {
      await send('POST /api/session/hand', { body: { visitId: visit.id } });
      window.location.replace(`/tablet/${visit.id}`);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  useShortcuts(
    [
      { keys: ['Tab'], words: closeWords.nextQuestion },
      { keys: ['←', '→'], words: closeWords.chooseAnAnswer },
      { keys: ['Ctrl+Enter'], words: closeWords.closeTheVisitKey, act: isFixed ? undefined : () => void finish() },
    ],
    { whileWriting: 'always' },
  );

  const marks = marksOf(visit.findings);
  const focus = visit.focus.flatMap((id) => expandArea(anatomy, id) ?? []);
  const state = replay(visit.events);
  const worked = new Set(
    (visit.plan?.steps ?? []).filter((step) => state.outcomes.get(step.id)?.state === 'done').map((step) => step.place),
  );
  const regions = new Map<string, RegionMark>(
    focus.map((id) => [
      id,
      worked.has(id)
        ? { tone: 'open', words: closeWords.drained }
        : { tone: 'drain', words: closeWords.notDrainedThisTime },
    ]),
  );
  for (const [id, mark] of marks.regions) regions.set(id, mark);

  return (
    <>
      <VisitHead visit={visit} here="close" />
      <div className={styles['view']}>
        <section className={styles['body']} aria-label={closeWords.whatWasWorked}>
          <BodyPanel
            label={closeWords.workedOn(visit.client.name)}
            initial={bestDrawing(focus)}
            sheets={['body', 'face']}
            regions={regions}
            nodes={marks.nodes}
            signs={marks.signs}
          />
        </section>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>{isClosed ? closeWords.howItWas : closeWords.howWasIt}</h2>
            <SaveLine saving={saving} saved={version > 0 ? closeWords.saved : ''} compare={compare} />
            {!isFixed && <Button onClick={() => void handOver()}>{closeWords.letTheClientAnswer}</Button>}
          </div>
          <Signed signatures={visit.signatures} version={version} />
          <Feedback answers={answers} onAnswer={answer} isScented={isScented} isFixed={isFixed} />
          <fieldset className={styles['skin']} disabled={isFixed}>
            <SkinAfter answers={answers} onAnswer={answer} />
          </fieldset>
          <Drawn className={styles['noteRoom']}>
            <NoteEditor
              label={closeWords.factNote}
              hint={closeWords.forTheRecordTheClientMay}
              value={doc}
              turn={turn}
              isReadOnly={isFixed}
              onChange={setNote}
              error={noteError}
            />
          </Drawn>
          <Aftercare
            visitId={visit.id}
            proposed={view.aftercare}
            answers={answers}
            onAnswer={answer}
            isFixed={isFixed}
          />
          <div className={styles['buttons']}>
            {isFixed ? (
              <>
                <Button onClick={() => setIsCorrecting(true)}>{closeWords.correctTheRecord}</Button>
                <ButtonLink href={`/clients/${visit.client.id}`}>{closeWords.backTo(visit.client.name)}</ButtonLink>
              </>
            ) : (
              <Button look="filled" onClick={() => void finish()}>
                {isClosed ? closeWords.signTheCorrection : closeWords.closeTheVisit}
              </Button>
            )}
          </div>
        </main>
        <aside className={styles['aside']} aria-label={closeWords.whatWasDoneAndMeasured}>
          <h2>{closeWords.measuredAgain}</h2>
          <Measured visit={visit} isTaped={view.isTaped} />
          <ChangesOfVisit changes={view.changes} />
          <Pairs clientId={visit.client.id} pictures={view.pictures} visitId={visit.id} />
          <h2>{closeWords.done}</h2>
          <Done visit={visit} />
          <Used visit={visit} stones={view.stones} answers={answers} onAnswer={answer} isFixed={isFixed} />
          {next && <NextVisit visit={visit} next={next} />}
          {view.ahead && <Ahead ahead={view.ahead} clientId={visit.client.id} />}
          <Marked
            visit={visit}
            note={answers.note}
            onTake={(sentences) => {
              setNote(withSentences(doc, sentences));
              setTurn(turn + 1);
            }}
          />
        </aside>
      </div>
      {toasts}
    </>
  );
}

/** As the page shows it. */
export const CloseIsland = unpacked(CloseView);
