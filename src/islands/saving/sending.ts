import type { Address, Asking } from '../../contracts/routes/asking';
import { type Loose, send } from '../api';
import { deliver } from './deliver';
import type { Draft } from './draft-store';
import type { Verdict } from './save-queue';

/** A request as it can be kept on a device and sent by whatever view comes next. */
export interface Sending<Shown = unknown> {
  readonly address: Address;
  readonly params: Readonly<Record<string, string | number>>;
  readonly body?: unknown;
  /** It is written over a version: the queue says over which. */
  readonly isVersioned?: boolean;
  /** What the view shows of it, for the page that finds it. */
  readonly shown?: Shown;
}

type Body<A extends Address> = Asking<A> extends { readonly body: infer B } ? B : undefined;

/** A request with what its route takes. */
export function sending<A extends Address>(
  address: A,
  params: Readonly<Record<string, string | number>>,
  ...[body]: Body<A> extends undefined ? [] : [body: Body<A>]
): Sending {
  return { address, params, ...(body !== undefined && { body }) };
}

/** The same for what is written over a version. */
export function versioned<A extends Address, Shown = unknown>(
  address: A,
  params: Readonly<Record<string, string | number>>,
  body: Omit<Body<A> & object, 'basedOn'>,
  shown?: Shown,
): Sending<Shown> {
  return { address, params, body, isVersioned: true, ...(shown !== undefined && { shown }) };
}

/** Sends one draft; its number lets the house know it again. */
export function sendDraft<Answer>({ id, body: of, basedOn }: Draft<Sending>): Promise<Verdict<Answer>> {
  const body = of.isVersioned ? { ...(of.body as object), basedOn } : of.body;
  const asking: Loose = { params: of.params, ...(body !== undefined && { body }), draftId: id };
  // What the address takes was checked where the request was made.
  return deliver(() => (send as (address: Address, asking: Loose) => Promise<Answer>)(of.address, asking));
}
