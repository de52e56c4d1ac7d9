import { labelSizes } from '../../../../../core/oils/label';
import { printLabel } from '../../../../../server/exchange/label-pdf';
import { endpoint, idOf } from '../../../../../server/http/endpoint';
import { invalidFields, notFound, unfeasible } from '../../../../../server/http/problem';
import { readMix } from '../../../../../server/oils/mix-oils';

export const GET = endpoint(async (context) => {
  const { locals, url } = context;
  const wanted = url.searchParams.get('size') ?? 'usual';
  const size = labelSizes.find(({ id }) => id === wanted);
  if (!size) return invalidFields([{ path: 'size', message: `One of ${labelSizes.map(({ id }) => id).join(', ')}.` }]);
  const mix = await readMix(locals.db, idOf(context, 'bottle'), locals.actor.now);
  if (!mix) return notFound('bottle');
  if (!mix.fits.includes(size.id))
    return unfeasible([
      {
        path: 'size',
        message: 'The text does not fit on this label: take a larger one, or give the blend a shorter name.',
      },
    ]);
  return new Response(new Uint8Array(await printLabel(mix.label, size)), {
    headers: { 'content-type': 'application/pdf', 'content-disposition': 'inline; filename="label.pdf"' },
  });
});
