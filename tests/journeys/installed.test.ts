import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Browser, HTTPRequest, Page } from 'puppeteer-core';
import { appUrl } from '../app-url';
import { control, follow, go, launch, open, textOf, troubles, words } from './browser';

const url = appUrl();

describe('on a device of the treatment room', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await launch();
    page = await open(browser, `${url}/`, { width: 820, height: 1180 });
  }, 60_000);
  afterAll(async () => {
    expect(troubles(page)).toEqual([]);
    await browser.close();
  });
  const light = () => page.evaluate(() => document.documentElement.dataset['theme']);

  it('can be installed, with a name, a start and icons for every place', async () => {
    const session = await page.createCDPSession();
    const { errors, data } = await session.send('Page.getAppManifest');
    expect(errors).toEqual([]);
    const manifest = JSON.parse(data ?? '{}');
    expect(manifest).toMatchObject({ name: 'Velvet Stone', start_url: '/', display: 'standalone' });
    for (const { src, type } of manifest.icons) {
      const icon = await fetch(`${url}${src}`);
      expect([src, icon.status, icon.headers.get('content-type')]).toEqual([src, 200, type]);
    }
    const sizes = manifest.icons.map(({ sizes }: { sizes: string }) => sizes);
    expect(sizes).toContain('512x512');
    await session.detach();
  });

  it('says when the house was brought up to date while the page was open, and loads it again where one stands', async () => {
    await go(page, `${url}/clients`);
    const look = () => page.evaluate(() => void document.dispatchEvent(new Event('visibilitychange')));
    await look();
    expect(await textOf(page)).not.toContain('brought up to date');
    const health = await (await fetch(`${url}/api/health`)).json();
    await page.setRequestInterception(true);
    const answer = (request: HTTPRequest) =>
      void (request.url().endsWith('/api/health')
        ? request.respond({ contentType: 'application/json', body: JSON.stringify({ ...health, build: 'newer' }) })
        : request.continue());
    page.on('request', answer);
    await look();
    await words(page, 'brought up to date: load again');
    page.off('request', answer);
    await page.setRequestInterception(false);
    await follow(page, 'link', 'brought up to date: load again');
    expect(page.url()).toBe(`${url}/clients`);
    expect(await textOf(page)).not.toContain('brought up to date');
  });

  it('follows the device’s light, also while it is open', async () => {
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }]);
    await go(page, `${url}/`);
    expect(await light()).toBe('lamp');
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'light' }]);
    await expect.poll(light).toBe('daylight');
  });

  it('keeps the light that was chosen on it, whatever the device says', async () => {
    await control(page, 'button', 'IH: Ines Hollen is signed in. Open the menu').click();
    await page.locator('::-p-aria([role="menuitem"][name="Lamp light"])').click();
    await expect.poll(light).toBe('lamp');
    await go(page, `${url}/clients`);
    await words(page, 'Clients');
    expect(await light()).toBe('lamp');
    await page.evaluate(() => localStorage.removeItem('theme'));
  });

  it('gets text packed, and pictures as they are', async () => {
    const packed = async (path: string) =>
      (await fetch(`${url}${path}`, { headers: { 'accept-encoding': 'br, gzip' } })).headers.get('content-encoding');
    expect(await packed('/sign-in')).toBe('br');
    expect(await packed('/api/openapi.json')).toBe('br');
    expect(await packed('/icons/stone-512.png')).toBeNull();
  });

  it('loads few bytes for the day', async () => {
    const sizes = await page.evaluate(() =>
      performance
        .getEntriesByType('resource')
        .filter((one): one is PerformanceResourceTiming => one instanceof PerformanceResourceTiming)
        .map(({ encodedBodySize, decodedBodySize, name }) => ({ encodedBodySize, decodedBodySize, name }))
        .filter(({ name }) => name.endsWith('.js')),
    );
    const sum = (of: 'encodedBodySize' | 'decodedBodySize') => sizes.reduce((all, one) => all + one[of], 0);
    expect(sum('encodedBodySize')).toBeGreaterThan(0);
    expect(sum('encodedBodySize')).toBeLessThan(sum('decodedBodySize') / 2);
  });
});
