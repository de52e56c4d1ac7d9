import { z } from 'zod';
import { createDocument, type ZodOpenApiOperationObject, type ZodOpenApiPathsObject } from 'zod-openapi';
import { ProblemSchema } from './problem';
import { routes } from './routes';
import * as askViews from './ask-views';
import * as clientViews from './client-views';
import * as homeViews from './home-views';
import * as measureViews from './measure-views';
import * as oilViews from './oil-views';
import * as peopleViews from './people-views';
import * as screeningViews from './screening-views';
import * as stoneViews from './stone-views';
import * as treatmentViews from './treatment-views';
import * as visitViews from './visit-views';
import * as shapesOfDrainage from './shapes/drainage';
import * as shapesOfHomeCare from './shapes/homecare';
import * as shapesOfLibrary from './shapes/library';
import * as shapesOfRoom from './shapes/room';
import * as shapesOfStones from './shapes/stones';
import * as shapesOfSwelling from './shapes/swelling';
import * as shapesOfTable from './shapes/table';
import * as shapesOfTreatment from './shapes/treatment';
import { isBytes, isFile, type Route } from './routes/route';
import { version } from '../core/version';

const titles: Readonly<Record<number, string>> = {
  400: 'Some fields need attention; `errors` names them.',
  401: 'Nobody is signed in, or name and secret do not fit.',
  403: 'Not open to this role.',
  404: 'There is nothing at this address.',
  409: 'Someone else saved in the meantime; nothing was overwritten.',
  413: 'Larger than what is taken.',
  422: 'The fields are sound one by one but do not fit together.',
  423: 'The screen is locked, or the tablet is with a client.',
  415: 'Bodies are JSON and say so.',
  429: 'Too many tries: wait.',
  503: 'Too much is being computed: ask again after `Retry-After`.',
};

const named = new Set<string>();

/** Shapes that many answers hold are told once, by their names; a name that two domains have is left to the first. */
for (const module of [
  { Problem: ProblemSchema },
  peopleViews,
  visitViews,
  treatmentViews,
  askViews,
  clientViews,
  homeViews,
  measureViews,
  oilViews,
  screeningViews,
  stoneViews,
  shapesOfDrainage,
  shapesOfHomeCare,
  shapesOfLibrary,
  shapesOfRoom,
  shapesOfStones,
  shapesOfSwelling,
  shapesOfTable,
  shapesOfTreatment,
]) {
  for (const [name, schema] of Object.entries(module)) {
    const id = name.replace(/(Shape|View)$/, '');
    if (!(schema instanceof z.ZodObject) || z.globalRegistry.has(schema) || named.has(id)) continue;
    named.add(id);
    z.globalRegistry.add(schema, { id });
  }
}

const session = 'session';

/** What a domain is about. */
const aboutDomains: Readonly<Record<keyof typeof routes, string>> = {
  compute: 'Pure questions to the core: open to everybody, nothing is stored.',
  people: 'Coming in, going out, and who works here.',
  house: 'The house itself, and what programs ask of it.',
  keeping: 'Copies of the house: making them, and going back to one.',
  booking: 'When visits are, and the calendars that follow.',
  messages: 'What clients are told of their visits, and what becomes of it.',
  clients: 'Who comes here, and what is kept of them.',
  clientExchange: 'Clients as other programs write and read them.',
  screening: 'What is asked before hands are laid on: findings, answers, consent and limits.',
  tablet: 'What a client may do on the tablet that was handed over.',
  visits: 'A visit as a whole: looking at it, handing it on, closing it.',
  table: 'What happens at the treatment table.',
  treatments: 'What a visit is to hold, in which order, and what has to be ready for it.',
  measures: 'Tape, observations and what becomes of them.',
  library: 'Techniques and protocols, as they ship and as the house has them.',
  stones: 'Stones, their care, and the bath.',
  oils: 'Shelf, blends, bottles, and how skin takes them.',
  home: 'What a client takes home.',
  pictures: 'Photographs of a client, kept and shown only as the client has agreed.',
  practice: 'Practising without a client: made-up cases, what is known of them, and what a trainer sets.',
};
const about: Readonly<Record<string, string>> = aboutDomains;

/** What may be refused, by what stands at the door, in the address and in the body, and what the route names. */
function refusalsOf(route: Route): readonly number[] {
  const isOpen = route.who === 'everybody' || route.who === 'first-run';
  return [
    ...new Set([
      ...(route.refusals ?? []),
      ...(isOpen ? [] : [401, 403, 423]),
      ...(route.who === 'first-run' ? [403] : []),
      ...(route.params ? [404] : []),
      ...(route.query || route.body ? [400] : []),
      ...(route.body ? [413] : []),
      ...(route.body && !isBytes(route.body) ? [415] : []),
      ...(route.mostPerMinute ? [429] : []),
    ]),
  ].sort((a, b) => a - b);
}

const bodyOf = ({ body }: Route): ZodOpenApiOperationObject['requestBody'] =>
  body === undefined
    ? undefined
    : isBytes(body)
      ? {
          required: true,
          description: `${body.bytes.what} At most ${Math.round(body.bytes.most / 1_000_000)} MB.`,
          content: { 'application/octet-stream': { schema: { type: 'string', format: 'binary' } } },
        }
      : { required: true, content: { 'application/json': { schema: body } } };

const contentOf = ({ answer }: Route) =>
  isFile(answer)
    ? { [answer.file]: { schema: { type: 'string' as const, format: 'binary' } } }
    : { 'application/json': { schema: answer } };

function operationOf(domain: string, name: string, route: Route): ZodOpenApiOperationObject {
  const requestBody = bodyOf(route);
  const refusals = refusalsOf(route).map((status) => [
    String(status),
    {
      description: titles[status] ?? 'Refused.',
      content: { 'application/problem+json': { schema: ProblemSchema } },
    },
  ]);
  return {
    operationId: `${domain}.${name}`,
    tags: [domain],
    summary: route.summary,
    security: route.who === 'everybody' || route.who === 'first-run' ? [] : [{ [session]: [] }],
    ...(route.params || route.query
      ? {
          requestParams: {
            ...(route.params ? { path: z.object(route.params) } : {}),
            ...(route.query ? { query: z.object(route.query) } : {}),
          },
        }
      : {}),
    ...(requestBody ? { requestBody } : {}),
    responses: {
      [route.status ?? 200]: { description: 'Done.', content: contentOf(route) },
      ...Object.fromEntries(refusals),
    },
  };
}

/** The OpenAPI 3.1 document of this server, made from the definitions of its routes. */
export function openApiDocument(domains: Readonly<Record<string, Readonly<Record<string, Route>>>> = routes) {
  const paths: Record<string, ZodOpenApiPathsObject[string]> = {};
  for (const [domain, routes] of Object.entries(domains)) {
    for (const [name, route] of Object.entries(routes))
      paths[route.path] = { ...paths[route.path], [route.method]: operationOf(domain, name, route) };
  }
  return createDocument(
    {
      openapi: '3.1.0',
      info: {
        title: 'Velvet Stone',
        version,
        description: 'Errors are problem details (RFC 9457).',
        license: { name: 'All rights reserved', identifier: 'LicenseRef-Proprietary' },
      },
      servers: [{ url: '/' }],
      tags: Object.keys(domains).map((name) => ({ name, description: about[name] ?? '' })),
      components: {
        securitySchemes: { [session]: { type: 'apiKey', in: 'cookie', name: 'velvet-stone' } },
      },
      paths,
    },
    {
      override: ({ jsonSchema, zodSchema }) => {
        // A value that was only typed has no shape that JSON Schema could say.
        if (zodSchema._zod.def.type === 'custom') delete jsonSchema.type;
      },
    },
  );
}
