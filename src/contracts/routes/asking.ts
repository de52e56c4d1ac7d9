import type { z } from 'zod';
import type { routes } from './index';
import type { BytesBody, DeepReadonly, FileAnswer } from './route';

/** How islands ask: types only, so that no schema is loaded by a browser. */

type Domains = typeof routes;
type AnyRoute = { [D in keyof Domains]: Domains[D][keyof Domains[D]] }[keyof Domains];
type AddressOf<R extends AnyRoute> = R extends AnyRoute ? `${Uppercase<R['method']>} ${R['path']}` : never;
type Asked<A extends string> = Extract<AnyRoute, RouteOf<A>>;
type RouteOf<A extends string> = A extends `${infer M} ${infer P}`
  ? { readonly method: Lowercase<M>; readonly path: P }
  : never;

/** `POST /api/visits/{id}/taping` and all the others that take and answer JSON. */
export type Address = AddressOf<Exclude<AnyRoute, { readonly answer: FileAnswer } | { readonly body: BytesBody }>>;
/** Those that take a file. */
export type UploadAddress = AddressOf<Extract<AnyRoute, { readonly body: BytesBody }>>;

type Part<Name extends string, R, How> = R extends Readonly<Record<Name, object>> ? How : unknown;
type QueryOf<S> = { readonly [K in keyof S]?: S[K] extends z.ZodType ? Plain<z.input<S[K]>> : never };
/** What stands behind the question mark is text; numbers and yes or no are written as such. */
type Plain<T> = T | number | boolean | null | undefined;

/** What an address is asked with. */
export type Asking<A extends Address | UploadAddress> =
  Asked<A> extends infer R
    ? Part<
        'params',
        R,
        { readonly params: Readonly<Record<R extends { readonly params: infer S } ? keyof S : never, string | number>> }
      > &
        Part<'query', R, { readonly query?: R extends { readonly query: infer S } ? QueryOf<S> : never }> &
        Part<
          'body',
          R,
          R extends { readonly body: z.ZodType } ? { readonly body: DeepReadonly<z.input<R['body']>> } : unknown
        > & {
          readonly signal?: AbortSignal;
          /** The same draft that arrives twice is stored once. */
          readonly draftId?: string;
        }
    : never;

/** What it answers. */
export type Answer<A extends Address | UploadAddress> =
  Asked<A> extends { readonly answer: infer S extends z.ZodType } ? z.output<S> : never;

/** The body of an address, as a view may hold it. */
export type BodyOf<A extends Address> =
  Asked<A> extends { readonly body: infer S extends z.ZodType } ? DeepReadonly<z.input<S>> : never;
