/** The pages that each chapter of the guide is about, by the beginnings of their addresses. */
const pagesOf: Readonly<Record<string, readonly string[]>> = {
  day: ['/'],
  clients: ['/clients'],
  ask: ['/visits/:id/ask'],
  measure: ['/visits/:id/measure'],
  plan: ['/visits/:id/plan'],
  oils: ['/bench/oils', '/bench/bottles', '/bench/mixes'],
  stones: ['/bench/stones'],
  prepare: ['/visits/:id/prepare'],
  table: ['/visits/:id/table'],
  close: ['/visits/:id/close'],
  home: ['/visits/:id/home'],
  progress: ['/clients/:id/progress'],
  practice: ['/practice'],
  library: ['/library'],
  devices: ['/bench/devices'],
  house: ['/house', '/outbox', '/measures', '/protocols'],
};

/** The chapter about a page of the house; the first one, about the day, for any other. */
export function chapterOf(pathname: string): string {
  const plain = pathname.replace(/\/\d+(?=\/|$)/g, '/:id');
  const fits = (page: string) => plain === page || (page !== '/' && plain.startsWith(`${page}/`));
  const longest = Object.entries(pagesOf)
    .flatMap(([id, pages]) => pages.filter(fits).map((page) => ({ id, length: page.length })))
    .sort((a, b) => b.length - a.length)[0];
  return longest?.id ?? 'day';
}

export const chaptersWithPages: readonly string[] = Object.keys(pagesOf);
