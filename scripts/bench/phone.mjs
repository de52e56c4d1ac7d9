/**
 * How the main views come to a phone: a processor four times slower, a slow mobile network, a narrow screen. For each
 * view the bytes of the page and of its scripts as they travel, when the largest part is painted, for how long the
 * phone is deaf to a finger, and how far anything jumps.
 */
import { brotliCompressSync } from 'node:zlib';
import { chromiumFlags } from '../served.mjs';
import { ensureChromium } from '../setup.mjs';

const phone = { width: 390, height: 844, isMobile: true, hasTouch: true, deviceScaleFactor: 2 };
const slowdown = 4;
/** A slow mobile network: 1.6 Mbit/s down, 150 ms there and back. */
const network = { offline: false, latency: 150, downloadThroughput: 200_000, uploadThroughput: 93_000 };
const restMs = 1500;

export const reach = { htmlKb: 120, scriptKb: 140, shift: 0.02 };

/** Runs in the page before anything else of it. */
function watch() {
  const seen = { shift: 0, paintMs: 0, deafMs: 0 };
  globalThis.seen = seen;
  const on = (type, act) =>
    new PerformanceObserver((list) => list.getEntries().forEach(act)).observe({ type, buffered: true });
  on('layout-shift', (entry) => {
    if (!entry.hadRecentInput) seen.shift += entry.value;
  });
  on('largest-contentful-paint', (entry) => {
    seen.paintMs = entry.startTime;
  });
  on('longtask', (entry) => {
    seen.deafMs += Math.max(0, entry.duration - 50);
  });
}

const packedKb = (bytes) => brotliCompressSync(bytes).length / 1024;

async function measure(browser, caller, to) {
  const page = await browser.newPage();
  const scripts = new Map();
  let html = 0;
  page.on('response', async (response) => {
    const { pathname } = new URL(response.url());
    if (response.request().resourceType() === 'document')
      html = (await response.buffer().catch(() => Buffer.of())).length / 1024;
    // Charts and the editor of notes come when they are wanted, and do not count.
    if (pathname.endsWith('.js') && !/Chart|chart|Editor|editor|offline|theme|fresh/.test(pathname))
      scripts.set(pathname, packedKb(await response.buffer().catch(() => Buffer.of())));
  });
  await page.setViewport(phone);
  await page.setCookie({ name: 'velvet-stone', value: caller.token, url: caller.url });
  const devtools = await page.createCDPSession();
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
  await devtools.send('Network.emulateNetworkConditions', network);
  await page.evaluateOnNewDocument(watch);
  await page.goto(caller.url + to, { waitUntil: 'networkidle0', timeout: 120_000 });
  await new Promise((resolve) => setTimeout(resolve, restMs));
  const { shift, paintMs, deafMs } = await page.evaluate(() => globalThis.seen);
  const scriptKb = [...scripts.values()].reduce((sum, kb) => sum + kb, 0);
  await page.close();
  return { html, scriptKb, shift, paintMs, deafMs };
}

/** @returns how many views miss a limit */
export async function benchPhone(caller, visit) {
  const { default: puppeteer } = await import('puppeteer-core');
  const browser = await puppeteer.launch({ executablePath: ensureChromium(), args: chromiumFlags, headless: true });
  const stages = ['ask', 'measure', 'plan', 'table', 'close', 'home'].map((stage) => `/visits/${visit}/${stage}`);
  const views = [
    '/',
    '/clients',
    '/clients/3',
    '/clients/3/progress',
    '/library',
    '/house',
    '/bench/oils',
    '/bench/stones',
    ...stages,
  ];
  let missed = 0;
  console.log(`${'view on a phone'.padEnd(26)} page KB   script KB   painted ms   deaf ms   shift`);
  for (const to of views) {
    const { html, scriptKb, shift, paintMs, deafMs } = await measure(browser, caller, to);
    const isMissed = html > reach.htmlKb || scriptKb > reach.scriptKb || shift > reach.shift;
    missed += isMissed ? 1 : 0;
    console.log(
      [
        to.replace(/\d+/, ':id').padEnd(26),
        html.toFixed(0).padStart(7),
        scriptKb.toFixed(0).padStart(11),
        paintMs.toFixed(0).padStart(12),
        deafMs.toFixed(0).padStart(9),
        shift.toFixed(3).padStart(7),
        isMissed ? '  misses' : '',
      ].join(' '),
    );
  }
  await browser.close();
  console.log(
    `reach: page ${reach.htmlKb} KB, script ${reach.scriptKb} KB packed, shift ${reach.shift}; ${missed} of ${views.length} miss one`,
  );
  return missed;
}
