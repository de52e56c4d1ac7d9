import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { TestProject } from 'vitest/node';
import { startServer } from '../../scripts/served.mjs';

/** One demo house for all tests of the endpoints; those that kill a server start their own. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-'));
  const server = await startServer({ data });
  project.provide('appUrl', server.url);
  return async () => {
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  };
}
