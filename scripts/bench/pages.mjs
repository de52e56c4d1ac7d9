/** What the server takes for pages and search in a large house, and how soon a view answers in the browser. */
import { gzipSync } from 'node:zlib';
import { chromiumFlags } from '../served.mjs';
import { ensureChromium } from '../setup.mjs';
import { report, timedLater } from './report.mjs';

const typed = ['mi', 'mira', 'nolte', 'osterlho', '0700 12', 'runa st', 'marqart', 'x', 'kstner'];

/** @param visit one that can be planned */
export async function benchServer({ ask }, visit) {
  const filled = JSON.parse(await ask('/api/clients?q=mira'))[0].id;
  for (const [name, to] of [
    ['day', '/'],
    ['client page', '/clients/3'],
    ['progress page, nine visits of the demo', '/clients/3/progress'],
    ['progress page, a client among 20,000', `/clients/${filled}/progress`],
    ['measure page', `/visits/${visit}/measure`],
    ['ask page', `/visits/${visit}/ask`],
    ['plan page', `/visits/${visit}/plan`],
  ])
    report(`server: ${name}`, await timedLater(() => ask(to), 60, 5), 'p95 under 40 ms');
  report(
    'search as you type',
    await timedLater((i) => ask(`/api/clients?q=${typed[i % typed.length]}`), 80, 5),
    'under 30 ms',
  );
}

/** Bytes of script a page has loaded, packed; charts load when they are looked at and do not count. */
async function scriptBytes(page, { own }) {
  const loaded = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .map(({ name }) => name)
      .filter((name) => name.endsWith('.js') && !name.includes('Chart')),
  );
  const sizes = await Promise.all(
    loaded.map(async (url) => gzipSync(Buffer.from(await (await fetch(url, { headers: own })).arrayBuffer())).length),
  );
  return sizes.reduce((sum, bytes) => sum + bytes, 0);
}

/** Opens each main view eight times, until all of it can be used. */
export async function benchViews(caller, visit) {
  const { default: puppeteer } = await import('puppeteer-core');
  const browser = await puppeteer.launch({ executablePath: ensureChromium(), args: chromiumFlags, headless: true });
  const stages = ['ask', 'measure', 'plan', 'table', 'close', 'home'].map((stage) => `/visits/${visit}/${stage}`);
  for (const to of ['/', '/clients', '/clients/3', '/clients/3/progress', '/measures?client=3', '/house', ...stages]) {
    const times = [];
    let bytes = 0;
    for (let i = 0; i < 8; i += 1) {
      const page = await browser.newPage();
      await page.setCookie({ name: 'velvet-stone', value: caller.token, url: caller.url });
      const start = performance.now();
      await page.goto(caller.url + to, { waitUntil: 'domcontentloaded' });
      await page.waitForFunction(() => document.querySelectorAll('astro-island[ssr]').length === 0, { polling: 10 });
      times.push(performance.now() - start);
      bytes = await scriptBytes(page, caller);
      await page.close();
    }
    const view = to.replace(/\d+/, ':id');
    report(`interactive: ${view} (${(bytes / 1024).toFixed(0)} KB script)`, times, 'under 1 s, 180 KB');
  }
  await browser.close();
}
