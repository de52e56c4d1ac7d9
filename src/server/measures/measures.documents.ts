import { z } from 'zod';
import { type ObservationKind, type ObservationValue, observationValues } from '../../contracts/measures';
import { ClientMeasuringShape } from '../../contracts/shapes/swelling';
import { PassShape, TapingContextShape } from '../../contracts/shapes/swelling';
import { usualClientMeasuring } from '../../core/swelling/settings';
import { plainContext } from '../../core/swelling/taping-context';
import { type JsonColumn, jsonColumn, overUsual } from '../db/json-column';

export const positionsColumn = jsonColumn('taping.positions_json', z.array(z.number()).readonly());
export const girthsColumn = jsonColumn('taping.affected_json', z.array(z.number().nullable()).readonly());

/** Second and third readings. */
export const againColumn = jsonColumn(
  'taping.again_json',
  z.object({ second: PassShape.nullable(), third: PassShape.nullable() }),
);

export const contextColumn = jsonColumn('taping.context_json', TapingContextShape, [overUsual(plainContext)]);

export const clientMeasuringColumn = jsonColumn('client.measuring_json', ClientMeasuringShape, [
  overUsual(usualClientMeasuring),
]);

const valueColumns = new Map<string, JsonColumn<unknown>>(
  Object.entries(observationValues).map(([kind, schema]) => [
    kind,
    jsonColumn<unknown>(`observation.value_json of ${kind}`, schema),
  ]),
);

/** The value of an observation; its kind decides the shape. */
export function valueColumn<K extends ObservationKind>(kind: K): JsonColumn<ObservationValue<K>> {
  const column = valueColumns.get(kind);
  if (!column) throw new RangeError(`no kind of observation is called ${kind}`);
  return column as JsonColumn<ObservationValue<K>>;
}
