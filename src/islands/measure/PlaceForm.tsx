import { measureWords } from './measure.words';
import { useState } from 'react';
import { bruisingLevels, limbSkin, rednessLevels, textures, warmth } from '../../catalogue/swelling/scales.data';
import { isPitDoubtful } from '../../core/swelling/pitting';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Field } from '../../ui/field/Field';
import { observedWords, temperatureWords } from './observed-words';
import { NumberField } from './TapeSetUp';
import styles from './TouchSheet.module.css';
import type { Observations } from './useObservations';

interface Props {
  readonly place: string;
  readonly observations: Observations;
}

/** What is felt and seen at one place; each answer is kept by itself. */
export function PlaceForm({ place, observations }: Props) {
  const { today, lastTime, save } = observations;
  const pitting = today('pitting', place)?.value;
  const heat = today('temperature', place)?.value;
  const skin = today('limb-skin', place)?.value;
  const redness = today('redness', place)?.value;
  const bruising = today('bruising', place)?.value;
  const [depth, setDepth] = useState(pitting?.depthMm ?? null);
  const [hereC, setHereC] = useState(heat?.hereC ?? null);
  const [mirrorC, setMirrorC] = useState(heat?.mirrorC ?? null);
  const was = (kind: 'pitting' | 'texture' | 'limb-skin' | 'temperature' | 'redness' | 'bruising') => {
    const last = lastTime(kind, place);
    return last ? measureWords.lastTime3(observedWords(last)) : undefined;
  };
  const keepHeat = (here: number | null, mirror: number | null) => {
    if (here !== null && mirror !== null) save('temperature', place, { hereC: here, mirrorC: mirror });
  };
  type Mark = NonNullable<typeof skin>['marks'][number];
  const tick = (mark: Mark, isOn: boolean) => {
    const others = (skin?.marks ?? []).filter((one) => one !== mark && (mark === 'normal' ? false : one !== 'normal'));
    const marks = isOn ? [...others, mark] : others;
    if (marks.length > 0) save('limb-skin', place, { marks, hasSmell: skin?.hasSmell ?? false });
    else {
      const held = today('limb-skin', place);
      if (held) observations.remove(held.key);
    }
  };
  return (
    <div className={styles['form']}>
      <section>
        <h3>{measureWords.pressForTenSeconds}</h3>
        <div className={styles['row']}>
          <NumberField
            label={measureWords.depthMm}
            value={depth}
            least={0}
            most={30}
            decimals={depth !== null && !Number.isInteger(depth) ? 1 : 0}
            note={was('pitting')}
            onValue={(value) => {
              setDepth(value);
              if (value !== null)
                save('pitting', place, { depthMm: value, reboundSeconds: pitting?.reboundSeconds ?? null });
            }}
          />
          <NumberField
            label={measureWords.backAfterSeconds}
            value={pitting?.reboundSeconds ?? null}
            least={0}
            most={600}
            onValue={(value) => depth !== null && save('pitting', place, { depthMm: depth, reboundSeconds: value })}
          />
        </div>
        {pitting && isPitDoubtful(pitting) && (
          <p className={styles['doubt']} role="alert">
            {measureWords.depthAndReboundDoNotMatch}
          </p>
        )}
      </section>
      <Choice
        label={`Tissue${was('texture') ? ` (${was('texture')})` : ''}`}
        options={textures.map((value) => ({ value, text: value }))}
        value={today('texture', place)?.value.texture ?? null}
        onChange={(texture) => save('texture', place, { texture })}
      />
      <fieldset className={styles['marks']}>
        <legend>
          {measureWords.skin2}
          {was('limb-skin') ? ` (${was('limb-skin')})` : ''}
        </legend>
        {limbSkin.map(({ id, label }) => (
          <label key={id} data-alarm={id === 'weeping' || id === 'broken' ? true : undefined}>
            <input
              type="checkbox"
              checked={skin?.marks.includes(id) ?? false}
              onChange={(event) => tick(id, event.target.checked)}
            />
            {label}
          </label>
        ))}
        {skin?.marks.some((mark) => mark === 'weeping' || mark === 'broken') && (
          <label>
            <input
              type="checkbox"
              checked={skin.hasSmell}
              onChange={(event) => save('limb-skin', place, { ...skin, hasSmell: event.target.checked })}
            />
            {measureWords.itSmells}
          </label>
        )}
      </fieldset>
      <section>
        <div className={styles['row']}>
          <NumberField
            label={measureWords.warmthHereC}
            value={hereC}
            least={warmth.leastC}
            most={warmth.mostC}
            decimals={1}
            note={was('temperature')}
            onValue={(value) => {
              setHereC(value);
              keepHeat(value, mirrorC);
            }}
          />
          <NumberField
            label={measureWords.mirrorPointC}
            value={mirrorC}
            least={warmth.leastC}
            most={warmth.mostC}
            decimals={1}
            note={heat ? temperatureWords(heat.hereC - heat.mirrorC) : measureWords.theSameSpotOnTheOther}
            onValue={(value) => {
              setMirrorC(value);
              keepHeat(hereC, value);
            }}
          />
        </div>
      </section>
      <Choice
        label={`Redness${was('redness') ? ` (${was('redness')})` : ''}`}
        options={rednessLevels.map((text, i) => ({ value: String(i), text }))}
        value={redness ? String(redness.grade) : null}
        onChange={(grade) =>
          save('redness', place, { grade: Number(grade), isSpreading: redness?.isSpreading ?? false })
        }
      />
      {redness && redness.grade > 0 && (
        <label className={styles['tick']}>
          <input
            type="checkbox"
            checked={redness.isSpreading}
            onChange={(event) => save('redness', place, { ...redness, isSpreading: event.target.checked })}
          />
          {measureWords.newAndSpreading}
        </label>
      )}
      <Choice
        label={measureWords.bruising}
        options={bruisingLevels.map((text, i) => ({ value: String(i), text }))}
        value={bruising ? String(bruising.grade) : null}
        onChange={(grade) => save('bruising', place, { grade: Number(grade), sizeMm: bruising?.sizeMm ?? null })}
      />
      <SpotForm place={place} observations={observations} />
    </div>
  );
}

/** Spots and lesions, as many as there are, and whether the place is tighter than its mirror. */
function SpotForm({ place, observations }: Props) {
  const [what, setWhat] = useState('');
  const [size, setSize] = useState<number | null>(null);
  const add = () => {
    if (what.trim() === '') return;
    observations.save('spot', place, { what: what.trim(), sizeMm: size }, true);
    setWhat('');
    setSize(null);
  };
  return (
    <section>
      <div className={styles['row']}>
        <Field
          label={measureWords.aSpotOrLesionWhatIt}
          value={what}
          maxLength={120}
          onChange={(event) => setWhat(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && add()}
        />
        <NumberField label={measureWords.sizeMm} value={size} least={0} most={500} onValue={setSize} />
      </div>
      <div className={styles['buttons']}>
        <Button onClick={add} disabled={what.trim() === ''}>
          {measureWords.placeItHere}
        </Button>
        <Button onClick={() => observations.save('tighter', place, { what: '' })}>
          {measureWords.tighterThanTheOtherSide}
        </Button>
      </div>
    </section>
  );
}
