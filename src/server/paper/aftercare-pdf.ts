import { bottleWordsOf } from '../../catalogue/client-words/bottle';
import { dateInWords } from '../../core/language';
import { homeWordsOf } from '../../catalogue/homecare/homecare';
import type { AftercareId } from '../../core/visit/aftercare';
import type { MixView } from '../../contracts/oil-views';
import { makePdf, runs } from './pdf';

/** What to mind at home, large enough to read without glasses; nothing about the client's health stands on it. */
export function printAftercare({ blend, aftercare, useBy, language }: MixView, house: string): Promise<Buffer> {
  const words = bottleWordsOf(language);
  return makePdf({
    language,
    pageSize: 'A5',
    pageMargins: [40, 40, 40, 40],
    info: { title: words.forHome(blend.name) },
    content: [
      { text: runs(blend.name), fontSize: 20, bold: true, margin: [0, 0, 0, 12] },
      { ul: aftercare.map((line) => ({ text: runs(line), margin: [0, 0, 0, 8] })), fontSize: 14 },
      ...(useBy
        ? [
            {
              text: runs(words.leftGoodUntil(dateInWords(language, useBy))),
              fontSize: 12,
              margin: [0, 8, 0, 0] as [number, number, number, number],
            },
          ]
        : []),
      { text: runs(house), fontSize: 11, color: '#564c5c', margin: [0, 24, 0, 0] },
    ],
  });
}

/** What to mind after a visit, on a small sheet in large type. */
export function printVisitCare(
  language: string,
  chosen: readonly AftercareId[],
  house: { readonly name: string; readonly phone?: string | undefined },
): Promise<Buffer> {
  const words = homeWordsOf(language);
  return makePdf({
    language: words.language,
    pageSize: 'A5',
    pageMargins: [40, 40, 40, 40],
    info: { title: words.aftercareTitle },
    content: [
      { text: runs(words.aftercareTitle), fontSize: 22, bold: true, margin: [0, 0, 0, 10] },
      { ul: chosen.map((id) => ({ text: runs(words.aftercare[id]), margin: [0, 0, 0, 7] })), fontSize: 13.5 },
      {
        text: runs([house.name, house.phone].filter(Boolean).join(' · ')),
        fontSize: 12,
        color: '#564c5c',
        margin: [0, 18, 0, 0],
      },
      { text: runs(words.page.caution), fontSize: 11, color: '#564c5c', margin: [0, 4, 0, 0] },
    ],
  });
}
