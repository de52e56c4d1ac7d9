import { measureWords } from './measure.words';
import type { Celsius } from '../../core/quantities';
import { bruisingLevels, limbSkin, pittingLabels, rednessLevels, warmth } from '../../catalogue/swelling/scales.data';
import type { ObservationView } from '../../contracts/measure-views';
import { pittingGrade } from '../../core/swelling/pitting';
import { formatNumber, formatSigned } from '../../core/units';

/** What was felt or seen at a place, in a few words. */
export function observedWords(one: ObservationView): string {
  switch (one.kind) {
    case 'pitting': {
      const { depthMm, reboundSeconds } = one.value;
      const back = reboundSeconds === null ? '' : measureWords.backInS(formatNumber(reboundSeconds));
      return measureWords.pitsMm(
        formatNumber(depthMm, Number.isInteger(depthMm) ? 0 : 1),
        back,
        pittingLabels[pittingGrade(one.value)],
      );
    }
    case 'texture':
      return one.value.texture;
    case 'limb-skin': {
      const marks = one.value.marks.map((mark) => limbSkin.find(({ id }) => id === mark)?.label ?? mark);
      return [...marks, ...(one.value.hasSmell ? ['smells'] : [])].join(', ');
    }
    case 'temperature':
      return temperatureWords(one.value.hereC - one.value.mirrorC);
    case 'redness':
      return `redness ${rednessLevels[one.value.grade] ?? one.value.grade}${one.value.isSpreading ? ', spreading' : ''}`;
    case 'bruising':
      return measureWords.bruising2(bruisingLevels[one.value.grade] ?? one.value.grade);
    case 'spot':
      return `${one.value.what}${one.value.sizeMm === null ? '' : `, ${one.value.sizeMm} mm`}`;
    case 'tighter':
      return `tighter${one.value.what ? `: ${one.value.what}` : ''}`;
    case 'stage':
      return measureWords.stageAsObserved(one.value.stage);
    case 'skin-fold':
      return measureWords.skinFoldAtThe(one.value.site, one.value.sign);
    case 'reaction':
      return `reaction${one.value.product ? ` to ${one.value.product}` : ''}`;
    default:
      return '';
  }
}

/** Warmer, cooler or alike, in the words of the practice; the sign of warmth is a rule, not a feeling. */
export function temperatureWords(differenceC: Celsius): string {
  const size = Math.abs(differenceC);
  if (size < warmth.noteC) return measureWords.asWarmAsTheOtherSide(formatSigned(differenceC, 1));
  const much = size >= warmth.raisedC ? 'clearly ' : '';
  return `${much}${differenceC > 0 ? 'warmer' : 'cooler'} than the other side (${formatSigned(differenceC, 1)} °C)`;
}

/** How strongly a place is tinted on the body for what was found there: 0–1. */
export function strengthOf(one: ObservationView): number {
  switch (one.kind) {
    case 'pitting':
      return 0.2 + 0.2 * pittingGrade(one.value);
    case 'texture':
      return { soft: 0.2, doughy: 0.45, firm: 0.7, hard: 0.95 }[one.value.texture];
    case 'redness':
      return 0.2 + 0.2 * one.value.grade;
    case 'bruising':
      return 0.25 + 0.25 * one.value.grade;
    case 'limb-skin':
      return one.value.marks.includes('normal') ? 0.2 : 0.7;
    default:
      return 0.5;
  }
}
