import { moneyText } from '../../core/money';
import { oilsWords } from './oils.words';
import type { Millilitres } from '../../core/quantities';
import { useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { oilBook } from '../../catalogue/oils/oils';
import type { OilBenchView } from '../../contracts/oil-views';
import { carrierOf, useIds } from '../../core/oils/book';
import { areaWords, useWords } from '../../core/oils/words';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { BenchNav } from '../bench/BenchNav';
import { PaneTabs, paneOf } from '../../ui/pane-tabs/PaneTabs';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { BlendRows } from './BlendRows';
import { carriersFor } from './blend-draft';
import { CarrierDialog } from './CarrierDialog';
import { Compare } from './Compare';
import { ForWhom } from './ForWhom';
import { KeepBlend } from './KeepBlend';
import { LayeredDialog } from './LayeredDialog';
import { Limits } from './Limits';
import styles from './OilBench.module.css';
import { ReadyBlends } from './ReadyBlends';
import { Shelf } from './Shelf';
import { Sizes } from './Sizes';
import { SmellDialog } from './SmellDialog';
import { StandIn } from './StandIn';
import { Unfold } from './Unfold';
import { BenchContext, useBench } from './bench-context';
import { useBlend } from './useBlend';
import { Verdict } from './Verdict';
import { unpacked } from '../../ui/frame/packed';

type Pane = 'shelf' | 'blend' | 'limits';

const panes: readonly { readonly id: Pane; readonly words: string }[] = [
  { id: 'shelf', words: oilsWords.shelf },
  { id: 'blend', words: oilsWords.blendPane },
  { id: 'limits', words: oilsWords.limits },
];

type Open = 'carrier' | 'smell' | 'layered' | 'keep' | { readonly standInFor: string };

/** Blends in whole drops for one client, one area and one amount, out of the bottles that the house has. */
export function OilBench({ first }: { readonly first: OilBenchView }) {
  const bench = useBlend(first);
  const { blend, draft, change, check } = bench;
  const { visit, client, scope } = bench.view;
  const [open, setOpen] = useState<Open>();
  const [pane, setPane] = useState<Pane>('blend');
  const rows = useRef<HTMLElement>(null);
  const search = useRef<HTMLInputElement>(null);
  const need = blend.area === 'face' ? visit?.needs.face : visit?.needs.body;
  const step = (by: number) => draft.selected !== null && change({ kind: 'drops', oil: draft.selected, by });
  const select = (by: number) => {
    const oils = blend.parts.map(({ oil }) => oil);
    const next = oils[(oils.indexOf(draft.selected ?? '') + by + oils.length) % oils.length];
    if (next === undefined) return;
    change({ kind: 'select', oil: next });
    rows.current?.querySelector<HTMLElement>(`[data-oil="${next}"] button`)?.focus();
  };
  const lookForOil = () => {
    flushSync(() => setPane('shelf'));
    search.current?.focus();
  };
  const pin = () => bench.setPinned((now) => (now ? undefined : blend));
  const { selected } = draft;
  useShortcuts(
    [
      { keys: ['↑', '↓'], words: oilsWords.aDropMoreADropLess },
      { keys: ['↑'], act: () => step(1) },
      { keys: ['↓'], act: () => step(-1) },
      { keys: ['←', '→'], words: oilsWords.theOilBeforeTheNextOne },
      { keys: ['←'], act: () => select(-1) },
      { keys: ['→'], act: () => select(1) },
      {
        keys: ['Delete'],
        words: oilsWords.takeTheOilOut,
        act: selected === null ? undefined : () => change({ kind: 'remove', oil: selected }),
      },
      { keys: ['A'], words: oilsWords.lookForAnOilEnterLets, act: lookForOil },
      { keys: ['B'], words: oilsWords.theBestBlendForWhatIs, act: bench.findBest },
      { keys: ['S'], words: oilsWords.makeItSafe, act: bench.makeItSafe },
      { keys: ['M'], words: oilsWords.makeItBetterByOneDrop, act: bench.makeItBetter },
      { keys: ['V'], words: oilsWords.carrier, act: () => setOpen('carrier') },
      { keys: ['P'], words: oilsWords.pinWhatIsToCompareWith, act: pin },
      { keys: ['W'], words: oilsWords.chooseByNose, act: visit ? () => setOpen('smell') : undefined },
      { keys: ['D'], words: oilsWords.dropsStraightOntoTheSkin2, act: () => setOpen('layered') },
      {
        keys: ['K'],
        words: oilsWords.keepAsABlendOfThe2,
        act: blend.parts.length > 0 ? () => setOpen('keep') : undefined,
      },
      { keys: ['C'], words: oilsWords.mixingCard, act: bench.startMixing },
      { keys: ['Z'], words: oilsWords.takeTheLastChangeBack, act: () => change({ kind: 'undo' }) },
    ],
    { whileWriting: 'numbers' },
  );
  const drops = blend.parts.reduce((sum, part) => sum + part.drops, 0);
  return (
    <BenchContext value={bench}>
      <div className={styles['head']}>
        <input
          className={styles['title']}
          aria-label={oilsWords.nameOfTheBlend}
          value={blend.name}
          maxLength={60}
          onChange={(event) => change({ kind: 'name', name: event.target.value })}
        />
        <p>
          {client ? oilsWords.for(client.name) : oilsWords.forTheHouse}
          {visit && ` · ${visit.time} · ${visit.work}`}
        </p>
        <div>
          {bench.view.visits.slice(0, 4).map((one) => (
            <a
              key={one.id}
              href={`/bench/oils?visit=${one.id}`}
              aria-current={one.id === visit?.id ? 'page' : undefined}
            >
              {one.time} {one.client.split(' ')[0]}
            </a>
          ))}
          <BenchNav here="oils" visitId={visit?.id ?? null} />
          <Shortcuts />
        </div>
      </div>
      <div className={styles['view']}>
        <PaneTabs label={oilsWords.partsOfTheBench} panes={panes} here={pane} onChange={setPane} />
        <aside className={styles['left']} {...paneOf('shelf', pane)} aria-label={oilsWords.whatTheHouseHas}>
          <Shelf searchRef={search} />
          <ReadyBlends />
        </aside>
        <main id="main" ref={rows} className={styles['main']} {...paneOf('blend', pane)}>
          <div className={styles['wishes']}>
            <div role="group" aria-label={oilsWords.whatItIsFor}>
              {useIds.map((use) => (
                <button
                  key={use}
                  type="button"
                  className={styles['use']}
                  aria-pressed={blend.uses.includes(use)}
                  onClick={() => change({ kind: 'use', use })}
                >
                  {useWords[use]}
                </button>
              ))}
            </div>
            <div className={styles['amounts']}>
              <label>
                {oilsWords.for2}{' '}
                <select
                  value={blend.area}
                  onChange={(event) => change({ kind: 'area', area: event.target.value as typeof blend.area })}
                >
                  {Object.entries(areaWords).map(([id, words]) => (
                    <option key={id} value={id}>
                      {words}
                    </option>
                  ))}
                </select>
              </label>
              <Amount
                value={blend.volumeMl}
                onChange={(volumeMl) => change({ kind: 'volume', volumeMl, isScaled: false })}
              />
              <Button onClick={() => setOpen('carrier')}>
                <Kbd>V</Kbd> {oilsWords.in} {carrierOf(oilBook, blend.carrier).name.toLowerCase()}
              </Button>
              {need && <small>{oilsWords.planMlForM(need.ml, (need.cm2 / 10_000).toFixed(2))}</small>}
            </div>
          </div>
          <ForWhom />
          {blend.parts.length === 0 ? <EmptyBlend /> : <BlendRows onReplace={(oil) => setOpen({ standInFor: oil })} />}
          <div className={styles['totals']}>
            <p>
              <strong>
                {drops} {drops === 1 ? oilsWords.drop : oilsWords.drops3}
              </strong>
              {oilsWords.ofEssentialOil}
            </p>
            <p>
              <strong>{check ? (Math.round(100 * check.totalPercent) / 100).toFixed(2) : '–'} %</strong>
              {oilsWords.usualHereUpTo} {check?.guide.maxPercent ?? 0} %
            </p>
            <p>
              <strong>{oilsWords.ml5(check ? check.carrierMl.toFixed(1) : '–')}</strong>
              {carrierOf(oilBook, blend.carrier).name.toLowerCase()}
              {bench.costCents >= 1 && oilsWords.costs(moneyText(bench.costCents, first.currency))}
            </p>
          </div>
          <Verdict />
          <p className={styles['said']} role="status">
            {bench.said}
          </p>
          {bench.pinned && <Compare before={bench.pinned} now={blend} client={bench.client} />}
        </main>
        <aside
          className={styles['right']}
          {...paneOf('limits', pane)}
          aria-label={oilsWords.whatItComesTo}
          tabIndex={0}
        >
          <Limits check={check} onSkin={blend.area === 'body' ? (visit?.onSkin ?? null) : null} />
          <Unfold parts={blend.parts} />
          <Sizes />
        </aside>
      </div>
      <footer className={styles['foot']}>
        <Button onClick={() => void bench.findBest()} disabled={bench.isSearching}>
          <Kbd>B</Kbd> {bench.isSearching ? oilsWords.looking : oilsWords.bestForIt}
        </Button>
        <Button onClick={bench.makeItSafe}>
          <Kbd>S</Kbd> {oilsWords.makeItSafe}
        </Button>
        {visit && (
          <Button onClick={() => setOpen('smell')}>
            <Kbd>W</Kbd> {oilsWords.byNose}
          </Button>
        )}
        <Button onClick={() => setOpen('layered')}>
          <Kbd>D</Kbd> {oilsWords.neatDrops}
        </Button>
        <Button onClick={pin}>
          <Kbd>P</Kbd> {bench.pinned ? oilsWords.unpin : oilsWords.pin}
        </Button>
        {scope.mayBlend && blend.parts.length > 0 && (
          <Button onClick={() => setOpen('keep')}>
            <Kbd>K</Kbd> {oilsWords.keep2}
          </Button>
        )}
        <span />
        {visit && (
          <Button onClick={() => void bench.takeIntoVisit()} disabled={check === null || check.verdict === 'over'}>
            {oilsWords.takeForTheVisit}
          </Button>
        )}
        <Button
          look="filled"
          onClick={() => void bench.startMixing()}
          disabled={check === null || check.verdict === 'over'}
        >
          {oilsWords.mixingCard2}
        </Button>
      </footer>
      {open === 'carrier' && (
        <CarrierDialog
          choices={carriersFor(bench.view, blend.area, need?.minutes ?? 20)}
          now={blend.carrier}
          minutes={need?.minutes ?? 20}
          onClose={() => setOpen(undefined)}
          onChoose={(carrier) => {
            change({ kind: 'carrier', carrier });
            setOpen(undefined);
          }}
        />
      )}
      {open === 'smell' && visit && <SmellDialog onClose={() => setOpen(undefined)} />}
      {open === 'layered' && <LayeredDialog onClose={() => setOpen(undefined)} />}
      {open === 'keep' && (
        <KeepBlend
          name={blend.name}
          onClose={() => setOpen(undefined)}
          onKeep={(name) => {
            setOpen(undefined);
            void bench.keepForHouse(name);
          }}
        />
      )}
      {typeof open === 'object' && <StandIn oil={open.standInFor} onClose={() => setOpen(undefined)} />}
    </BenchContext>
  );
}

/** Millilitres: what cannot be read stays in the field and is said, and the blend keeps what it had. */
function Amount({ value, onChange }: { readonly value: number; readonly onChange: (ml: Millilitres) => void }) {
  const [text, setText] = useState<string>();
  const ml = Number((text ?? '').replace(',', '.'));
  const isBad = text !== undefined && !(ml > 0 && ml <= 1000);
  return (
    <label className={styles['amount']}>
      <input
        inputMode="decimal"
        aria-label={oilsWords.millilitres}
        aria-invalid={isBad || undefined}
        value={text ?? String(value)}
        onChange={(event) => {
          setText(event.target.value);
          const next = Number(event.target.value.replace(',', '.'));
          if (next > 0 && next <= 1000) onChange(next);
        }}
        onBlur={() => !isBad && setText(undefined)}
      />{' '}
      {oilsWords.ml3}
      {isBad && <small role="alert">{oilsWords.moreThanAndAtMostMl}</small>}
    </label>
  );
}

function EmptyBlend() {
  const { view, isScented, mayCompose } = useBench();
  if (!isScented)
    return (
      <p className={styles['empty']}>
        {oilsWords.plain} {view.client ? oilsWords.forThisClient : ''}
        {oilsWords.chooseTheCarrierAndMix}
      </p>
    );
  if (!mayCompose) return <p className={styles['empty']}>{oilsWords.takeABlendOfTheHouse}</p>;
  return (
    <p className={styles['empty']}>
      {oilsWords.sayAboveWhatItIsFor} <Kbd>B</Kbd>
      {oilsWords.theShelfsBestAnswerComesIn}
    </p>
  );
}

/** As the page shows it. */
export const OilsIsland = unpacked(OilBench);
