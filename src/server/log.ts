import { pino } from 'pino';

export const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' });

/** Waits for something that nothing else depends on; should it fail, it is logged and life goes on. */
export async function quietly(what: string, doing: Promise<unknown>): Promise<void> {
  await doing.catch((error: unknown) => log.error({ err: error }, what));
}
