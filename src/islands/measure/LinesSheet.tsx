import { measureWords } from './measure.words';
import { useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import { lineNames, usualLines } from '../../catalogue/facial/usual-lines';
import {
  type FaceLine,
  kindOfLine,
  type LineKind,
  lineKinds,
  middleX,
  type Point,
  sideOfLine,
} from '../../core/facial/line';
import { drainOf, strokesOf } from '../../core/facial/strokes';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { LinePad } from '../../ui/body-map/LinePad';
import { MapLines } from '../../ui/body-map/MapLines';
import { Button } from '../../ui/button/Button';
import { Frame } from './Frame';
import { ObservationLine } from './ObservationLine';
import styles from './LinesSheet.module.css';
import type { SheetProps } from './sheet';

const drainWords: Readonly<Record<string, string>> = {
  preauricular: measureWords.inFrontOfTheEar,
  submandibular: measureWords.underTheJaw,
  terminus: measureWords.aboveTheCollarbone,
};
const depthWords = [
  measureWords.depthMoving,
  measureWords.depthFaint,
  measureWords.depthClear,
  measureWords.depthDeep,
  measureWords.depthFold,
];
const sideWords = { left: 'left', right: 'right', mid: measureWords.bothSides } as const;

/** The client's own lines, drawn on the face: each is worked across, then smoothed towards its drain. */
export default function LinesSheet({ head, onward, observations }: SheetProps) {
  const { today, lastTime, save } = observations;
  const [selected, setSelected] = useState<string>();
  const [trouble, setTrouble] = useState('');
  const known = today('lines') ?? lastTime('lines');
  const lines: readonly FaceLine[] = known?.value.lines ?? [];
  const keep = (next: readonly FaceLine[]) =>
    save('lines', null, {
      lines: next.map((line) => ({ ...line, points: line.points.map(([x, y]): [number, number] => [x, y]) })),
    });
  const add = (line: Omit<FaceLine, 'id'>) => {
    const id = freeId(lines);
    setTrouble('');
    setSelected(id);
    keep([...lines, { id, ...line }]);
  };
  const addUsual = (kind: LineKind, side: 'left' | 'right') => {
    const shapes = usualLines[kind];
    const before = lines.filter((line) => line.kind === kind && line.drawing === 'face-front');
    const isOver = shapes[0] !== undefined && sideOfLine('face-front', 'left', shapes[0]) === 'mid';
    const onSide = isOver ? before : before.filter((line) => line.side === side);
    const shape = shapes[onSide.length % shapes.length] ?? [];
    const points = side === 'right' && !isOver ? shape.map(([x, y]): Point => [2 * middleX - x, y]) : shape;
    add({ kind, side: sideOfLine('face-front', 'left', points), drawing: 'face-front', profile: 'left', points });
  };
  const worked = new Set(selected === undefined ? lines.map(({ id }) => id) : [selected]);
  return (
    <Frame
      isBodyLarge
      bodyLabel={measureWords.drawTheLines}
      body={
        <BodyPanel
          label={measureWords.linesOfTheFace}
          initial={{ view: 'face-front', side: 'left' }}
          sheets={['face']}
          isWide
        >
          {(figure) => (
            <>
              <MapLines figure={figure} lines={lines} worked={worked} selected={selected} />
              <LinePad
                figure={figure}
                onDrawn={(points, regions) => {
                  const drawing = figure.view === 'face-side' ? 'face-side' : 'face-front';
                  const profile =
                    figure.nodes.some(({ id }) => id.endsWith('.right')) && drawing === 'face-side' ? 'right' : 'left';
                  const kind = kindOfLine(anatomy.groups, drawing, points, regions);
                  if (!kind) {
                    setTrouble(measureWords.thatIsBesideTheLinesThat);
                    return;
                  }
                  add({ kind, side: sideOfLine(drawing, profile, points), drawing, profile, points });
                }}
              />
            </>
          )}
        </BodyPanel>
      }
      main={
        <>
          {head}
          <p className={styles['soft']}>{measureWords.drawAlongALineWithPen}</p>
          <p role="alert" className={styles['trouble']}>
            {trouble}
          </p>
          {lines.length === 0 ? (
            <p className={styles['empty']}>{measureWords.noLinesYetDrawTheFirst}</p>
          ) : (
            <ol className={styles['list']} aria-label={measureWords.lines}>
              {lines.map((line) => (
                <li key={line.id} data-selected={line.id === selected || undefined}>
                  <button
                    type="button"
                    aria-pressed={line.id === selected}
                    onClick={() => setSelected(line.id === selected ? undefined : line.id)}
                  >
                    <span className="visually-hidden">{lineNames[line.kind]}, </span>
                    {sideWords[line.side]} · {workWords(line)}
                  </button>
                  <label>
                    <span className="visually-hidden">{measureWords.whatIs(lineNames[line.kind].toLowerCase())}</span>
                    <select
                      value={line.kind}
                      onChange={(event) =>
                        keep(
                          lines.map((one) =>
                            one.id === line.id ? { ...one, kind: event.target.value as LineKind } : one,
                          ),
                        )
                      }
                    >
                      {lineKinds.map((kind) => (
                        <option key={kind} value={kind}>
                          {lineNames[kind]}
                        </option>
                      ))}
                    </select>
                  </label>
                  <label>
                    <span className="visually-hidden">
                      {measureWords.depthOf(lineNames[line.kind].toLowerCase(), sideWords[line.side])}
                    </span>
                    <select
                      value={line.depth ?? ''}
                      onChange={({ target }) =>
                        keep(
                          lines.map((one) => {
                            if (one.id !== line.id) return one;
                            const { depth: _, ...rest } = one;
                            return target.value === '' ? rest : { ...rest, depth: Number(target.value) };
                          }),
                        )
                      }
                    >
                      <option value="">{measureWords.depth}</option>
                      {depthWords.map((words, depth) => (
                        <option key={words} value={depth}>
                          {depth} · {words}
                        </option>
                      ))}
                    </select>
                    <small>{depthBefore(line, lastTime('lines')?.value.lines ?? [])}</small>
                  </label>
                  <Button
                    look="link"
                    aria-label={measureWords.takeAway2(lineNames[line.kind].toLowerCase(), sideWords[line.side])}
                    onClick={() => {
                      setSelected(undefined);
                      keep(lines.filter((one) => one.id !== line.id));
                    }}
                  >
                    {measureWords.takeAway}
                  </Button>
                </li>
              ))}
            </ol>
          )}
        </>
      }
      asideLabel={measureWords.usualLines}
      aside={
        <>
          <h2>{measureWords.addAUsualLine}</h2>
          <table className={styles['usual']}>
            <tbody>
              {lineKinds.map((kind) => {
                const isOver = sideOfLine('face-front', 'left', usualLines[kind][0] ?? []) === 'mid';
                return (
                  <tr key={kind}>
                    <th scope="row">{lineNames[kind]}</th>
                    <td>
                      {isOver ? (
                        <Button
                          onClick={() => addUsual(kind, 'left')}
                          aria-label={measureWords.add2(lineNames[kind].toLowerCase())}
                        >
                          {measureWords.add}
                        </Button>
                      ) : (
                        (['right', 'left'] as const).map((side) => (
                          <Button
                            key={side}
                            onClick={() => addUsual(kind, side)}
                            aria-label={measureWords.add3(lineNames[kind].toLowerCase(), side)}
                          >
                            {side}
                          </Button>
                        ))
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <h2>{measureWords.howTheyAreWorked}</h2>
          <p className={styles['key']} data-tone="across">
            {measureWords.littleStrokesCutAcrossTheLine}
          </p>
          <p className={styles['key']} data-tone="smooth">
            {measureWords.thenOneLongStrokeAlongIt}
          </p>
          <p className={styles['soft']}>{measureWords.thePlanTakesThemUpChoose}</p>
        </>
      }
      foot={
        <>
          <span>{lines.length === 1 ? measureWords.oneLine : measureWords.lines2(lines.length)}</span>
          <ObservationLine observations={observations} />
          {onward}
        </>
      }
    />
  );
}

/** What the same line was at an earlier visit, where that is known: lines keep their name over visits. */
function depthBefore({ id }: FaceLine, earlier: readonly FaceLine[]): string {
  const before = earlier.find((one) => one.id === id)?.depth;
  return before === undefined ? '' : measureWords.depthLastTime(before);
}

function freeId(lines: readonly FaceLine[]): string {
  let number = lines.length + 1;
  while (lines.some(({ id }) => id === `l${number}`)) number += 1;
  return `l${number}`;
}

function workWords(line: FaceLine): string {
  const { across } = strokesOf(line, () => undefined);
  const times = across.length === 1 ? measureWords.oneStrokeAcross : measureWords.strokesAcross(across.length);
  return measureWords.thenOnTo(times, drainWords[drainOf[line.kind]] ?? measureWords.itsDrain);
}
