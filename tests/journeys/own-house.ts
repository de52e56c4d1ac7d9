import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect } from 'vitest';
import { appUrl } from '../app-url';
import { launch, open, troubles } from './browser';

interface OwnHouse {
  /** For files of the test; gone with it. */
  readonly folder: string;
  readonly url: string;
  readonly browser: Browser;
  readonly page: Page;
}

/** The house of a file of journeys with a browser and a page; at its end nothing may have gone wrong in the page. */
export function ownHouse(name: string): OwnHouse {
  const folder = mkdtempSync(path.join(tmpdir(), `velvet-stone-${name}-`));
  let browser: Browser | undefined;
  let page: Page | undefined;
  beforeAll(async () => {
    browser = await launch();
    page = await open(browser, appUrl());
  }, 60_000);
  afterAll(async () => {
    if (page) expect(troubles(page)).toEqual([]);
    await browser?.close();
    rmSync(folder, { recursive: true, force: true });
  });
  const begun = <T>(one: T | undefined): T => {
    if (one === undefined) throw new Error('the house opens before the first test, not while tests are listed');
    return one;
  };
  return {
    folder,
    get url() {
      return appUrl();
    },
    get browser() {
      return begun(browser);
    },
    get page() {
      return begun(page);
    },
  };
}
