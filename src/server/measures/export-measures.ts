import type { ClientId } from '../../core/ids';
import Papa from 'papaparse';
import { formatNumber } from '../../core/units';
import { type LengthUnit, fromCm, roundTo, toCm } from '../../core/units';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import { listTapingsOfClient, toTaping } from './tapings.repository';
import { isoDay } from '../shared/house-clock';
import { measuresAnswers } from './measures.answers';

const other = { left: 'right', right: 'left' } as const;

/** All girths of a client as a table that can be brought in again: a row a girth. @returns undefined for nobody */
export async function exportMeasures(db: Db, clientId: ClientId, unit: LengthUnit): Promise<string | undefined> {
  const client = await findClient(db, clientId);
  if (!client) return undefined;
  const rows = (await listTapingsOfClient(db, clientId)).flatMap((row) => {
    const taping = toTaping(row, null);
    const shown = (value: number | null) =>
      value === null ? '' : exactly(roundTo(fromCm(toCm(value, taping.unit), unit), 6), unit === 'in' ? 2 : 1);
    const point = (x: number) => roundTo(fromCm(toCm(x, taping.unit), unit), 2);
    return (['affected', 'reference'] as const).flatMap((which) =>
      taping.positions.map((x, i) => [
        client.name,
        client.born_on ?? '',
        isoDay(taping.takenAt),
        taping.phase,
        taping.limb,
        which === 'affected' ? taping.side : other[taping.side],
        which === 'affected' ? 'yes' : 'no',
        point(x),
        shown(taping.first[which][i] ?? null),
        shown(taping.second?.[which][i] ?? null),
        shown(taping.third?.[which][i] ?? null),
        shown(taping[which][i] ?? null),
      ]),
    );
  });
  const fields = [
    'client',
    'born',
    'date',
    'phase',
    'limb',
    'side',
    'swollen',
    measuresAnswers.point(unit),
    measuresAnswers.firstReading(unit),
    measuresAnswers.secondReading(unit),
    measuresAnswers.thirdReading(unit),
    measuresAnswers.girth(unit),
  ];
  return Papa.unparse({ fields, data: rows }, { newline: '\r\n', escapeFormulae: true });
}

/** At least so many decimals, and more where the figure has them: it is to be read back as it was taken. */
const exactly = (value: number, decimals: number): string =>
  roundTo(value, decimals) === value ? formatNumber(value, decimals) : String(value);
