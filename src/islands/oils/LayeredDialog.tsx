import { useState } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import { oilOf } from '../../core/oils/book';
import { dropsText, percentText } from '../../core/oils/finding-words';
import { layeredDrops } from '../../core/oils/layered';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import styles from './Oils.module.css';
import { ShareBar } from './ShareBar';
import type { Bench } from './useBlend';

/** A strip along the spine, two hands wide (cm²). */
const spineCm2 = 900;

/** What the drops of the blend would come to straight on the skin, against the limits, and what they are diluted. */
export function LayeredDialog({ bench, onClose }: { readonly bench: Bench; readonly onClose: () => void }) {
  const { blend, client, takeParts, change } = bench;
  const { scope } = bench.bench;
  const [area, setArea] = useState(String(spineCm2));
  const areaCm2 = Number(area.replace(',', '.'));
  const isBad = !(areaCm2 > 0 && areaCm2 <= 25_000);
  const neat =
    isBad || blend.parts.length === 0
      ? undefined
      : layeredDrops(oilBook, { areaCm2, carrierMl: 0, parts: blend.parts, client });
  const dilute = () => {
    if (!neat) return;
    const { bottleMl, parts } = neat.dilutedEquivalent;
    change({ kind: 'volume', volumeMl: bottleMl, isScaled: false });
    takeParts(
      parts
        .filter(({ drops }) => drops > 0)
        .map(({ oil, drops }) => ({
          oil,
          drops,
          dropsPerMl: blend.parts.find((part) => part.oil === oil)?.dropsPerMl,
        })),
    );
    onClose();
  };
  return (
    <Dialog title="Drops straight onto the skin" isOpen onClose={onClose} size="wide">
      {!scope.mayLayer && (
        <p className={styles['soft']}>{scope.why} What it would come to may be looked at all the same.</p>
      )}
      <Field
        label="Skin that they are spread on, cm²"
        inputMode="decimal"
        value={area}
        onChange={(event) => setArea(event.target.value)}
        error={isBad ? 'More than 0 and at most 25,000 cm².' : undefined}
        hint="A strip along the spine, two hands wide, has about 900."
      />
      {blend.parts.length === 0 && <p>Put drops into the blend first; they are taken as they are.</p>}
      {neat && (
        <>
          <div
            className={styles['say']}
            data-tone={neat.verdict === 'ok' ? 'ok' : neat.verdict === 'caution' ? 'near' : 'over'}
          >
            <p>
              <strong>
                {percentText(neat.totalPercent)} on the skin
                {neat.verdict === 'over' ? ': not like this.' : '.'}
              </strong>{' '}
              {dropsText(blend.parts.reduce((sum, { drops }) => sum + drops, 0))} in a film of {neat.filmMl.toFixed(2)}{' '}
              mL.
            </p>
            <ul className={styles['limits']}>
              {neat.parts.map((part) => (
                <li key={part.oil}>
                  <span>{oilOf(oilBook, part.oil).name}</span>
                  <ShareBar
                    share={part.shareOfLimit ?? 0}
                    label={`${oilOf(oilBook, part.oil).name}: ${percentText(part.percent)}`}
                  />
                  <strong>{percentText(part.percent)}</strong>
                  <small>
                    {part.limitPercent === null
                      ? 'no limit known'
                      : `${(part.shareOfLimit ?? 0).toFixed(1)} times ${percentText(part.limitPercent)}`}
                  </small>
                </li>
              ))}
            </ul>
            {neat.findings
              .filter(({ code }) => code === 'avoid' || code === 'over-constituent-limit')
              .slice(0, 4)
              .map(({ text, code }) => (
                <p key={text}>{code === 'avoid' ? text : text.split(':')[0]}</p>
              ))}
          </div>
          <p>
            <strong>Diluted instead:</strong> {percentText(neat.dilutedEquivalent.totalPercent)} in{' '}
            {neat.dilutedEquivalent.bottleMl} mL:{' '}
            {neat.dilutedEquivalent.parts.map(({ oil, drops }) => `${oilOf(oilBook, oil).name} ${drops}`).join(', ')}.
            The same oils in the same proportions, as strong as every limit allows.
          </p>
          <p className={styles['soft']}>
            Most safety authorities advise against neat drops. Local rules and licensed practice come first.
          </p>
          <div className={styles['buttons']}>
            <Button onClick={onClose}>Leave it</Button>
            <Button
              look="filled"
              onClick={dilute}
              disabled={neat.dilutedEquivalent.parts.every(({ drops }) => drops === 0)}
            >
              Take it diluted
            </Button>
          </div>
        </>
      )}
    </Dialog>
  );
}
