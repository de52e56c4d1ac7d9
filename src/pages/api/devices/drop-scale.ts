import { DropScaleInput } from '../../../contracts/oil-house';
import type { DropScaleView } from '../../../contracts/oil-views';
import { readGrams } from '../../../core/oils/drop-scale';
import { houseScale } from '../../../server/devices/drop-scale';
import { endpoint, readBody } from '../../../server/http/endpoint';

function view(): DropScaleView {
  const reading = houseScale().reading();
  const grams = readGrams(reading);
  return {
    isOn: reading.isOn,
    grams,
    words: grams === null ? 'The scale does not answer: count by hand.' : reading.text,
  };
}

export const GET = endpoint(() => Response.json(view()));

/** Drives the stand-in by hand: drops fall, it is set to zero, or switched off. */
export const POST = endpoint(async ({ request }) => {
  houseScale().drive(await readBody(request, DropScaleInput));
  return Response.json(view());
});
