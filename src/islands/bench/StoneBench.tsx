import { benchWords } from './bench.words';
import type { Celsius } from '../../core/quantities';
import { useState } from 'react';
import type { StoneBenchView, StoneView } from '../../contracts/stone-views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { send, sentenceOf } from '../api';
import { PaneTabs, paneOf } from '../../ui/pane-tabs/PaneTabs';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { BathNow } from './BathReading';
import shared from './Bench.module.css';
import styles from './StoneBench.module.css';
import { HabitsForm } from './HabitsForm';
import {
  clothWords,
  detailsOf,
  isCold,
  type Knob,
  knobs,
  startingSetting,
  thicknessMmOf,
  titleOf,
  warmedBy,
} from './stone-setting';
import { StoneCare } from './StoneCare';
import { StoneChart } from './StoneChart';
import { StoneForm } from './StoneForm';
import { StoneHead } from './StoneHead';
import { chartWords, StoneNumbers } from './StoneNumbers';
import { StoneRotations } from './StoneRotations';
import { Tray } from './Tray';
import { useStoneAnswer } from './useStoneAnswer';
import { unpacked } from '../../ui/frame/packed';

type Pane = 'tray' | 'stone';

const panes: readonly { readonly id: Pane; readonly words: string }[] = [
  { id: 'stone', words: benchWords.oneStoneAndTheDay },
  { id: 'tray', words: benchWords.trayAndBath },
];

/** Hot and cool stones by calculation: what they do, how long they may lie and glide, which serves when. */
export function StoneBench({ first }: { readonly first: StoneBenchView }) {
  const [bench, setBench] = useState(first);
  const { habits, visit, stones, visits, day } = bench;
  const [now, setNow] = useState(() => startingSetting(visit));
  const [pinned, setPinned] = useState<ReturnType<typeof useStoneAnswer>>();
  const [form, setForm] = useState<StoneView | 'new' | 'habits'>();
  const [said, setSaid] = useState('');
  const [pane, setPane] = useState<Pane>('stone');
  const cold = isCold(now);
  const cloths = clothWords(now);
  const title = titleOf(now);
  const answer = useStoneAnswer({
    ...{ size: now.size, material: now.material, thicknessMm: thicknessMmOf(now), startC: now.startC },
    ...{ towelLayers: now.towelLayers, flip: now.flip, skin: now.skin, seconds: now.seconds },
    mode: now.isMoving ? 'moving' : 'still',
    usefulC: cold ? habits.usefulColdC : habits.usefulHotC,
  });
  const inUse = stones.filter(({ state }) => state === 'in-use').length;
  const selected = stones.find(({ id }) => id === now.stone?.id);
  const mostC = visit && (now.isMoving ? visit.moving : visit.resting).firstC;
  const reload = async () => {
    try {
      setBench(await send('GET /api/stones', { query: { visit: visit?.id } }));
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  const closeForm = (isSaved: boolean) => {
    setForm(undefined);
    if (!isSaved) return;
    setNow((was) => ({ ...was, stone: null }));
    void reload();
  };
  const warm = (byC: Celsius) => setNow((was) => warmedBy(was, byC));
  const turn = (knob: Knob) => setNow(knob.turn);
  const pin = () => setPinned((was) => (was ? undefined : answer));
  const toNextVisit = () => {
    const to = visits[(visits.findIndex(({ id }) => id === visit?.id) + 1) % visits.length];
    if (to) window.location.assign(`/bench/stones?visit=${to.id}`);
  };
  useShortcuts(
    [
      { keys: ['←', '→'], words: benchWords.aDegreeCoolerWarmer },
      { keys: ['←'], act: () => warm(-1) },
      { keys: ['→'], act: () => warm(1) },
      ...knobs.map((knob) => ({ keys: [knob.letter.toUpperCase()], words: knob.tells, act: () => turn(knob) })),
      { keys: ['W'], words: benchWords.pinWhatIsToCompareWith, act: pin },
      { keys: ['V'], words: benchWords.nextVisitWithStones, act: toNextVisit },
    ],
    { whileWriting: 'numbers' },
  );
  return (
    <>
      <StoneHead visit={visit} visits={visits} inUse={inUse} />
      <div className={styles['view']}>
        <PaneTabs label={benchWords.partsOfTheBench} panes={panes} here={pane} onChange={setPane} />
        <aside className={styles['left']} {...paneOf('tray', pane)} aria-label={benchWords.theHousesStones}>
          <div className={shared['line']}>
            <h2>{benchWords.tray}</h2>
            <span>{benchWords.ofInUse(inUse, stones.length)}</span>
          </div>
          {stones.length === 0 ? (
            <p className={shared['soft']}>{benchWords.noStonesYetAddTheHouses}</p>
          ) : (
            <Tray
              stones={stones}
              selected={selected?.id}
              onSelect={(stone) => setNow((was) => ({ ...was, size: stone.size, material: stone.material, stone }))}
            />
          )}
          <div className={shared['pairButtons']}>
            <Button onClick={() => setForm('new')}>{benchWords.addStones}</Button>
            <Button onClick={() => setForm('habits')}>{benchWords.bath2}</Button>
            {selected && <Button onClick={() => setForm(selected)}>{benchWords.stone2(selected.id)}</Button>}
          </div>
          <BathNow first={bench.bath} wantedC={(visit ?? day)?.rotations.find((one) => !one.isCold)?.bathC ?? null} />
          <StoneCare
            bench={bench}
            onSaid={(words, isDone) => {
              setSaid(words);
              if (isDone) void reload();
            }}
          />
        </aside>
        <main id="main" className={styles['main']} {...paneOf('stone', pane)}>
          <div className={styles['top']}>
            <section aria-label={title}>
              <div className={shared['line']}>
                <h2>{title}</h2>
                <span>{detailsOf(now)}</span>
              </div>
              <StoneChart
                contact={answer?.contact}
                bare={!now.isMoving && now.towelLayers > 0 ? answer?.bare : undefined}
                before={pinned?.contact}
                isCold={cold}
                label={chartWords(title, answer)}
              />
              <div className={styles['knobs']} role="group" aria-label={benchWords.whatIsLookedAt}>
                <Button onClick={() => warm(-1)} aria-label={benchWords.aDegreeCooler}>
                  <Kbd>←</Kbd> {benchWords.cooler}
                </Button>
                <Button onClick={() => warm(1)} aria-label={benchWords.aDegreeWarmer}>
                  <Kbd>→</Kbd> {benchWords.warmer}
                </Button>
                {knobs.map((knob) => (
                  <Button key={knob.letter} onClick={() => turn(knob)}>
                    <Kbd>{knob.letter.toUpperCase()}</Kbd> {knob.shows(now)}
                  </Button>
                ))}
                <Button onClick={pin}>
                  <Kbd>W</Kbd> {pinned ? benchWords.unpin : benchWords.pinToCompare}
                </Button>
              </div>
            </section>
            <StoneNumbers
              answer={answer}
              cloths={cloths}
              isCold={cold}
              flip={now.flip}
              tooWarm={mostC !== null && now.startC > mostC ? benchWords.warmerThanTheForThisClient(mostC) : ''}
            />
          </div>
          <StoneRotations visit={visit} day={day} visits={visits} />
        </main>
      </div>
      <footer className={styles['foot']}>
        <span>{benchWords.calculatedTestOnYourOwnForearm}</span>
        <em role="status">{said}</em>
        {bench.warmUpMinutes !== null && <span>{benchWords.fromColdWaterMin(bench.warmUpMinutes)}</span>}
        {visit && (
          <ButtonLink look="filled" href={`/visits/${visit.id}/prepare`}>
            {benchWords.roomList}
          </ButtonLink>
        )}
      </footer>
      {form === 'habits' && (
        <HabitsForm habits={habits} onClose={() => closeForm(false)} onSaved={() => closeForm(true)} />
      )}
      {form !== undefined && form !== 'habits' && (
        <StoneForm
          stone={form === 'new' ? undefined : form}
          onClose={() => closeForm(false)}
          onSaved={() => closeForm(true)}
        />
      )}
    </>
  );
}

/** As the page shows it. */
export const StonesIsland = unpacked(StoneBench);
