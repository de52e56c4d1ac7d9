import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect } from 'vitest';
import { type Served, startServer } from '../../scripts/served.mjs';
import { launch, open, troubles } from './browser';

interface OwnHouse {
  /** For files of the test; gone with it. */
  readonly folder: string;
  readonly url: string;
  readonly browser: Browser;
  readonly page: Page;
}

/** A demo house, a browser and a page for one file of journeys; at its end nothing may have gone wrong in the page. */
export function ownHouse(name: string): OwnHouse {
  const folder = mkdtempSync(path.join(tmpdir(), `velvet-stone-${name}-`));
  let server: Served | undefined;
  let browser: Browser | undefined;
  let page: Page | undefined;
  beforeAll(async () => {
    server = await startServer({ data: path.join(folder, 'data') });
    browser = await launch();
    page = await open(browser, server.url);
  }, 60_000);
  afterAll(async () => {
    if (page) expect(troubles(page)).toEqual([]);
    await browser?.close();
    await server?.stop();
    rmSync(folder, { recursive: true, force: true });
  });
  const begun = <T>(one: T | undefined): T => {
    if (one === undefined) throw new Error('the house opens before the first test, not while tests are listed');
    return one;
  };
  return {
    folder,
    get url() {
      return begun(server).url;
    },
    get browser() {
      return begun(browser);
    },
    get page() {
      return begun(page);
    },
  };
}
