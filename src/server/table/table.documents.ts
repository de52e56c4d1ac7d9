import { TableChangeShape } from '../../contracts/shapes/table';
import { jsonColumn } from '../db/json-column';

/** How the rest of a treatment was fitted into the time that was left. */
export const changeColumn = jsonColumn('table_event.change_json', TableChangeShape);
