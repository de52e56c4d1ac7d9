import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';

/** What a page says, without its tags: words stand with single spaces between them. */
export const wordsOfPage = (html: string): string =>
  html
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** A part as it first comes to a browser, and what it says. */
export const htmlOf = (node: ReactNode): string => renderToStaticMarkup(node);
export const textOf = (node: ReactNode): string => wordsOfPage(htmlOf(node));
