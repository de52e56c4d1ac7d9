import { z } from 'zod';
import type { ClientId, TherapistId, VisitId } from '../../core/ids';
import type { AuditAction } from '../audit';

/** Who may use an address: everybody, whoever sets the house up, whoever is signed in, or the least role. */
export type Access = 'everybody' | 'first-run' | 'signed-in' | 'assistant' | 'therapist' | 'owner';

export type Method = 'get' | 'post' | 'put' | 'delete';

/** Who may come to an address, and when: the same for pages and endpoints. */
export interface Door {
  readonly path: `/${string}`;
  /** The least role; an owner may do all that a therapist may, a therapist all that an assistant may. */
  readonly who: Access;
  /** Open while the tablet is with a client, for the visit that it was handed over for. */
  readonly whileHanded?: true;
  /** Open while the session is locked. */
  readonly whileLocked?: true;
  /** Open while somebody still has to set up the second factor that the house asks for. */
  readonly whileOwing?: true;
  /** Cannot be taken back, or takes much out of the house: the PIN is asked for again. */
  readonly asksPin?: true;
  /** Tries a minute from one address, where guessing would pay. */
  readonly mostPerMinute?: number;
  /** What browsers may keep of the answer; nothing when left out. */
  readonly cache?: 'an-hour';
}

/** A body of bytes instead of JSON: a picture, a table. */
export interface BytesBody {
  readonly bytes: { readonly most: number; readonly what: string };
}

/** An answer that is a file instead of JSON. */
export interface FileAnswer {
  readonly file: string;
}

/** Names between braces: `/api/clients/{id}/files/{key}` → `id | key`. */
type Names<Path extends string> = Path extends `${string}{${infer Name}}${infer Rest}` ? Name | Names<Rest> : never;

export interface Definition<Path extends string = string> extends Omit<Door, 'path'> {
  readonly summary: string;
  /** What the address is about, as in “There is no such visit”. */
  readonly what: string;
  readonly params?: Readonly<Record<Names<Path>, z.ZodType>>;
  readonly query?: z.ZodRawShape;
  readonly body?: z.ZodType | BytesBody;
  readonly answer: z.ZodType | FileAnswer;
  /** 200 when left out. */
  readonly status?: 201;
  /** Statuses beside those that follow from the door, the address and the body. */
  readonly refusals?: readonly number[];
  /** What it may write into the house's book of who did what. */
  readonly audit?: readonly AuditAction[];
}

export type Route = Definition & Door & { readonly method: Method };

/** A path with names needs a schema for each of them. */
type Whole<Path extends string, D extends Definition<Path>> = [Names<Path>] extends [never]
  ? D
  : D & { readonly params: Readonly<Record<Names<Path>, z.ZodType>> };

const define =
  <const M extends Method>(method: M) =>
  <const Path extends `/${string}`, const D extends Definition<Path>>(path: Path, definition: Whole<Path, D>) => ({
    method,
    path,
    ...definition,
  });

/** One definition of one endpoint; the handler, who may use it, the OpenAPI document and the client follow from it. */
export const get = define('get');
export const post = define('post');
export const put = define('put');
export const del = define('delete');

/** A row of a table by its number, in an address. */
export const Id = z.coerce.number().int().positive();
/** The same where the row is a visit's, a client's or a person's of the house: one is not taken for another. */
export const VisitNumber = Id as z.ZodType<VisitId>;
export const ClientNumber = Id as z.ZodType<ClientId>;
export const TherapistNumber = Id as z.ZodType<TherapistId>;
/** An id in words, or a secret, in an address. */
export const Key = z.string().min(1).max(200);
/** Yes only where it says so: `?following=1`. A name with nothing behind it is a no. */
export const Flag = z
  .enum(['', '0', '1', 'false', 'true'])
  .optional()
  .transform((said) => said === '1' || said === 'true');
/** Yes as soon as the name stands there: `?keep`. Only for what does no harm when it was not meant. */
export const Mention = z
  .enum(['', '1', 'true'])
  .optional()
  .transform((said) => said !== undefined);
/** `?visit=7`; empty as good as left out. */
export const MaybeId = z.union([z.literal('').transform(() => undefined), Id]).optional();

export const saved = <const Shape extends z.ZodRawShape>(shape: Shape) =>
  z.object({ kind: z.literal('saved'), ...shape });
export const savedOnly = saved({});
export const file = <const Media extends string>(media: Media) => ({ file: media }) as const;
export const pdf = file('application/pdf');

export const isBytes = (body: Definition['body']): body is BytesBody => body !== undefined && 'bytes' in body;
export const isFile = (answer: Definition['answer']): answer is FileAnswer => 'file' in answer;

/** What is sent may be read-only all the way down. */
export type DeepReadonly<T> = T extends (infer Item)[] | readonly (infer Item)[]
  ? readonly DeepReadonly<Item>[]
  : T extends object
    ? { readonly [K in keyof T]: DeepReadonly<T[K]> }
    : T;
