import type { VisitId } from '../../core/ids';
import { oilBook } from '../../catalogue/oils/oils';
import type { VisitBlendView, VisitBlends } from '../../contracts/oil-views';
import { carrierOf, oilOf } from '../../core/oils/book';
import type { Db } from '../db/connection';
import { findMix, listVisitBlends, pourFrom } from './blends.repository';
import { oilsAnswers } from './oils.answers';

/** What a visit carries for body and face, with how far the mixing is. */
export async function readVisitBlends(db: Db, visitId: VisitId): Promise<VisitBlends> {
  const blends: { body?: VisitBlendView; face?: VisitBlendView } = {};
  for (const { area, blend, mixId, pouredFrom } of await listVisitBlends(db, visitId)) {
    const mix = mixId === null ? undefined : await findMix(db, mixId);
    blends[area] = {
      blend,
      words: blendInWords(blend),
      mix: mix && mix.state !== 'given-up' ? { id: mix.id, isMixed: mix.state === 'mixed' } : null,
      pouredFrom,
    };
  }
  return blends;
}

/** “Lavender 3, vetiver 1, in 10.5 mL of rice bran”. */
function blendInWords({ parts, carrier, volumeMl }: VisitBlendView['blend']): string {
  const oils = parts.map(({ oil, drops }) => `${oilOf(oilBook, oil).name.toLowerCase()} ${drops}`);
  const base = carrierOf(oilBook, carrier).name.toLowerCase();
  return oils.length === 0 ? oilsAnswers.plainMl(base, volumeMl) : oilsAnswers.inMlOf(oils.join(', '), volumeMl, base);
}

/** Takes what a visit poured out of the house's bottles. @param oilMl what was really used, where it is not as planned */
export async function pourForVisit(
  db: Db,
  visitId: VisitId,
  oilMl: { readonly body?: number | undefined; readonly face?: number | undefined } = {},
): Promise<void> {
  for (const { area, pouredFrom, blend } of await listVisitBlends(db, visitId))
    if (pouredFrom !== null) await pourFrom(db, pouredFrom, oilMl[area] ?? blend.volumeMl);
}
