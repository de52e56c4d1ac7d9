import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { TestProject } from 'vitest/node';
import { startServer } from '../../scripts/served.mjs';

/** A demo house that has been filled once; every journey gets a copy. */
export default async function setup(project: TestProject): Promise<() => void> {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-first-day-'));
  const server = await startServer({ data });
  await server.stop();
  project.provide('firstDay', data);
  return () => rmSync(data, { recursive: true, force: true });
}
