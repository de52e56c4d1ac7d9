import type { BottleWords } from '../../core/oils/bottle-words';
import { oilBook } from '../oils/oils';

export const germanBottle: BottleWords = {
  oilName: (id) => (oilBook.oils.get(id) ?? oilBook.carriers.get(id))?.otherNames.de ?? id,
  goes: {
    body: 'Nur für die Haut.',
    face: 'Für das Gesicht, nicht für die Augen.',
    local: 'Nur für eine kleine Stelle.',
    bath: 'Für das Bad, vorher verteilt.',
  },
  mind: 'Von Augen, Mund und Kindern fernhalten. Bei Rötung absetzen.',
  noSun: (hours) => `${hours} Stunden keine Sonne darauf.`,
  percent: (percent) =>
    `${new Intl.NumberFormat('de-DE', { maximumFractionDigits: percent < 0.1 ? 3 : 2 }).format(percent)} %`,
  made: (percent, ml, mixedOn, useBy) => `${percent} in ${ml} ml · gemischt ${mixedOn} · haltbar bis ${useBy}`,
  forHome: (blend) => `${blend}, für zu Hause`,
  leftGoodUntil: (day) => `Der Rest in der Flasche ist haltbar bis ${day}.`,
  patDry: 'Trocken tupfen; es muss nichts auf der Haut bleiben.',
  blot: 'Das Gesicht nach einigen Minuten abtupfen; es nimmt sich, was es braucht.',
  wipeForSun: 'Mit einem warmen Tuch abnehmen: In der Sonne würde die Haut verbrennen.',
  wipeForTheWay: 'Reste abnehmen, der Kleidung und dem Heimweg zuliebe.',
  leaveOn: 'Das Öl 8 bis 12 Stunden auf der Haut lassen, dann duschen wie gewohnt.',
  outOfSun: (hours) => `Eingeölte Haut ${hours} Stunden nicht in die Sonne und nicht ins Solarium.`,
  littleCitrus: 'Etwas Zitrusöl ist darin, in einer Menge, die Haut in der Sonne verträgt.',
  keepFromEyes:
    'Von den Augen fernhalten; gerät etwas hinein, zuerst mit reinem Öl auswischen, dann mit Wasser spülen.',
  keepFromChildren: 'Die Flasche von Kindern und Tieren fernhalten.',
  itchSensitive:
    'Bei Rötung oder Juckreiz innerhalb eines Tages: abwaschen und uns anrufen. Ihre Haut reagiert schnell.',
  itch: 'Wenn die Haut juckt oder länger als einen Tag rot bleibt: abwaschen und uns anrufen.',
};
