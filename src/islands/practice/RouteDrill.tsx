import { anatomy } from '../../catalogue/anatomy';
import type { PlaceId } from '../../core/anatomy/place';
import { shortLabel } from '../../core/anatomy/place-labels';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { BodySheet } from '../../ui/body-sheet/BodySheet';
import { Button } from '../../ui/button/Button';
import { caseMarks } from './case-marks';
import type { DrillProps } from './drill-props';
import { useKept } from './kept';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';

/** A way led place by place on the body; the group in which it ends is opened first. */
export function RouteDrill({ question, onChange, best }: DrillProps<'route'>) {
  const [path, setPath] = useKept<readonly PlaceId[]>('path', [question.from]);
  const marks = caseMarks([question.from], question.findings);
  const shown = best ? best.path : path;
  const open = shown.filter((id) => anatomy.basins.has(id));
  const put = (next: readonly PlaceId[]) => {
    setPath(next);
    const groups = next.filter((id) => anatomy.basins.has(id));
    onChange(groups.length > 0 ? { open: groups, path: next } : undefined);
  };
  const names = (ids: readonly PlaceId[]) => ids.map((id) => shortLabel(anatomy, id)).join(' → ');
  return (
    <div className={styles['withBody']}>
      <BodySheet className={styles['bodyOf']} label={practiceWords.bodyToLead} isWanted={best === undefined}>
        <BodyPanel
          label={practiceWords.bodyToLead}
          initial={bestDrawing([question.from])}
          regions={
            new Map([
              ...marks.regions,
              ...shown
                .filter((id) => anatomy.territories.has(id))
                .map((id) => [id, { tone: 'prepare' as const, words: practiceWords.theWay }] as const),
            ])
          }
          nodes={marks.nodes}
          signs={marks.signs}
          routes={[
            ...(best ? [{ key: 'own', path, tone: 'plum' as const, isActive: false }] : []),
            { key: 'way', path: shown, tone: 'river', isActive: true },
          ]}
          areNodesPickable
          onPick={(place) => !best && put(place === path.at(-1) ? path.slice(0, -1) : [...path, place])}
        />
      </BodySheet>
      <div className={styles['fields']}>
        <p className={styles['soft']}>{practiceWords.beginsAt(question.fromLabel)}</p>
        <p>
          <strong>{best ? practiceWords.theBestWay : practiceWords.theWay}</strong> {names(shown)}
        </p>
        {best && (
          <p>
            <strong>{practiceWords.yourWay}</strong> {names(path)}
          </p>
        )}
        <p>
          <strong>{practiceWords.groupsOpened}</strong> {open.length > 0 ? names(open) : practiceWords.openNothing}
        </p>
        {!best && path.length > 1 && (
          <Button onClick={() => put(path.slice(0, -1))}>{practiceWords.lastOneBack}</Button>
        )}
      </div>
    </div>
  );
}
