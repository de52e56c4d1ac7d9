/** Ticks for a page that is not shown: its own clock is slowed down by the browser, that of a worker is not. */
let ticking: ReturnType<typeof setInterval> | undefined;

addEventListener('message', ({ data: everyMs }: MessageEvent<number>) => {
  clearInterval(ticking);
  ticking = everyMs > 0 ? setInterval(() => postMessage(0), everyMs) : undefined;
});
