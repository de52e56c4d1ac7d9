import type { Page } from 'puppeteer-core';

/** Widths in CSS pixels: 320 is a small phone, and what 1280 is at 400 %. */
const sizes = [
  ['320 px, and 400 %', { width: 320, height: 640 }],
  ['a phone upright', { width: 390, height: 844 }],
  ['a phone lying', { width: 844, height: 390 }],
  ['a tablet upright', { width: 820, height: 1180 }],
  ['a desk', { width: 1280, height: 800 }],
] as const;

/** What reaches beyond the window and cannot be scrolled to within a part of its own. */
const overflowOf = (page: Page) =>
  page.evaluate(() => {
    const width = document.documentElement.clientWidth;
    const isHeld = (one: Element) => {
      for (let up = one.parentElement; up && up !== document.body; up = up.parentElement)
        if (/auto|scroll|hidden|clip/.test(getComputedStyle(up).overflowX)) return true;
      return false;
    };
    const wide = [...document.querySelectorAll('body *')].filter((one) => {
      const { width: own, right } = one.getBoundingClientRect();
      return own > 0 && right > width + 1 && !isHeld(one);
    });
    return wide
      .filter((one) => !wide.some((other) => other !== one && other.contains(one)))
      .map((one) => `${one.tagName.toLowerCase()} ${one.className} ${one.textContent?.slice(0, 40)}`);
  });

/** What reaches beyond the window at any size. A device that is turned, or a window that is drawn larger, loads nothing anew. */
export async function beyondAnySize(page: Page): Promise<readonly string[]> {
  const beyond: string[] = [];
  for (const [name, size] of sizes) {
    await page.setViewport(size);
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))));
    beyond.push(...(await overflowOf(page)).map((what) => `${name}: ${what}`));
  }
  return beyond;
}
