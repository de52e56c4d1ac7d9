/**
 * What Astro draws islands with, in place of `react-dom/server`. Our islands wait for nothing while they are drawn, so a
 * stream of many small pieces, each encoded and decoded again, would be work for nothing: this one has a single piece.
 */
import type { ReactNode } from 'react';
import { renderToStaticMarkup, renderToString } from 'react-dom/server.node';

type Options = Parameters<typeof renderToString>[1];

const renderToReadableStream = (node: ReactNode, options?: Options): ReadableStream | null =>
  new Response(renderToString(node, options)).body;

export default { renderToReadableStream, renderToStaticMarkup, renderToString };
