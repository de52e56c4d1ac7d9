import { oilsWords } from './oils.words';
import { useState } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import { oilOf } from '../../core/oils/book';
import { dropsText, percentText } from '../../core/oils/finding-words';
import { layeredDrops } from '../../core/oils/layered';
import { spineStripCm2 } from '../../core/oils/layers';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import styles from './Oils.module.css';
import { ShareBar } from './ShareBar';
import { useBench } from './bench-context';

/** What the drops of the blend would come to straight on the skin, against the limits, and what they are diluted. */
export function LayeredDialog({ onClose }: { readonly onClose: () => void }) {
  const bench = useBench();
  const { blend, client, takeParts, change } = bench;
  const { scope } = bench.view;
  const [area, setArea] = useState(String(spineStripCm2(bench.view.client?.surfaceM2 ?? undefined)));
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
    <Dialog title={oilsWords.dropsStraightOntoTheSkin} isOpen onClose={onClose} size="wide">
      {!scope.mayLayer && <p className={styles['soft']}>{oilsWords.whatItWouldComeToMay(scope.why)}</p>}
      <Field
        label={oilsWords.skinThatTheyAreSpreadOn}
        inputMode="decimal"
        value={area}
        onChange={(event) => setArea(event.target.value)}
        error={isBad ? oilsWords.moreThanAndAtMostCm : undefined}
        hint={oilsWords.aStripAlongTheSpineTwo}
      />
      {blend.parts.length === 0 && <p>{oilsWords.putDropsIntoTheBlendFirst}</p>}
      {neat && (
        <>
          <div
            className={styles['say']}
            data-tone={neat.verdict === 'ok' ? 'ok' : neat.verdict === 'caution' ? 'near' : 'over'}
          >
            <p>
              <strong>
                {percentText(neat.totalPercent)} {oilsWords.onTheSkin}
                {neat.verdict === 'over' ? oilsWords.notLikeThis : '.'}
              </strong>{' '}
              {dropsText(blend.parts.reduce((sum, { drops }) => sum + drops, 0))} {oilsWords.inAFilmOf}{' '}
              {neat.filmMl.toFixed(2)} {oilsWords.ml}
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
                      ? oilsWords.noLimitKnown
                      : oilsWords.times((part.shareOfLimit ?? 0).toFixed(1), percentText(part.limitPercent))}
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
            <strong>{oilsWords.dilutedInstead}</strong> {percentText(neat.dilutedEquivalent.totalPercent)}{' '}
            {oilsWords.in} {neat.dilutedEquivalent.bottleMl} {oilsWords.ml2}{' '}
            {neat.dilutedEquivalent.parts.map(({ oil, drops }) => `${oilOf(oilBook, oil).name} ${drops}`).join(', ')}
            {oilsWords.theSameOilsInTheSame}
          </p>
          <p className={styles['soft']}>{oilsWords.mostSafetyAuthoritiesAdviseAgainst}</p>
          <div className={styles['buttons']}>
            <Button onClick={onClose}>{oilsWords.leaveIt}</Button>
            <Button
              look="filled"
              onClick={dilute}
              disabled={neat.dilutedEquivalent.parts.every(({ drops }) => drops === 0)}
            >
              {oilsWords.takeItDiluted}
            </Button>
          </div>
        </>
      )}
    </Dialog>
  );
}
