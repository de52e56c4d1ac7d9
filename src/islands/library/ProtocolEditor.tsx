import { libraryWords } from './library.words';
import { closestCenter, DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { LibraryView } from '../../contracts/library-views';
import { problemsOfProtocol } from '../../core/library/check-library';
import { type Protocol, type ProtocolStep, type StepSide, stepSides } from '../../core/library/protocol';
import { handStates, positions, tablePlaces } from '../../core/sequencing/block';
import { Button } from '../../ui/button/Button';
import { Field, Select, TextArea } from '../../ui/field/Field';
import { RequestError, send, sentenceOf } from '../api';
import { AddStep } from './AddStep';
import { StepFields } from './StepFields';
import shared from './LibraryView.module.css';
import styles from './ProtocolEditor.module.css';
import {
  addBlock,
  addStep,
  changeBlock,
  changeStep,
  copyForOtherSide,
  type Draft,
  type DraftStep,
  fromDraft,
  hasOtherSide,
  inOrder,
  moveBy,
  moveTo,
  removeBlock,
  removeStep,
  setEachTimes,
  sideOfPart,
  toDraft,
} from './protocol-edits';
import { freeId } from './TechniqueForm';
import { plainWords } from './words';

interface Props {
  readonly first: Protocol;
  readonly basedOn: number;
  readonly view: LibraryView;
  readonly onClose: () => void;
  readonly onSaved: (words: string) => Promise<void>;
}

/** Changes a protocol, or a copy of one: drag a step or move it with Alt and the arrows; what is wrong stands beside it. */
export function ProtocolEditor({ first, basedOn, view, onClose, onSaved }: Props) {
  const [draft, setDraft] = useState(() => toDraft(first));
  const [error, setError] = useState<unknown>();
  const [isAsked, setIsAsked] = useState(false);
  const focusAfter = useRef<string>(undefined);
  const list = useRef<HTMLDivElement>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const techniques = new Map(view.techniques.map(({ value }) => [value.id, value]));
  const value = fromDraft(draft);
  const problems = problemsOfProtocol(value, {
    techniques,
    regions: new Set(view.regions.map(({ name }) => name)),
    modalities: new Set(view.modalities.map(({ id }) => id)),
  });
  const isNew = basedOn === 0 && !view.protocols.some((one) => one.value.id === first.id);

  useEffect(() => {
    if (!focusAfter.current) return;
    list.current?.querySelector<HTMLElement>(`[data-key="${focusAfter.current}"]`)?.focus();
    focusAfter.current = undefined;
  }, [draft]);

  const save = async () => {
    setIsAsked(true);
    if (problems.length > 0) return;
    const taken = new Set(view.protocols.map((one) => one.value.id));
    const kept = isNew ? { ...value, id: freeId(value.id, taken) } : value;
    try {
      await send('PUT /api/library/protocols/{key}', { params: { key: kept.id }, body: { value: kept, basedOn } });
      onClose();
      await onSaved(libraryWords.isKeptAsOurOwn(kept.name));
    } catch (caught) {
      setError(caught);
    }
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over) setDraft((now) => moveTo(now, String(active.id), String(over.id)));
  };
  const onKeyDown = (event: KeyboardEvent, key: string) => {
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (by === 0 || !event.altKey) return;
    event.preventDefault();
    focusAfter.current = key;
    setDraft((now) => moveBy(now, key, by));
  };
  const head = (change: Partial<Draft['head']>) => setDraft((now) => ({ ...now, head: { ...now.head, ...change } }));
  const problemAt = (path: string) =>
    problems.find((one) => one.path === path || one.path.startsWith(`${path}.`))?.message;
  const fieldError = (path: string) => (error instanceof RequestError ? error.fieldError(`value.${path}`) : undefined);
  return (
    <div className={shared['form']} ref={list}>
      <h2>{isNew ? libraryWords.aProtocolOfOurOwn : libraryWords.change2(first.name)}</h2>
      <Field
        label={libraryWords.name}
        value={draft.head.name}
        onChange={(event) => head({ name: event.target.value })}
        error={fieldError('name')}
      />
      <TextArea
        label={libraryWords.whatItIs}
        value={draft.head.about}
        onChange={(event) => head({ about: event.target.value })}
      />
      <Field
        label={libraryWords.usualMinutes}
        type="number"
        min={1}
        value={draft.head.usualMinutes}
        onChange={(event) => head({ usualMinutes: Number(event.target.value) })}
        error={fieldError('usualMinutes')}
      />
      <p className={shared['soft']}>{libraryWords.dragAStepOrMoveIt}</p>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        modifiers={[restrictToVerticalAxis]}
        onDragEnd={onDragEnd}
        accessibility={{
          screenReaderInstructions: { draggable: libraryWords.pressAltWithTheUpOr },
        }}
      >
        <SortableContext items={inOrder(draft).map(({ key }) => key)} strategy={verticalListSortingStrategy}>
          {draft.blocks.map((block, b) => {
            const steps = draft.steps.filter((step) => step.block === block.id);
            return (
              <section key={block.id} className={styles['part']} aria-label={libraryWords.part(plainWords(block.id))}>
                <h3>{plainWords(block.id)}</h3>
                <div className={styles['setting']}>
                  <Setting
                    label={libraryWords.client}
                    value={block.position}
                    values={positions}
                    onValue={(position) => setDraft((now) => changeBlock(now, block.id, { position }))}
                  />
                  <Setting
                    label={libraryWords.hands}
                    value={block.hands}
                    values={handStates}
                    onValue={(hands) => setDraft((now) => changeBlock(now, block.id, { hands }))}
                  />
                  <Setting
                    label={libraryWords.therapist}
                    value={block.therapist}
                    values={tablePlaces}
                    onValue={(therapist) => setDraft((now) => changeBlock(now, block.id, { therapist }))}
                  />
                </div>
                <div className={styles['whole']}>
                  <label>
                    {libraryWords.eachStep}{' '}
                    <select
                      aria-label={libraryWords.eachStepOf(plainWords(block.id))}
                      value=""
                      onChange={({ target }) => {
                        const times = target.value === 'usual' ? undefined : Number(target.value);
                        setDraft((now) => setEachTimes(now, block.id, times));
                      }}
                    >
                      <option value="">{libraryWords.chooseTimes}</option>
                      <option value="usual">{libraryWords.asTheTechniqueHasIt}</option>
                      {[1, 2, 3, 4, 5, 6, 8, 10].map((times) => (
                        <option key={times} value={times}>
                          {times} ×
                        </option>
                      ))}
                    </select>
                  </label>
                  {sideOfPart(draft, block.id) && !hasOtherSide(draft, block.id) && (
                    <Button
                      look="link"
                      aria-label={libraryWords.copyPartForTheOtherSide(plainWords(block.id))}
                      onClick={() => setDraft((now) => copyForOtherSide(now, block.id))}
                    >
                      {libraryWords.copyForTheOtherSide}
                    </Button>
                  )}
                </div>
                <ol aria-label={libraryWords.stepsOf(plainWords(block.id))}>
                  {steps.map((step, i) => (
                    <EditedStep
                      key={step.key}
                      step={step}
                      name={techniques.get(step.technique)?.name ?? step.technique}
                      usual={techniques.get(step.technique)?.repetitions.usual ?? 1}
                      labels={view.regions}
                      problem={problemAt(`blocks.${b}.steps.${i}`)}
                      onKeyDown={(event) => onKeyDown(event, step.key)}
                      onChange={(change) => setDraft((now) => changeStep(now, step.key, change))}
                      onRemove={() => setDraft((now) => removeStep(now, step.key))}
                    />
                  ))}
                </ol>
                {steps.length === 0 && <p className={shared['alert']}>{problemAt(`blocks.${b}.steps`)}</p>}
                <AddStep
                  view={view}
                  part={plainWords(block.id)}
                  onAdd={(step) => setDraft((now) => addStep(now, block.id, step))}
                />
                <Button look="link" onClick={() => setDraft((now) => removeBlock(now, block.id))}>
                  {libraryWords.takeOut(plainWords(block.id))}
                </Button>
              </section>
            );
          })}
        </SortableContext>
      </DndContext>
      <Button onClick={() => setDraft(addBlock)}>{libraryWords.addAPart}</Button>
      {isAsked && problems.length > 0 && (
        <p role="alert" className={shared['alert']}>
          {problems.length === 1 ? libraryWords.oneThing : libraryWords.things(problems.length)}{' '}
          {libraryWords.toPutRightFirst} {problems[0]?.message}
        </p>
      )}
      {error !== undefined && (
        <p role="alert" className={shared['alert']}>
          {sentenceOf(error)}
        </p>
      )}
      <div className={shared['buttons']}>
        <Button onClick={onClose}>{libraryWords.leaveIt}</Button>
        <Button look="filled" onClick={() => void save()}>
          {libraryWords.keepAsOurs}
        </Button>
      </div>
    </div>
  );
}

interface SettingProps<V extends string> {
  readonly label: string;
  readonly value: V;
  readonly values: readonly V[];
  readonly onValue: (value: V) => void;
}

function Setting<V extends string>({ label, value, values, onValue }: SettingProps<V>) {
  return (
    <Select label={label} value={value} onChange={(event) => onValue(event.target.value as V)}>
      {values.map((one) => (
        <option key={one} value={one}>
          {plainWords(one)}
        </option>
      ))}
    </Select>
  );
}

interface EditedStepProps {
  readonly step: DraftStep;
  readonly name: string;
  readonly usual: number;
  readonly labels: LibraryView['regions'];
  readonly problem: string | undefined;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onChange: (change: Partial<ProtocolStep>) => void;
  readonly onRemove: () => void;
}

function EditedStep({ step, name, usual, labels, problem, onKeyDown, onChange, onRemove }: EditedStepProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: step.key });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={styles['edited']}
    >
      <div
        {...attributes}
        {...listeners}
        role="group"
        tabIndex={0}
        data-key={step.key}
        aria-label={libraryWords.step(name)}
        onKeyDown={onKeyDown}
        className={styles['grip']}
      >
        <strong>{name}</strong>
        <span>
          {step.regions.map((region) => labels.find(({ name: id }) => id === region)?.label ?? region).join(', ')}
        </span>
        {problem && <em role="alert">{problem}</em>}
      </div>
      <select
        aria-label={libraryWords.sideOf(name)}
        value={step.side}
        onChange={(event) => onChange({ side: event.target.value as StepSide })}
      >
        {stepSides.map((side) => (
          <option key={side} value={side}>
            {side}
          </option>
        ))}
      </select>
      <input
        aria-label={libraryWords.repetitionsOf(name)}
        type="number"
        min={1}
        max={100}
        value={step.repetitions ?? usual}
        onChange={(event) =>
          onChange({ repetitions: event.target.value === '' ? undefined : Number(event.target.value) })
        }
      />
      <button type="button" aria-label={libraryWords.takeOut2(name)} onClick={onRemove}>
        ×
      </button>
      <StepFields step={step} name={name} onChange={onChange} />
    </li>
  );
}
