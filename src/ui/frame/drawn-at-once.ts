/**
 * What Astro draws islands with, in place of `react-dom/server`. Hardly any of our islands waits for something while it
 * is drawn, so a stream of many small pieces, each encoded and decoded again, would be work for nothing: this one has a
 * single piece. What does wait, such as a part whose code is fetched for the first time, is streamed as React does it.
 */
import type { ReactNode } from 'react';
import * as react from 'react-dom/server.node';

type Options = Parameters<typeof react.renderToString>[1];

/** What React writes where it gave up waiting and leaves the part to the browser. */
const leftOut = '<!--$!-->';

const renderToReadableStream = async (node: ReactNode, options?: Options): Promise<ReadableStream | null> => {
  const html = atOnce(node, options);
  return html === undefined ? react.renderToReadableStream(node, options) : new Response(html).body;
};

/** @returns undefined where something has to be waited for */
function atOnce(node: ReactNode, options?: Options): string | undefined {
  try {
    const html = react.renderToString(node, options);
    return html.includes(leftOut) ? undefined : html;
  } catch {
    // Waited for outside of any `Suspense`, or an error, which the stream meets and tells once more.
    return undefined;
  }
}

export default { renderToReadableStream, renderToStaticMarkup: react.renderToStaticMarkup };
