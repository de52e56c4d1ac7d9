import { measureWords } from './measure.words';
import {
  darkSkinTypes,
  fragilityLevels,
  hydrationLevels,
  oilLevels,
  sensitivityLevels,
  skinFoldValues,
  skinTypes,
  stages,
} from '../../catalogue/swelling/scales.data';
import type { ObservationValue } from '../../contracts/measures';
import { Choice } from '../../ui/choice/Choice';
import styles from './TouchSheet.module.css';
import type { Observations } from './useObservations';

interface Props {
  readonly observations: Observations;
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
}

const empty: ObservationValue<'skin'> = {
  type: null,
  oil: null,
  hydration: null,
  sensitivity: null,
  fragility: null,
};

/** What concerns the skin as a whole, and the stage of a swelling as the therapist sees it. */
export function SkinForm({ observations, limb, side }: Props) {
  const { today, lastTime, save } = observations;
  const skin = today('skin')?.value;
  const known = skin ?? lastTime('skin')?.value ?? empty;
  const set = (change: Partial<ObservationValue<'skin'>>) => save('skin', null, { ...known, ...change });
  const level = (texts: readonly string[]) => texts.map((text, i) => ({ value: String(i), text }));
  const at = (value: number | null) => (value === null ? null : String(value));
  const fold = today('skin-fold', side)?.value;
  return (
    <div className={styles['form']}>
      <Choice
        label={measureWords.skinTypeByBurningAndTanning}
        options={skinTypes.map(({ id, text }) => ({ value: id, text: `${id}: ${text}` }))}
        value={known.type}
        onChange={(type) => set({ type })}
      />
      {known.type !== null && darkSkinTypes.includes(known.type) && (
        <p className={styles['soft']}>{measureWords.onThisSkinRednessMayShow}</p>
      )}
      <Choice
        label={measureWords.oil}
        options={level(oilLevels)}
        value={at(known.oil)}
        onChange={(value) => set({ oil: Number(value) })}
      />
      <Choice
        label={measureWords.water}
        options={level(hydrationLevels)}
        value={at(known.hydration)}
        onChange={(value) => set({ hydration: Number(value) })}
      />
      <Choice
        label={measureWords.sensitivityReacts}
        options={level(sensitivityLevels)}
        value={at(known.sensitivity)}
        onChange={(value) => set({ sensitivity: Number(value) })}
      />
      <Choice
        label={measureWords.fineVessels}
        options={level(fragilityLevels)}
        value={at(known.fragility)}
        onChange={(value) => set({ fragility: Number(value) })}
      />
      <Choice
        label={measureWords.stageOfTheSwellingAsObserved}
        options={stages.map(({ id, label }) => ({ value: id, text: label }))}
        value={today('stage')?.value.stage ?? null}
        onChange={(stage) => save('stage', null, { stage })}
      />
      <p className={styles['soft']}>
        {stages.find(({ id }) => id === (today('stage') ?? lastTime('stage'))?.value.stage)?.text ??
          measureWords.anObservationOfTheTherapistNever}
      </p>
      <Choice
        label={measureWords.skinFoldAtTheBaseOf(
          limb === 'leg' ? measureWords.secondToe : measureWords.middleFinger,
          side,
        )}
        options={skinFoldValues.map((value) => ({ value, text: value }))}
        value={fold?.sign ?? null}
        onChange={(sign) => save('skin-fold', side, { site: limb === 'leg' ? 'toe' : 'finger', sign })}
      />
      <p className={styles['soft']}>{measureWords.positiveNoFoldCanBeLifted}</p>
    </div>
  );
}
