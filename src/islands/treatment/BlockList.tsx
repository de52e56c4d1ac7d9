import { treatmentWords } from './treatment.words';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { anatomy } from '../../catalogue/anatomy';
import type { VisitBlends } from '../../contracts/oil-views';
import type { BlockView } from '../../contracts/treatment-views';
import { type TableStep, timesOf, titleOf } from '../../core/table/table-step';
import { formatClock } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { SortableList } from '../../ui/sortable/SortableList';
import { Taught } from '../taught/Taught';
import { LayerChoice } from './LayerChoice';
import { StoneChoice } from './StoneChoice';
import type { TreatmentHandle } from './useTreatment';
import styles from './BlockList.module.css';

interface Props {
  readonly handle: TreatmentHandle;
  /** What the visit carries for body and face. */
  readonly blends: VisitBlends;
  readonly selected: string | undefined;
  readonly onSelect: (id: string | undefined) => void;
  /** What is taught of the steps of the open part stands under them. */
  readonly isTaught: boolean;
}

/** The parts of the treatment in their order: drag one, or move it with Alt and the arrow keys. */
export function BlockList({ handle, blends, selected, onSelect, isTaught }: Props) {
  const { treatment, plan, move, blocks } = handle;
  const steps = new Map(plan.steps.map((step) => [step.id, step]));
  return (
    <SortableList
      ids={blocks.map(({ id }) => id)}
      label={treatmentWords.theTreatment}
      what={treatmentWords.part}
      className={styles['blocks']}
      onMove={move}
    >
      {blocks.map((block, index) => (
        <Block
          key={block.id}
          block={block}
          number={index + 1}
          steps={block.steps.flatMap((id) => steps.get(id) ?? [])}
          faults={[...treatment.faults, ...treatment.conflicts]
            .filter(({ then }) => then === block.id)
            .map(({ message, severity }) => ({ message, severity }))
            .concat(treatment.stepFaults.filter((fault) => fault.block === block.id))}
          blend={block.oil && nameAndAmount(blends[block.oil])}
          isOpen={selected === block.id}
          onToggle={() => onSelect(selected === block.id ? undefined : block.id)}
          handle={handle}
          isTaught={isTaught}
        />
      ))}
    </SortableList>
  );
}

const nameAndAmount = (carried: VisitBlends['body']) =>
  carried && treatmentWords.mlInAll(carried.blend.name, carried.blend.volumeMl);

interface BlockProps {
  readonly block: BlockView;
  readonly number: number;
  readonly steps: readonly TableStep[];
  readonly faults: readonly { readonly message: string; readonly severity: string }[];
  /** The oil that it is worked with. */
  readonly blend: string | undefined;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
  readonly handle: TreatmentHandle;
  readonly isTaught: boolean;
}

function Block({ block, number, steps, faults, blend, isOpen, onToggle, handle, isTaught }: BlockProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: block.id });
  const setup = block.changes.reduce((sum, { seconds }) => sum + seconds, 0);
  return (
    <li ref={setNodeRef} style={{ transform: CSS.Transform.toString(transform), transition }}>
      {block.changeWords.length > 0 && (
        <p className={styles['change']}>
          <span>{block.changeWords.join(' ')}</span>
          <strong>{formatClock(setup)}</strong>
        </p>
      )}
      <button
        type="button"
        {...attributes}
        {...listeners}
        role="button"
        data-row={block.id}
        aria-expanded={isOpen}
        className={styles['block']}
        data-fault={faults.some(({ severity }) => severity === 'error') || undefined}
        onClick={onToggle}
      >
        <span className={styles['number']}>{number}</span>
        <span className={styles['name']}>
          <strong>{block.name}</strong>
          <small>
            {block.of} · {steps.length} {steps.length === 1 ? treatmentWords.step : treatmentWords.steps}
            {blend && ` · ${blend}`}
          </small>
        </span>
        <span className={styles['clock']}>
          {formatClock(block.seconds - setup)}
          <small>{treatmentWords.from(formatClock(block.startsAt + setup))}</small>
        </span>
      </button>
      {faults.map(({ message, severity }) => (
        <p key={message} className={styles['fault']} data-severity={severity}>
          {message}
        </p>
      ))}
      {isOpen && (
        <div className={styles['opened']}>
          {block.why.map((why) => (
            <p key={why} className={styles['why']}>
              {why}
            </p>
          ))}
          <p className={styles['whole']}>
            <label>
              {treatmentWords.eachStep}{' '}
              <select
                value={handle.treatment.wish.times?.[block.id] ?? ''}
                onChange={({ target }) =>
                  handle.change({
                    kind: 'times',
                    block: block.id,
                    number: target.value === '' ? undefined : Number(target.value),
                  })
                }
              >
                <option value="">{treatmentWords.asTaught}</option>
                {[1, 2, 3, 4, 5, 6, 8, 10].map((times) => (
                  <option key={times} value={times}>
                    {treatmentWords.timesEach(times)}
                  </option>
                ))}
              </select>
            </label>
            {block.otherSide !== undefined && (
              <Button
                look="link"
                onClick={() => handle.change({ kind: 'add-part', choice: block.choice, part: block.otherSide ?? '' })}
              >
                {treatmentWords.theOtherSideToo}
              </Button>
            )}
          </p>
          <ol>
            {steps.map((step) => (
              <li key={step.id}>
                <strong>{titleOf(anatomy, step)}</strong>
                <span>
                  {step.told?.how ?? ''} {step.told?.note ? `(${step.told.note})` : ''}
                </span>
                <em>
                  {timesOf(step)} · {formatClock(step.seconds)}
                  {step.cautions.length > 0 && ` · ${step.cautions.join(' ')}`}
                </em>
                <StoneChoice step={step} handle={handle} />
                <LayerChoice step={step} handle={handle} />
                {isTaught && <Taught taught={step.taught} />}
              </li>
            ))}
          </ol>
        </div>
      )}
    </li>
  );
}
