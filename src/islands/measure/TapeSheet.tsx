import { measureWords } from './measure.words';
import { lazy, useCallback, useState } from 'react';
import type { FlagView } from '../../contracts/measure-views';
import { isSpacingWide, type TapeProtocol } from '../../core/swelling/protocol';
import { formatNumber, fromCm, toCm } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { Drawn } from '../../ui/charts/Drawn';
import { Choice } from '../../ui/choice/Choice';
import { Kbd } from '../../ui/kbd/Kbd';
import { NumberPad } from '../../ui/number-pad/NumberPad';
import { ButtonTapePanel } from './ButtonTapePanel';
import { lastGirthsCm } from './doubts';
import { Frame } from './Frame';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { LimbMap } from './LimbMap';
import shared from './MeasureView.module.css';
import styles from './TapeSheet.module.css';
import { SegmentBars } from './SegmentBars';
import type { SheetProps } from './sheet';
import { type CellAddress, isPassEmpty, type PassName } from './tape-cells';
import { stepFrom, tapeOrder } from './tape-order';
import { TapeFigures } from './TapeFigures';
import { excessBands } from './TapeLines';
import { TapeSetUp } from './TapeSetUp';
import { TapeTable } from './TapeTable';
import { SaveLine } from '../saving/SaveLine';
import { useTapeRun } from './useTapeRun';
import { volumesIn } from '../../core/volume-units';

const ProfileChart = lazy(() => import('./ProfileChart'));

interface Props extends SheetProps {
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly protocol: TapeProtocol;
  readonly onLimb: (limb: 'arm' | 'leg') => void;
  readonly onSide: (side: 'left' | 'right') => void;
  readonly onFlags: (flags: readonly FlagView[]) => void;
}

const start: CellAddress = { pass: 'first', side: 'reference', index: 0 };

/** The tape run by keyboard: the point on the body, the number, what it says so far. */
export function TapeSheet(props: Props) {
  const { view, phase, limb, side, protocol, head, onward, client, onClient } = props;
  const run = useTapeRun({ view, phase, limb, side, protocol, onFlags: props.onFlags });
  const [at, setAt] = useState<CellAddress>(start);
  const [isSettingUp, setIsSettingUp] = useState(false);
  const [hasButtonTape, setHasButtonTape] = useState(false);
  const { pass } = at;
  const other = side === 'left' ? 'right' : 'left';
  const order = tapeOrder({
    points: run.positionsCm.length,
    order: client.order,
    pass,
    hasEight: protocol.eight !== null,
    unresolved: run.settled.unresolved,
  });
  const canRepeat = run.isTouched;
  const isTwice = !isPassEmpty(run.cells.second);
  const disagreeing = run.settled.unresolved.affected.length + run.settled.unresolved.reference.length;

  const startPass = (next: PassName) => {
    run.startPass(next);
    const first = tapeOrder({
      points: run.positionsCm.length,
      order: client.order,
      pass: next,
      hasEight: false,
      unresolved: run.settled.unresolved,
    })[0];
    setAt(first ?? { ...start, pass: next });
  };
  const { commit } = run;
  const takeFromTape = useCallback(
    (cm: number) => {
      const taken = commit(at, `${Math.round(cm * 100) / 100} cm`, 'tape');
      const next = stepFrom(order, at, 1);
      if (taken && next) setAt(next);
    },
    [at, commit, order],
  );
  const here = run.doubts.filter((doubt) => at.index !== 'eight' && doubt.at === at.index);
  useShortcuts(
    [
      { keys: ['Enter'], words: measureWords.takeTheNumberOnToThe },
      { keys: ['↑'], words: measureWords.nextPointUp },
      { keys: ['↓'], words: measureWords.backToThePointBelow },
      { keys: ['I'], words: measureWords.inchesOrCentimetres, act: run.switchUnit },
      {
        keys: ['A'],
        words: measureWords.tapeAgainWithoutLooking,
        act: canRepeat ? () => startPass(nextPass(pass, isTwice, disagreeing)) : undefined,
      },
      {
        keys: ['Y'],
        words: measureWords.tapedAgainItIsRight,
        act: here.length > 0 ? () => run.confirm(here.map(({ key }) => key)) : undefined,
      },
      { keys: ['U', 'Ctrl+Z'], words: measureWords.undoTheLastNumber, act: run.undo },
      { keys: ['C'], words: measureWords.howItIsTaped2, act: () => setIsSettingUp(true) },
      { keys: ['B'], words: measureWords.tapeWithAButton2, act: () => setHasButtonTape((has) => !has) },
    ],
    { whileWriting: 'numbers' },
  );

  const value = run.volume.value;
  const last = run.last ? lastGirthsCm(run.last, run.positionsCm) : undefined;
  const inUnit = (cm: number | null) => (cm === null ? null : fromCm(cm, run.unit));
  const positions = run.positionsCm.map((cm) => fromCm(cm, run.unit));
  const pointCm = at.index === 'eight' ? undefined : run.positionsCm[at.index];
  const pointWords =
    pointCm === undefined ? measureWords.asAnEight : `${formatNumber(fromCm(pointCm, run.unit), 0)} ${run.unit}`;
  const lastCm = at.index === 'eight' ? undefined : last?.[at.side][at.index];
  const lastText = lastCm == null ? undefined : formatNumber(fromCm(lastCm, run.unit), run.unit === 'in' ? 2 : 1);
  const wholeSide = run.doubts.filter((doubt) => doubt.at === null);

  return (
    <Frame
      bodyLabel={measureWords.whereToTape}
      body={
        <LimbMap
          label={measureWords.whereToTapeTheS(limb)}
          limb={limb}
          side={side}
          positionsCm={run.positionsCm}
          hereCm={at.index === 'eight' ? null : (run.positionsCm[at.index] ?? 0)}
          isHereAffected={at.side === 'affected'}
          bands={excessBands(
            (value?.segments ?? []).flatMap(({ from, to, excessMl }) =>
              excessMl === null ? [] : [{ fromCm: toCm(from, run.unit), toCm: toCm(to, run.unit), ml: excessMl }],
            ),
          )}
        />
      }
      main={
        <>
          {head}
          <div className={styles['heading']}>
            <h2>{titleOf(phase, pass)}</h2>
            <span>
              {client.order === 'one-side' ? measureWords.sideFirst(other) : measureWords.sideBySide},{' '}
              {limb === 'leg' ? measureWords.ankle : measureWords.wrist} {measureWords.upwards}
            </span>
          </div>
          {!run.isTouched && phase === 'before' && (
            <div className={styles['which']}>
              <Choice
                label={measureWords.limb}
                isLabelHidden
                options={[
                  { value: 'leg', text: measureWords.leg },
                  { value: 'arm', text: measureWords.arm },
                ]}
                value={limb}
                onChange={props.onLimb}
              />
              <Choice
                label={measureWords.affectedSide}
                isLabelHidden
                options={[
                  { value: 'left', text: measureWords.leftIsSwollen },
                  { value: 'right', text: measureWords.rightIsSwollen },
                ]}
                value={side}
                onChange={props.onSide}
              />
            </div>
          )}
          {hasButtonTape && <ButtonTapePanel onGirthCm={takeFromTape} onClose={() => setHasButtonTape(false)} />}
          {wholeSide.map((doubt) => (
            <div key={doubt.key} className={styles['whole']} role="alert">
              <p>
                {doubt.side ? `${doubt.side === 'affected' ? side : other}: ` : ''}
                {doubt.message}
              </p>
              {doubt.mend && (
                <Button look="mend" onClick={() => run.mend(doubt)}>
                  {doubt.mend === 'swap'
                    ? measureWords.swapTheSides
                    : measureWords.readThemAs(run.unit === 'cm' ? 'inches' : 'cm')}
                </Button>
              )}
              <Button look="link" onClick={() => run.confirm([doubt.key])}>
                {measureWords.itIsRight}
              </Button>
            </div>
          ))}
          <TapeTable
            run={run}
            limb={limb}
            side={side}
            pass={pass}
            order={order}
            eight={protocol.eight}
            at={at}
            onMove={setAt}
          />
          <p className={shared['soft']}>
            {pass === 'second' && measureWords.tapedAgainWithoutLookingTheFirst}
            {view.house.readingsPerPoint === 2 && !isTwice && run.isTouched && measureWords.theHouseTapesTwiceWhenThe}
            {isSpacingWide(run.positionsCm) && measureWords.wideSpacingLowersAccuracy}
          </p>
        </>
      }
      asideLabel={measureWords.whatTheTapeSays}
      aside={
        <>
          <div className={styles['heading']}>
            <h2>{measureWords.alongThe(limb)}</h2>
            <span>{measureWords.girthIn(run.unit)}</span>
          </div>
          <div>
            <Drawn className={styles['profile']}>
              <ProfileChart
                positions={positions}
                affected={run.settled.affected}
                reference={run.settled.reference}
                last={(last?.affected ?? run.positionsCm.map(() => null)).map(inUnit)}
                side={side}
                unit={run.unit}
                className={styles['profile'] ?? ''}
              />
            </Drawn>
            {value && value.excessMl !== null && (
              <SegmentBars
                segments={value.segments}
                from={positions[0] ?? 0}
                to={positions.at(-1) ?? 1}
                unit={run.unit}
                volumes={volumesIn(view.house.volumeUnit)}
              />
            )}
          </div>
          <TapeFigures view={view} run={run} limb={limb} side={side} phase={phase} />
          <p className={styles['posture']}>
            <strong>{protocol.posture}</strong> {measureWords.zeroMark3} {protocol.zero}
            {measureWords.placedWithCareItIsOften} {protocol.restMinutes} {measureWords.minutesFirst}
          </p>
          <TapeSetUp
            view={view}
            run={run}
            limb={limb}
            client={client}
            isOpen={isSettingUp}
            onClose={() => setIsSettingUp(false)}
            onClient={onClient}
          />
        </>
      }
      foot={
        <>
          <NumberPad
            title={`${pointWords}, ${at.side === 'affected' ? side : other}`}
            hint={lastText === undefined ? measureWords.tapeFlat : measureWords.lastTimeItWas(lastText)}
            last={lastText}
          />
          <FootKey
            letter="I"
            words={run.unit === 'cm' ? measureWords.inches : measureWords.centimetres}
            onPress={run.switchUnit}
          />
          <FootKey
            letter="A"
            words={againWords(nextPass(pass, isTwice, disagreeing))}
            onPress={() => canRepeat && startPass(nextPass(pass, isTwice, disagreeing))}
          />
          <FootKey letter="U" words={measureWords.undo} onPress={run.undo} />
          <FootKey letter="C" words={measureWords.howItIsTaped2} onPress={() => setIsSettingUp(true)} />
          <FootKey letter="B" words={measureWords.tapeWithAButton2} onPress={() => setHasButtonTape((has) => !has)} />
          <SaveLine saving={run.saving} saved={measureWords.everyNumberIsKeptAsYou} compare={run.compare} />
          {onward}
        </>
      }
    />
  );
}

function FootKey({
  letter,
  words,
  onPress,
}: {
  readonly letter: string;
  readonly words: string;
  readonly onPress: () => void;
}) {
  return (
    <button type="button" className={styles['footKey']} onClick={onPress}>
      <Kbd>{letter}</Kbd> {words}
    </button>
  );
}

/** From the first pass to the second; then, where readings disagree, to the third; else back to the first. */
function nextPass(pass: PassName, isTwice: boolean, disagreeing: number): PassName {
  if (pass === 'first') return isTwice && disagreeing > 0 ? 'third' : 'second';
  return pass === 'second' && disagreeing > 0 ? 'third' : 'first';
}

const againWords = (next: PassName) =>
  ({ first: measureWords.firstReadings, second: measureWords.tapeAgain, third: measureWords.thirdReadings })[next];

const titleOf = (phase: 'before' | 'after', pass: PassName) =>
  measureWords.tapeRun2(
    phase === 'after' ? ', after' : '',
    { first: '', second: ', again', third: measureWords.thirdReadings2 }[pass],
  );
