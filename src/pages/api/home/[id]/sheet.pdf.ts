import { printHome } from '../../../../server/exchange/home-pdf';
import { endpoint, idOf } from '../../../../server/http/endpoint';
import { invalidFields, notFound } from '../../../../server/http/problem';
import { readPrintedHome } from '../../../../server/home/home-sheets';

const papers = { a4: 'A4', letter: 'LETTER' } as const;

export const GET = endpoint(async (context) => {
  const wanted = context.url.searchParams.get('paper') ?? 'a4';
  if (!Object.hasOwn(papers, wanted)) return invalidFields([{ path: 'paper', message: 'One of a4, letter.' }]);
  const printed = await readPrintedHome(context.locals.db, idOf(context, 'sheet'));
  if (!printed) return notFound('sheet');
  return new Response(new Uint8Array(await printHome(printed, papers[wanted as keyof typeof papers])), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="for-home.pdf"' },
  });
});
