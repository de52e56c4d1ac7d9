import { AsyncLocalStorage } from 'node:async_hooks';
import type { AuditAction } from '../../contracts/audit';
import type { Route } from '../../contracts/routes/route';

/** In tests and in development answers are checked against the routes that they belong to. */
export const isChecking = process.env['VELVET_STONE_CHECK'] === '1' || import.meta.env.DEV;

const asking = new AsyncLocalStorage<Route>();

/** Runs a handler so that whatever it calls knows for which route. */
export const whileAsking = <T>(route: Route, run: () => T): T => asking.run(route, run);

/**
 * Holds an entry of the house's book against what the route says it may write.
 * @throws Error in tests and development when the route does not name it
 */
export function expectAudit(action: AuditAction): void {
  const route = isChecking ? asking.getStore() : undefined;
  if (route && !(route.audit ?? []).includes(action))
    throw new Error(`${route.method} ${route.path} writes “${action}”, which its definition does not name`);
}
