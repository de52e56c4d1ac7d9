import { closeWords } from './close.words';
import type { CloseView, VisitAtWork } from '../../contracts/visit-views';
import { Field } from '../../ui/field/Field';
import type { Answers } from './answers';
import styles from './Used.module.css';

interface Props {
  readonly visit: VisitAtWork;
  readonly stones: CloseView['stones'];
  readonly answers: Answers;
  readonly onAnswer: (change: Partial<Answers>) => void;
  readonly isFixed: boolean;
}

const areas = { body: closeWords.bodyOil, face: closeWords.faceOil } as const;

/** Oils and stones that the visit took; oil that was poured is drawn from its bottle when the visit is closed. */
export function Used({ visit, stones, answers, onAnswer, isFixed }: Props) {
  const oils = (['body', 'face'] as const).flatMap((area) => {
    const own = visit.blends[area];
    return own ? [{ area, own }] : [];
  });
  if (oils.length === 0 && stones.length === 0) return null;
  const planned = stones.reduce((sum, { count }) => sum + count, 0);
  return (
    <>
      <h2>{closeWords.used}</h2>
      {oils.map(({ area, own }) => (
        <div key={area} className={styles['used']}>
          <p>
            {areas[area]}: “{own.blend.name}”
            <small>
              {own.pouredFrom !== null
                ? closeWords.drawnFromItsBottleAtThe
                : own.mix?.isMixed
                  ? closeWords.drawnWhenItWasMixed
                  : closeWords.notMixedNothingIsDrawn}
            </small>
          </p>
          <Field
            label={closeWords.ml}
            aria-label={`${areas[area]}, mL`}
            type="number"
            min={0}
            step={0.5}
            disabled={isFixed || own.pouredFrom === null}
            value={answers.oilMl[area] ?? own.blend.volumeMl}
            onChange={(event) => onAnswer({ oilMl: { ...answers.oilMl, [area]: Number(event.target.value) } })}
          />
        </div>
      ))}
      {stones.length > 0 && (
        <div className={styles['used']}>
          <p>
            {closeWords.stones}
            <small> {stones.map(({ name, count }) => `${count} ${name}`).join(', ')}</small>
          </p>
          <Field
            label={closeWords.used2}
            aria-label={closeWords.factStones}
            type="number"
            min={0}
            disabled={isFixed}
            value={answers.stonesUsed ?? planned}
            onChange={(event) => onAnswer({ stonesUsed: Number(event.target.value) })}
          />
        </div>
      )}
    </>
  );
}
