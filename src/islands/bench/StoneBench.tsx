import { useState } from 'react';
import { stoneBook } from '../../catalogue/stones/stones';
import type { StoneBenchView, StoneView } from '../../contracts/stone-views';
import { careKinds } from '../../contracts/stones';
import { type MaterialId, materialIds, type SizeId, sizeIds, type SkinId, skinIds } from '../../core/stones/book';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { send, sentenceOf } from '../api';
import { useLetters } from '../letters';
import { BenchNav } from './BenchNav';
import { BathPanel } from './BathPanel';
import styles from './Bench.module.css';
import { HabitsForm } from './HabitsForm';
import { Lanes } from './Lanes';
import { StoneChart } from './StoneChart';
import { StoneForm } from './StoneForm';
import { Tray } from './Tray';
import { useStoneAnswer } from './useStoneAnswer';

const keys = [
  [['←', '→'], 'a degree cooler, warmer'],
  [['S'], 'size'],
  [['M'], 'material'],
  [['C'], 'cloths'],
  [['G'], 'gliding or at rest'],
  [['F'], 'turned once or not'],
  [['K'], 'kind of skin'],
  [['T'], 'five or fifteen minutes'],
  [['W'], 'pin what is, to compare with'],
  [['V'], 'next visit with stones'],
] as const;

const next = <T,>(list: readonly T[], now: T): T => list[(list.indexOf(now) + 1) % list.length] ?? now;
const mostC = 60;

/** Hot and cool stones by calculation: what they do, how long they may lie and glide, which serves when. */
export function StoneBench({ first }: { readonly first: StoneBenchView }) {
  const [bench, setBench] = useState(first);
  const { habits, visit } = bench;
  const [size, setSize] = useState<SizeId>('palm');
  const [material, setMaterial] = useState<MaterialId>('basalt');
  const [startC, setStartC] = useState(visit?.moving.firstC ?? 52);
  const [isMoving, setIsMoving] = useState(false);
  const [towelLayers, setTowelLayers] = useState(1);
  const [flip, setFlip] = useState(true);
  const [skin, setSkin] = useState<SkinId>(visit?.limits.skin ?? 'normal');
  const [seconds, setSeconds] = useState(300);
  const [pinned, setPinned] = useState<ReturnType<typeof useStoneAnswer>>();
  const [form, setForm] = useState<StoneView | 'new' | 'habits'>();
  const [selected, setSelected] = useState<StoneView>();
  const [said, setSaid] = useState('');
  const isCold = startC < stoneBook.physics.skinC;
  const thicknessMm = selected?.thicknessMm ?? stoneBook.sizes[size].thicknessMm;
  const answer = useStoneAnswer({
    ...{ size, material, thicknessMm, startC, towelLayers, flip, skin, seconds },
    mode: isMoving ? 'moving' : 'still',
    usefulC: isCold ? habits.usefulColdC : habits.usefulHotC,
  });
  const sound = bench.stones.filter(({ state }) => state === 'in-use');
  const reload = async () => {
    try {
      setBench(await send<StoneBenchView>('GET', `/api/stones${visit ? `?visit=${visit.id}` : ''}`));
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  const care = async (what: (typeof careKinds)[number]) => {
    try {
      await send('POST', '/api/stones/care', { what, stones: [] });
      setSaid(`${careWords[what]}: written down.`);
      await reload();
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  const warmer = (by: number) => setStartC((c) => Math.min(mostC, Math.max(0, Math.round((c + by) * 2) / 2)));
  const nextVisit = () => {
    const at = bench.visits.findIndex(({ id }) => id === visit?.id);
    const to = bench.visits[(at + 1) % bench.visits.length];
    if (to) window.location.assign(`/bench/stones?visit=${to.id}`);
  };
  useLetters({
    arrowleft: () => warmer(-1),
    arrowright: () => warmer(1),
    s: () => {
      setSelected(undefined);
      setSize((now) => next(sizeIds, now));
    },
    m: () =>
      setMaterial((now) =>
        next(
          materialIds.filter((id) => stoneBook.materials[id].isWaterSafe),
          now,
        ),
      ),
    c: () => setTowelLayers((now) => (now + 1) % 4),
    g: () => setIsMoving((now) => !now),
    f: () => setFlip((now) => !now),
    k: () => setSkin((now) => next(skinIds, now)),
    t: () => setSeconds((now) => (now === 300 ? 900 : 300)),
    w: () => setPinned((now) => (now ? undefined : answer)),
    v: nextVisit,
  });
  const cloths = towelLayers === 0 ? 'no cloth' : towelLayers === 1 ? 'one cloth' : `${towelLayers} cloths`;
  const title = `${stoneBook.sizes[size].label.replace(/ \(.*/, '')} stone ${isMoving ? 'gliding' : 'at rest'}, from ${startC}°`;
  return (
    <>
      <div className={styles['head']}>
        <h1>{visit ? `Stones for ${visit.client}` : 'Stones'}</h1>
        <p>
          {visit
            ? `${visit.time} · ${visit.limits.skin} skin${visit.limits.likes === 'cooler' ? ' · likes it mild' : visit.limits.likes === 'warmer' ? ' · likes it warm' : ''} · ${visit.work}`
            : `${sound.length} stones in use`}
        </p>
        <div>
          {bench.visits.length > 0 && (
            <a href="/bench/stones" aria-current={visit ? undefined : 'page'}>
              the day
            </a>
          )}
          {bench.visits.map(({ id, client, time }) => (
            <a key={id} href={`/bench/stones?visit=${id}`} aria-current={id === visit?.id ? 'page' : undefined}>
              {time} {client.split(' ')[0]}
            </a>
          ))}
          <BenchNav here="stones" visitId={visit?.id ?? null} />
          <Shortcuts list={keys} />
        </div>
      </div>
      <div className={styles['view']}>
        <aside className={styles['left']} aria-label="The house’s stones">
          <div className={styles['line']}>
            <h2>Tray</h2>
            <span>
              {sound.length} of {bench.stones.length} in use
            </span>
          </div>
          {bench.stones.length === 0 ? (
            <p className={styles['soft']}>No stones yet. Add the house’s own, with their measures.</p>
          ) : (
            <Tray
              stones={bench.stones}
              selected={selected?.id}
              onSelect={(stone) => {
                setSelected(stone);
                setSize(stone.size);
                setMaterial(stone.material);
              }}
            />
          )}
          <div className={styles['pairButtons']}>
            <Button onClick={() => setForm('new')}>Add stones</Button>
            <Button onClick={() => setForm('habits')}>Bath …</Button>
            {selected && <Button onClick={() => setForm(selected)}>Stone {selected.id} …</Button>}
          </div>
          <BathPanel
            first={bench.bath}
            stones={sound.length}
            hotBathC={(visit ?? bench.day)?.rotations.find((one) => !one.isCold)?.bathC ?? habits.hotBathC}
          />
          <section className={styles['care']}>
            <h2>Care</h2>
            <p className={styles['soft']}>
              Cleaned {sound[0]?.lastCleaned ?? 'never yet'} · oiled {sound[0]?.lastOiled ?? 'never yet'} · water
              changed {bench.lastWaterChange ?? 'never yet'}
            </p>
            <div className={styles['pairButtons']}>
              {careKinds.map((what) => (
                <Button key={what} onClick={() => void care(what)}>
                  {careWords[what]}
                </Button>
              ))}
            </div>
          </section>
        </aside>
        <main id="main" className={styles['main']}>
          <div className={styles['top']}>
            <section aria-label={title}>
              <div className={styles['line']}>
                <h2>{title}</h2>
                <span>
                  {stoneBook.materials[material].label.toLowerCase()} ·{' '}
                  {isMoving ? (flip ? 'turned once' : 'not turned') : cloths} · {skin} skin
                </span>
              </div>
              <StoneChart
                contact={answer?.contact}
                bare={!isMoving && towelLayers > 0 ? answer?.bare : undefined}
                before={pinned?.contact}
                isCold={isCold}
                label={chartWords(title, answer)}
              />
              <div className={styles['knobs']} role="group" aria-label="What is looked at">
                <Button onClick={() => warmer(-1)} aria-label="A degree cooler">
                  <Kbd>←</Kbd> cooler
                </Button>
                <Button onClick={() => warmer(1)} aria-label="A degree warmer">
                  <Kbd>→</Kbd> warmer
                </Button>
                <Button onClick={() => setSize((now) => next(sizeIds, now))}>
                  <Kbd>S</Kbd> {stoneBook.sizes[size].label.replace(/ \(.*/, '').toLowerCase()}
                </Button>
                <Button
                  onClick={() =>
                    setMaterial((now) =>
                      next(
                        materialIds.filter((id) => stoneBook.materials[id].isWaterSafe),
                        now,
                      ),
                    )
                  }
                >
                  <Kbd>M</Kbd> {stoneBook.materials[material].label.toLowerCase()}
                </Button>
                <Button onClick={() => setTowelLayers((now) => (now + 1) % 4)}>
                  <Kbd>C</Kbd> {cloths}
                </Button>
                <Button onClick={() => setIsMoving((now) => !now)}>
                  <Kbd>G</Kbd> {isMoving ? 'gliding' : 'at rest'}
                </Button>
                <Button onClick={() => setFlip((now) => !now)}>
                  <Kbd>F</Kbd> {flip ? 'turned once' : 'not turned'}
                </Button>
                <Button onClick={() => setSkin((now) => next(skinIds, now))}>
                  <Kbd>K</Kbd> {skin} skin
                </Button>
                <Button onClick={() => setSeconds((now) => (now === 300 ? 900 : 300))}>
                  <Kbd>T</Kbd> {seconds / 60} min
                </Button>
                <Button onClick={() => setPinned((now) => (now ? undefined : answer))}>
                  <Kbd>W</Kbd> {pinned ? 'unpin' : 'pin to compare'}
                </Button>
              </div>
            </section>
            <Numbers
              answer={answer}
              cloths={cloths}
              isCold={isCold}
              flip={flip}
              tooWarm={
                visit && startC > mostForVisit(visit, isMoving)
                  ? `Warmer than the ${mostForVisit(visit, isMoving)}° for this client`
                  : ''
              }
            />
          </div>
          {visit && <FirstTouchNote visit={visit} />}
          {visit && visit.rotations.length > 0 && (
            <section aria-label="Rotation">
              <div className={styles['line']}>
                <h2>Rotation</h2>
                <span>
                  {visit.minutes} minutes ·{' '}
                  {visit.rotations.every(({ rotation }) => rotation.feasible) ? 'enough stones' : 'not enough stones'}
                </span>
              </div>
              <Lanes rotations={visit.rotations} minutes={visit.minutes} />
            </section>
          )}
          {bench.day && (
            <section aria-label="Rotation">
              <div className={styles['line']}>
                <h2>The whole day</h2>
                <span>minutes from {bench.day.from}, one bath for all</span>
              </div>
              <Lanes rotations={bench.day.rotations} minutes={bench.day.minutes} />
            </section>
          )}
          {visit && visit.rotations.length === 0 && (
            <p className={styles['soft']}>
              {visit.noHeat || 'The plan of this visit takes no stones yet.'}{' '}
              <a href={`/visits/${visit.id}/plan`}>To the plan</a>
            </p>
          )}
        </main>
      </div>
      <footer className={styles['foot']}>
        <span>Calculated. Test on your own forearm first, and ask the client.</span>
        <em role="status">{said}</em>
        {bench.warmUpMinutes !== null && <span>From cold water: {bench.warmUpMinutes} min</span>}
        {visit && (
          <ButtonLink look="filled" href={`/visits/${visit.id}/prepare`}>
            Room list
          </ButtonLink>
        )}
      </footer>
      {form === 'habits' && (
        <HabitsForm
          habits={habits}
          onClose={() => setForm(undefined)}
          onSaved={() => {
            setForm(undefined);
            void reload();
          }}
        />
      )}
      {form !== undefined && form !== 'habits' && (
        <StoneForm
          stone={form === 'new' ? undefined : form}
          onClose={() => setForm(undefined)}
          onSaved={() => {
            setForm(undefined);
            setSelected(undefined);
            void reload();
          }}
        />
      )}
    </>
  );
}

const careWords = {
  cleaned: 'Cleaned',
  oiled: 'Oiled',
  'water-changed': 'Water changed',
  checked: 'Looked for cracks',
} as const;

type Answer = ReturnType<typeof useStoneAnswer>;

const riskWords = { none: 'Within the limits', caution: 'With caution', stop: 'Not so' } as const;

const mostForVisit = ({ moving, resting }: NonNullable<StoneBenchView['visit']>, isMoving: boolean) =>
  (isMoving ? moving : resting).firstC;

const long = (seconds: number) =>
  seconds < 60
    ? `${Math.floor(seconds)} s`
    : seconds % 60 === 0
      ? `${seconds / 60} min`
      : `${Math.floor(seconds / 60)} min ${String(Math.floor(seconds % 60)).padStart(2, '0')}`;

/** How long it may lie and glide, large, with the reason. */
function Numbers({
  answer,
  cloths,
  isCold,
  flip,
  tooWarm,
}: {
  readonly answer: Answer;
  readonly cloths: string;
  readonly isCold: boolean;
  readonly flip: boolean;
  /** Why this client is not to be touched with it, though practice would allow it. */
  readonly tooWarm: string;
}) {
  if (!answer) return <div className={styles['numbers']} aria-busy="true" />;
  const { contact, resting, glideSeconds } = answer;
  return (
    <div className={styles['numbers']} role="status" data-risk={tooWarm ? 'stop' : contact.burnRisk}>
      <p className={styles['risk']}>
        {tooWarm || riskWords[contact.burnRisk]}
        <span>
          skin at most {contact.skinSurfacePeakC.toFixed(1)}°, below it {contact.basalPeakC.toFixed(1)}°
        </span>
      </p>
      {!isCold && (
        <p>
          <strong>{long(resting.seconds)}</strong>
          may lie still on {cloths}. {resting.why}
        </p>
      )}
      <p>
        <strong>{glideSeconds === null ? 'longer than an hour' : long(glideSeconds)}</strong>
        gliding before it is no longer {isCold ? 'cool' : 'warm'}, {flip ? 'turned once' : 'not turned'}
      </p>
      <p>
        <strong>{contact.interfaceC.toFixed(1)}°</strong>
        felt at the first touch of bare skin
      </p>
    </div>
  );
}

function FirstTouchNote({ visit }: { readonly visit: NonNullable<StoneBenchView['visit']> }) {
  if (visit.noHeat) return <p className={styles['note']}>No heat today: {visit.noHeat}</p>;
  return (
    <p className={styles['note']}>
      First touch at {visit.moving.firstC}° gliding, {visit.resting.firstC}° at rest on a cloth:{' '}
      {visit.moving.why.join(' ')} Back of your hand first, turn it every second pass, light behind the knee, never on
      bone; and ask.
    </p>
  );
}

function chartWords(title: string, answer: Answer): string {
  if (!answer) return title;
  const { contact } = answer;
  return `${title}: the skin comes to ${contact.skinSurfacePeakC.toFixed(1)} degrees, the layer below it to ${contact.basalPeakC.toFixed(1)}`;
}
