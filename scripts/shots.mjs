/**
 * Retakes the pictures in docs/screenshots from a fresh demo house. `npm run shots -- widths` takes every view on phone,
 * tablet and desk into a folder to be looked at and thrown away.
 */
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromiumFlags, signInDemo, startServer } from './served.mjs';
import { ensureBuilt, ensureChromium, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
const executablePath = ensureChromium();
ensureBuilt();
const { default: puppeteer } = await import('puppeteer-core');

const folder = path.join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-shots-'));
const server = await startServer({ data });
const browser = await puppeteer.launch({ executablePath, args: chromiumFlags, headless: true });
const page = await browser.newPage();
await page.setViewport({ width: 1280, height: 800 });
const token = await signInDemo(server.url);
await page.setCookie({ name: 'velvet-stone', value: token, url: server.url });

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const go = async (to) => {
  await page.goto(server.url + to, { waitUntil: 'networkidle0' });
  await page.waitForFunction(() => document.querySelectorAll('astro-island[ssr]').length === 0);
  await wait(700);
};
const shoot = async (name) => {
  await page.screenshot({ path: path.join(folder, `${name}.png`) });
  console.log(`${name}.png`);
};
const press = async (keys, pauseMs = 40) => {
  for (const key of keys) {
    await page.keyboard.press(key);
    await wait(pauseMs);
  }
};
const visitOf = async (name) => {
  const day = await (await fetch(`${server.url}/`, { headers: { cookie: `velvet-stone=${token}` } })).text();
  const match = new RegExp(`href="/visits/(\\d+)/\\w+"[^>]*>${name}`).exec(day);
  if (!match) throw new Error(`no visit of ${name} today`);
  return match[1];
};
const answerNo = async (id) => {
  await go(`/visits/${id}/ask`);
  await press(
    Array.from({ length: 9 }, () => 'n'),
    120,
  );
  await wait(600);
};
const focusStep = (id) => page.evaluate((step) => document.querySelector(`[data-row="${step}"]`)?.focus(), id);

const right = [
  21.7, 23.5, 26.8, 30.3, 33.3, 35.6, 36.2, 37.2, 38.8, 39.7, 41.1, 43.5, 45.9, 48.4, 51.0, 52.9, 55.1, 56.5,
];
const left = [
  22.0, 24.2, 27.7, 31.5, 34.8, 37.1, 37.7, 38.5, 40.2, 40.9, 42.3, 44.6, 46.9, 49.3, 51.9, 53.7, 55.8, 57.1,
];

/** Every view at three widths, of visits that are ready for it. */
async function takeWidths() {
  const folderOfWidths = mkdtempSync(path.join(tmpdir(), 'velvet-stone-widths-'));
  const [marit, sunniva] = [await visitOf('Marit Olsvang'), await visitOf('Sunniva Harrow')];
  await answerNo(marit);
  await answerNo(sunniva);
  await go(`/visits/${marit}/plan`);
  await go(`/visits/${sunniva}/plan`);
  const views = [
    ...[
      '/',
      '/clients',
      '/clients/3',
      '/clients/3/progress',
      '/outbox',
      '/guide',
      '/house',
      '/library',
      '/protocols',
      '/measures',
    ],
    ...['ask', 'measure', 'plan', 'prepare', 'table', 'close', 'home', 'print'].map(
      (name) => `/visits/${marit}/${name}`,
    ),
    ...['lines', 'face', 'skin', 'belly'].map((sheet) => `/visits/${sunniva}/measure?sheet=${sheet}`),
    ...[`/visits/${sunniva}/plan`, '/bench/oils', '/bench/bottles', '/bench/stones'],
  ];
  for (const [width, height] of [
    [390, 844],
    [820, 1180],
    [1280, 800],
  ]) {
    await page.setViewport({ width, height, isMobile: width < 1000, hasTouch: width < 1000 });
    for (const view of views) {
      await go(view);
      await page.screenshot({ path: path.join(folderOfWidths, `${width}${view.replaceAll(/[/?=]/g, '-')}.png`) });
    }
  }
  console.log(folderOfWidths);
}

try {
  if (process.argv[2] === 'widths') {
    await takeWidths();
    process.exitCode = 0;
  } else await takeAll();
} finally {
  await browser.close();
  await server.stop();
  rmSync(data, { recursive: true, force: true });
}

async function takeAll() {
  const marit = await visitOf('Marit Olsvang');
  await go('/');
  await shoot('day');
  const penn = await visitOf('Isaura Penn');
  await page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
  await go('/');
  await shoot('day-phone');
  await page.setViewport({ width: 1280, height: 800 });
  await go('/clients/3');
  await shoot('client');
  await go(`/visits/${marit}/ask`);
  await press(['n', 'y'], 150);
  await wait(300);
  await shoot('ask');
  await answerNo(marit);
  await go(`/visits/${marit}/measure`);
  for (const girth of [...right, ...left.slice(0, 13)]) {
    await page.keyboard.type(String(girth));
    await page.keyboard.press('Enter');
  }
  await wait(900);
  await shoot('measure');
  for (const girth of left.slice(13)) {
    await page.keyboard.type(String(girth));
    await page.keyboard.press('Enter');
  }
  await wait(600);
  await go('/clients/3/progress');
  await wait(700);
  await shoot('progress');
  await go('/library?protocol=face-drainage');
  await page.evaluate(() => document.querySelectorAll('[aria-label="What it is"] ol ol button')[3]?.focus());
  await wait(800);
  await shoot('library');
  const sunniva = await visitOf('Sunniva Harrow');
  await answerNo(sunniva);
  await go(`/visits/${sunniva}/plan`);
  await page.click('[data-row="c1/eye-corner-left"]');
  await wait(900);
  await shoot('treatment');
  const evander = await visitOf('Evander Pell');
  await answerNo(evander);
  await go(`/visits/${evander}/plan`);
  await go(`/bench/stones?visit=${evander}`);
  await wait(1500);
  await shoot('stones');
  const runa = await visitOf('Runa Tolvey');
  await answerNo(runa);
  await go(`/bench/oils?visit=${runa}`);
  await page.evaluate(() =>
    [...document.querySelectorAll('[aria-label="What it is for"] button')]
      .filter((button) => ['sleep', 'tight muscles'].includes(button.textContent ?? ''))
      .forEach((button) => button.click()),
  );
  await press(['b'], 1500);
  await page.evaluate(() => document.querySelector('[data-oil] button')?.focus());
  await press(['ArrowUp', 'ArrowUp'], 300);
  await page.evaluate(() => document.activeElement?.blur());
  await shoot('oils');
  await go(`/visits/${evander}/prepare`);
  await page.click('main li input');
  await wait(500);
  await shoot('prepare');
  await go(`/visits/${marit}/plan`);
  await page.click('[data-row="s5"]');
  await wait(300);
  await focusStep('s20');
  await page.keyboard.down('Alt');
  await press(
    Array.from({ length: 11 }, () => 'ArrowUp'),
    60,
  );
  await page.keyboard.up('Alt');
  await page.evaluate(() => document.activeElement?.blur());
  await page.evaluate(() => document.querySelector('[data-row="s5"]')?.scrollIntoView({ block: 'start' }));
  await wait(500);
  await shoot('plan');
  await press(['m'], 600);
  await press(['f'], 2500);
  await press(['o'], 400);
  await press(['Space'], 22_000);
  await press(['Space'], 400);
  await shoot('flow');
  await press(['f'], 400);
  await go(`/visits/${marit}/table`);
  await press(
    Array.from({ length: 12 }, () => 'PageDown'),
    170,
  );
  await page.setViewport({ width: 820, height: 1180 });
  await wait(8600);
  await shoot('table');
  await page.setViewport({ width: 1280, height: 800 });
  await press(
    Array.from({ length: 40 }, () => 'PageDown'),
    170,
  );
  await wait(600);
  await go(`/visits/${marit}/measure-after`);
  for (const girth of [...right, ...left.map((value, i) => (i > 1 && i < 12 ? value - 0.4 : value).toFixed(1))]) {
    await page.keyboard.type(String(girth));
    await page.keyboard.press('Enter');
  }
  await wait(700);
  await go(`/visits/${marit}/close`);
  await page.evaluate(() => {
    const pick = (group, text) => {
      const groups = [...document.querySelectorAll('[role="radiogroup"]')];
      const named = groups.find(
        (one) => document.getElementById(one.getAttribute('aria-labelledby'))?.textContent === group,
      );
      [...named.querySelectorAll('label')].find((label) => label.textContent === text)?.click();
    };
    pick('Pressure', 'just right');
    pick('Comfort, 0 to 10', '9');
    pick('Relaxed before, 0 to 10', '4');
    pick('Relaxed now, 0 to 10', '8');
    pick('Warmth', 'just right');
  });
  await wait(600);
  await shoot('close');
  await go(`/visits/${marit}/home`);
  await wait(900);
  await shoot('home');
  await go('/practice?kind=order&level=2&seed=41');
  for (let i = 0; i < 5; i += 1) {
    await page.$eval('[aria-label="Still to place"] button', (chip) => chip.click());
    await wait(120);
  }
  await wait(400);
  await shoot('practice');
  const liv = await visitOf('Liv Sandoval');
  await answerNo(liv);
  await page.evaluate(() => localStorage.setItem('theme', 'lamp'));
  await go(`/visits/${liv}/plan`);
  await page.click('[data-row="s14"]');
  await wait(700);
  await shoot('plan-face-lamp');
  await page.evaluate(() => localStorage.setItem('theme', 'daylight'));
  await page.setViewport({ width: 820, height: 1180 });
  await go(`/visits/${penn}/ask`);
  await press(['h'], 1500);
  await shoot('tablet');
}
