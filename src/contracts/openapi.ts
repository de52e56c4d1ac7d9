import { z } from 'zod';
import { DrainageCheckRequest, DrainageCheckResponse, DrainagePlanRequest, DrainagePlanResponse } from './drainage';
import { LimbVolumeRequest, LimbVolumeResponse } from './limb-volume';
import { ProblemSchema } from './problem';
import {
  ClientInput,
  ClosingInput,
  CourseInput,
  HandOverInput,
  HouseInput,
  PlacedFindingInput,
  PlanWishInput,
  TableEventsInput,
  TapingInput,
  VisitCheckInput,
  VisitInput,
} from './record';

interface Operation {
  readonly method: 'get' | 'post' | 'delete';
  readonly path: string;
  readonly summary: string;
  readonly request?: z.ZodType;
  readonly response?: z.ZodType;
  readonly refusals: readonly number[];
}

const operations: readonly Operation[] = [
  {
    method: 'post',
    path: '/api/compute/drainage-plan',
    summary: 'Plans a drainage from the drain outwards. Stateless.',
    request: DrainagePlanRequest,
    response: DrainagePlanResponse,
    refusals: [400],
  },
  {
    method: 'post',
    path: '/api/compute/drainage-check',
    summary: 'Checks a rearranged course against every rule. Stateless.',
    request: DrainageCheckRequest,
    response: DrainageCheckResponse,
    refusals: [400],
  },
  {
    method: 'post',
    path: '/api/compute/limb-volume',
    summary: 'Volume of a taped limb and its excess over the other. Stateless.',
    request: LimbVolumeRequest,
    response: LimbVolumeResponse,
    refusals: [400, 422],
  },
  { method: 'get', path: '/api/health', summary: 'Whether the server is up and a house is set up.', refusals: [] },
  {
    method: 'post',
    path: '/api/house',
    summary: 'Sets up the house on an empty data folder.',
    request: HouseInput,
    refusals: [400, 409],
  },
  {
    method: 'post',
    path: '/api/work-as',
    summary: 'Chooses who works on this device.',
    request: HandOverInput,
    refusals: [400],
  },
  { method: 'get', path: '/api/clients', summary: 'Clients whose name or phone number holds `q`.', refusals: [] },
  { method: 'post', path: '/api/clients', summary: 'Adds a client.', request: ClientInput, refusals: [400] },
  {
    method: 'post',
    path: '/api/clients/{id}/findings',
    summary: 'Places a finding on the body map.',
    request: PlacedFindingInput,
    refusals: [400, 404],
  },
  {
    method: 'delete',
    path: '/api/clients/{id}/findings/{key}',
    summary: 'Ends a finding; it stays in the history.',
    refusals: [404],
  },
  { method: 'post', path: '/api/visits', summary: 'Books a visit.', request: VisitInput, refusals: [400] },
  { method: 'get', path: '/api/visits/{id}', summary: 'All that the views of one visit show.', refusals: [404] },
  {
    method: 'post',
    path: '/api/visits/{id}/check',
    summary: 'Stores answers of the check before the visit.',
    request: VisitCheckInput,
    refusals: [400, 404],
  },
  {
    method: 'post',
    path: '/api/visits/{id}/taping',
    summary: 'Stores a taping as a new version.',
    request: TapingInput,
    refusals: [400, 404, 409],
  },
  {
    method: 'post',
    path: '/api/visits/{id}/plan',
    summary: 'Plans the visit from what is known now.',
    request: PlanWishInput,
    refusals: [400, 404, 409],
  },
  {
    method: 'post',
    path: '/api/visits/{id}/course',
    summary: 'Stores a rearranged course.',
    request: CourseInput,
    refusals: [400, 404, 409],
  },
  {
    method: 'post',
    path: '/api/visits/{id}/events',
    summary: 'Keeps what happens at the table; sending again is harmless.',
    request: TableEventsInput,
    refusals: [400, 404],
  },
  {
    method: 'post',
    path: '/api/visits/{id}/closing',
    summary: 'Stores what is asked at the end.',
    request: ClosingInput,
    refusals: [400, 404, 409],
  },
  { method: 'post', path: '/api/visits/{id}/finish', summary: 'Closes the visit.', refusals: [404] },
  {
    method: 'post',
    path: '/api/visits/{id}/handover',
    summary: 'Hands the visit over to a colleague.',
    request: HandOverInput,
    refusals: [400, 404],
  },
];

const titles: Readonly<Record<number, string>> = {
  400: 'Some fields need attention; `errors` names them.',
  404: 'There is no such thing.',
  409: 'Someone else saved in the meantime; nothing was overwritten.',
  422: 'The fields are sound one by one but do not fit together.',
};

const jsonSchema = (schema: z.ZodType, io: 'input' | 'output') =>
  z.toJSONSchema(schema, { io, unrepresentable: 'any' });

/** The OpenAPI 3.1 document of this server, made from the contracts. */
export function openApiDocument(): Record<string, unknown> {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const operation of operations) {
    const parameters = [...operation.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
      name,
      in: 'path',
      required: true,
      schema: { type: 'integer', minimum: 1 },
    }));
    const responses: Record<string, unknown> = {
      200: {
        description: 'Done.',
        ...(operation.response
          ? { content: { 'application/json': { schema: jsonSchema(operation.response, 'output') } } }
          : {}),
      },
    };
    for (const status of operation.refusals) {
      responses[status] = {
        description: titles[status] ?? 'Refused.',
        content: { 'application/problem+json': { schema: jsonSchema(ProblemSchema, 'output') } },
      };
    }
    paths[operation.path] = {
      ...paths[operation.path],
      [operation.method]: {
        summary: operation.summary,
        ...(parameters.length > 0 ? { parameters } : {}),
        ...(operation.request
          ? {
              requestBody: {
                required: true,
                content: { 'application/json': { schema: jsonSchema(operation.request, 'input') } },
              },
            }
          : {}),
        responses,
      },
    };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Velvet Stone', version: '0.1.0', description: 'Errors are problem details (RFC 9457).' },
    paths,
  };
}
