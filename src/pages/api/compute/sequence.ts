import { costsFrom, SequenceRequest } from '../../../contracts/sequencing';
import { findCycle, ringWords } from '../../../core/sequencing/cycle';
import { sequenceBlocks } from '../../../core/sequencing/sequence';
import { endpoint, readBody, unwrap } from '../../../server/http/endpoint';
import { problem } from '../../../server/http/problem';

export const POST = endpoint(async ({ request }) => {
  const { blocks, start, costs } = await readBody(request, SequenceRequest);
  const ring = findCycle(blocks);
  if (ring) {
    const at = blocks.findIndex(({ id }) => id === ring[0]);
    return problem({
      type: '/problems/cycle',
      title: 'Some blocks wait for each other',
      status: 422,
      detail: ringWords(ring),
      errors: [{ path: `blocks.${at}.after`, message: ringWords(ring) }],
    });
  }
  return Response.json(unwrap(sequenceBlocks(blocks, start, costsFrom(costs))));
});
