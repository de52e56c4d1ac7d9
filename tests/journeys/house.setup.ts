import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, inject } from 'vitest';
import { startServer } from '../../scripts/served.mjs';
import { moveInto } from '../app-url';

/** A house of its own for each file of journeys: they run beside each other, and none finds what another did. */
const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-journey-'));
cpSync(inject('firstDay'), data, { recursive: true });
const server = await startServer({ data });
moveInto(server.url);

afterAll(async () => {
  await server.stop();
  rmSync(data, { recursive: true, force: true });
});
