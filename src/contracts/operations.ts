import { computing } from './operations/compute';
import { desk } from './operations/desk';
import { door } from './operations/door';
import { house } from './operations/house';
import { record } from './operations/record';
import { visits } from './operations/visits';
import type { Operation } from './operations/operation';

/** Everything that the server answers to; `/api/openapi.json` is made of it. */
export const operations: readonly Operation[] = [...computing, ...door, ...desk, ...visits, ...record, ...house];
