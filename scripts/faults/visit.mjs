/** A scripted visit whose server is ended again and again: what was acknowledged is there, once, in its order. */
import { startServer } from '../served.mjs';
import { checkWithoutFindings, withSource } from '../source.mjs';
import { ownerOf, wait } from './caller.mjs';

/** Marit's visit of today, planned and ready for the table: its check is answered as the page would. */
async function prepareVisit(call) {
  const visit = Number(/href="\/visits\/(\d+)\/\w+"[^>]*>Marit/.exec((await call('GET', '/')).body)?.[1]);
  const answers = await withSource(checkWithoutFindings);
  const { status } = await call('POST', `/api/visits/${visit}/check`, { answers });
  await call('POST', `/api/visits/${visit}/first-plan`);
  const { plan } = (await call('GET', `/api/visits/${visit}`)).body;
  if (!plan) throw new Error(`the visit cannot be planned: its check was answered with ${status}`);
  return { visit, steps: plan.steps, planVersion: plan.version };
}

export async function killInVisit({ folder, times, random }) {
  let server = await startServer({ data: folder });
  const { port } = server;
  const owner = await ownerOf(server.url);
  const { visit, steps, planVersion } = await prepareVisit(owner.call);
  const begin = Date.now();
  let number = 0;
  /** The next press: every step is begun, paused, marked and ended, round after round until the kills are over. */
  const nextEvent = () => {
    const kinds = ['start', 'pause', 'mark', 'resume', 'end'];
    const kind = kinds[number % kinds.length];
    const step = steps[Math.floor(number / kinds.length) % steps.length];
    number += 1;
    return {
      ...{ id: `fault-${String(number).padStart(6, '0')}`, kind, stepId: step.id, planVersion },
      at: new Date(begin + 250 * number).toISOString(),
      ...(kind === 'mark' ? { mark: 'tighter' } : {}),
    };
  };
  const acknowledged = [];
  let waiting = [];
  let lost = 0;
  let again = 0;
  for (let kill = 1; kill <= times; kill += 1) {
    const killing = wait(20 + random() * 180).then(() => server.kill());
    for (let isUp = true; isUp;) {
      if (waiting.length === 0) waiting = Array.from({ length: 1 + Math.floor(random() * 3) }, nextEvent);
      const events = { deviceId: 'the-scripted-table', events: waiting };
      const answer = await owner.call('POST', `/api/visits/${visit}/events`, events);
      if (answer && answer.status !== 200) throw new Error(`the server answered ${answer.status}`);
      isUp = answer !== undefined;
      if (!answer) continue;
      acknowledged.push(...waiting);
      waiting = [];
    }
    await killing;
    server = await startServer({ data: folder, port });
    const { events } = (await owner.call('GET', `/api/visits/${visit}`)).body;
    const stored = events.map(({ id }) => id);
    const known = new Set(stored);
    lost += acknowledged.filter(({ id }) => !known.has(id)).length;
    again += waiting.filter(({ id }) => known.has(id)).length;
    if (known.size !== stored.length) throw new Error('an event is stored twice');
    const order = acknowledged.map(({ id }) => stored.indexOf(id));
    if (order.some((at, i) => i > 0 && at < (order[i - 1] ?? 0))) throw new Error('events have changed their order');
    if (kill % 50 === 0) console.log(`  ${kill} kills, ${acknowledged.length} acknowledged, ${lost} lost`);
  }
  await server.stop();
  return {
    lost,
    words: `${times} kills, ${acknowledged.length} events acknowledged, ${again} stored before their answer was cut off`,
  };
}
