import { Suspense, useCallback, useEffect, useState } from 'react';
import type { ChosenDrill, KnownView, PracticeMarked } from '../../contracts/practice';
import { levels } from '../../core/training/kinds';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Kbd } from '../../ui/kbd/Kbd';
import { paneOf, PaneTabs } from '../../ui/pane-tabs/PaneTabs';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { send, sentenceOf } from '../api';
import { drills, fetchDrill } from './drills';
import { anyKind, type KindOrAny, KindTabs } from './KindTabs';
import { CaseKey, forgetKept, keepGiven, readGiven } from './kept';
import { Known } from './Known';
import styles from './Practice.module.css';
import { practiceWords } from './practice.words';
import { useDrill } from './useDrill';
import { rightFrom, Verdict } from './Verdict';
import { unpacked } from '../../ui/frame/packed';

interface Props {
  /** The case that the address names; undefined: whichever is most worth practising now. */
  readonly first: ChosenDrill | undefined;
  readonly known: KnownView;
  readonly isTrainer: boolean;
}

/** A place to train hands and judgement: made-up cases, judged by what plans for clients too. */
function Practice({ first, known: firstKnown, isTrainer }: Props) {
  const [wish, setWish] = useState(first);
  const [only, setOnly] = useState<KindOrAny>(first?.kind ?? anyKind);
  const [why, setWhy] = useState<string>();
  const [known, setKnown] = useState(firstKnown);
  const [streak, setStreak] = useState(0);
  const [trouble, setTrouble] = useState<{
    readonly text: string;
    readonly kind: KindOrAny;
    readonly level: ChosenDrill['level'] | undefined;
  }>();
  const [pane, setPane] = useState<'case' | 'known'>('case');
  const onMarked = useCallback(
    ({ score }: PracticeMarked, answered: string) => {
      // Loaded again it would be answered twice.
      forgetKept(answered);
      setStreak((now) => (score >= rightFrom ? now + 1 : 0));
      void send('GET /api/practice/known').then(setKnown, () => undefined);
    },
    [setKnown],
  );
  const { of, state, turn, answer, again } = useDrill(wish, onMarked);
  const [given, setGiven] = useState<{ readonly of: string; readonly answer: unknown }>();
  const own = given?.of === of ? given.answer : readGiven(of);

  const go = useCallback((to: ChosenDrill, about?: string) => {
    setWish(to);
    setWhy(about);
    window.history.replaceState(null, '', addressOf(to));
  }, []);
  const fetchNext = useCallback(
    async (kind: typeof only, level?: ChosenDrill['level']) => {
      const query = { ...(kind === anyKind ? {} : { kind }), ...(level === undefined ? {} : { level }) };
      try {
        const { why: about, ...to } = await send('GET /api/practice/next', { query });
        setTrouble(undefined);
        go(to, about);
      } catch (error) {
        setTrouble({ text: sentenceOf(error), kind, level });
      }
    },
    [go],
  );
  useEffect(() => {
    // Without a case in the address the first one is fetched, once.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (!first) void fetchNext(anyKind);
  }, [fetchNext, first]);

  const kind = wish?.kind;
  useEffect(() => {
    if (kind !== undefined) fetchDrill(kind);
  }, [kind]);

  const marked = state?.marked;
  const goOn = () => {
    forgetKept(of);
    void fetchNext(only);
  };
  const likeThis = () => {
    if (!wish) return;
    forgetKept(of);
    void fetchNext(wish.kind, wish.level);
  };
  const sameAgain = () => {
    forgetKept(of);
    setGiven(undefined);
    again();
  };
  const sendOwn = () => own !== undefined && !marked && !state?.isSending && void answer(own);
  useShortcuts(
    [
      { keys: ['N'], words: practiceWords.anotherKey, act: goOn },
      {
        keys: ['Enter'],
        words: practiceWords.answerKey,
        act: marked ? goOn : own === undefined ? undefined : sendOwn,
      },
    ],
    { whileWriting: 'numbers' },
  );
  const isPlayed = kind === 'pace' || kind === 'count';
  const Drill = drills[kind ?? 'order'];
  const words = (state?.question as { readonly words?: string } | undefined)?.words;
  const session = marked?.session ?? known.session ?? undefined;
  return (
    <>
      <div className={styles['head']}>
        <h1>{practiceWords.practice}</h1>
        <KindTabs
          here={only}
          onChange={(kind) => {
            setOnly(kind);
            setStreak(0);
            void fetchNext(kind);
          }}
        />
        <p>
          {practiceWords.minutesOf(Math.min(10, Math.floor((session?.seconds ?? 0) / 60)))}
          {wish && ` · ${wish.course === null ? practiceWords.seed(wish.seed) : practiceWords.courseOfAPlan}`}
        </p>
        <Shortcuts />
      </div>
      <PaneTabs
        label={practiceWords.panes}
        panes={[
          { id: 'case', words: practiceWords.theCase },
          { id: 'known', words: practiceWords.whatIKnow },
        ]}
        here={pane}
        onChange={setPane}
      />
      <div className={styles['columns']}>
        <main
          id="main"
          className={styles['main']}
          aria-busy={state === undefined || state.isSending === true}
          {...paneOf('case', pane)}
        >
          {trouble && (
            <div role="alert" className={styles['trouble']}>
              <p>{trouble.text}</p>
              <Button onClick={() => void fetchNext(trouble.kind, trouble.level)}>{practiceWords.tryAgain}</Button>
            </div>
          )}
          {state === undefined && !trouble && <p role="status">{practiceWords.theCaseComes}</p>}
          {state?.trouble !== undefined && (
            <div role="alert" className={styles['trouble']}>
              <p>{state.trouble}</p>
              <Button onClick={again}>{practiceWords.tryAgain}</Button>
            </div>
          )}
          {wish && state?.question !== undefined && (
            <>
              <div className={styles['case']}>
                <h2>{words}</h2>
                <div className={styles['about']}>
                  <Choice
                    label={practiceWords.level}
                    isRow
                    options={levels.map((value) => ({ value: String(value), text: String(value) }))}
                    value={String(wish.level)}
                    onChange={(chosen) => {
                      const level = levels.find((one) => String(one) === chosen) ?? 1;
                      if (wish.course === null) void fetchNext(wish.kind, level);
                      else go({ ...wish, level });
                    }}
                  />
                  {why !== undefined && <span>{practiceWords.givenFor(why)}</span>}
                  {streak > 1 && wish.kind === 'direction' && <span>{practiceWords.inARow(streak)}</span>}
                </div>
              </div>
              {marked && <Verdict marked={marked} />}
              <CaseKey value={of}>
                <Suspense
                  fallback={
                    <p role="status" aria-busy>
                      {practiceWords.theCaseComes}
                    </p>
                  }
                >
                  <Drill
                    key={`${of} ${turn}`}
                    question={state.question}
                    best={marked?.best}
                    faults={marked?.faults ?? []}
                    onChange={(next) => {
                      // A minute and a count are begun anew after a reload: nobody sees what was tapped before.
                      if (!isPlayed) keepGiven(of, next);
                      setGiven({ of, answer: next });
                    }}
                  />
                </Suspense>
              </CaseKey>
            </>
          )}
        </main>
        <Known
          known={known}
          isTrainer={isTrainer}
          pane={paneOf('known', pane)}
          onTake={(to) => {
            setOnly(to.kind);
            setPane('case');
            go(to);
          }}
          onErased={setKnown}
        />
      </div>
      <footer className={styles['foot']}>
        <span>{practiceWords.madeUp}</span>
        <ButtonLink href="/">{practiceWords.leave}</ButtonLink>
        {marked ? (
          <>
            <Button onClick={sameAgain}>{practiceWords.again}</Button>
            <Button onClick={likeThis}>{practiceWords.likeThis}</Button>
            <Button look="filled" onClick={goOn}>
              <Kbd>N</Kbd> {practiceWords.another}
            </Button>
          </>
        ) : (
          <>
            <Button onClick={() => void answer(null)} disabled={state?.question === undefined || state.isSending}>
              {practiceWords.giveUp}
            </Button>
            <Button look="filled" onClick={sendOwn} disabled={own === undefined || state?.isSending}>
              {practiceWords.answer}
            </Button>
          </>
        )}
      </footer>
    </>
  );
}

function addressOf({ kind, level, seed, course, set }: ChosenDrill): string {
  const extra = `${course === null ? '' : `&course=${course}`}${set === null ? '' : `&set=${set}`}`;
  return `/practice?kind=${kind}&level=${level}&seed=${seed}${extra}`;
}

/** As the page shows it. */
export const PracticeIsland = unpacked(Practice);
