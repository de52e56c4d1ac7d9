import type { z } from 'zod';

/** What one path of the server does. */
export interface Operation {
  readonly method: 'get' | 'post' | 'put' | 'delete';
  readonly path: string;
  readonly summary: string;
  readonly request?: z.ZodType;
  readonly response?: z.ZodType;
  /** Beside 401, 403 and 423 of the door, and 404 of a path with an id. */
  readonly refusals: readonly number[];
}

type More = Pick<Operation, 'request' | 'response'>;
/** An operation that takes no body that a contract describes. */
export const row = (
  method: Operation['method'],
  path: string,
  summary: string,
  refusals: readonly number[] = [],
  more: More = {},
): Operation => ({ method, path, summary, refusals, ...more });

/** A request that is checked against a contract. */
export const takes = (
  method: 'post' | 'put',
  path: string,
  request: z.ZodType,
  summary: string,
  refusals: readonly number[] = [],
  response?: z.ZodType,
): Operation => row(method, path, summary, [400, ...refusals], { request, ...(response ? { response } : {}) });
