import { z } from 'zod';
import { operations } from './operations';
import { ProblemSchema } from './problem';

const titles: Readonly<Record<number, string>> = {
  400: 'Some fields need attention; `errors` names them.',
  401: 'Nobody is signed in, or name and secret do not fit.',
  403: 'Not open to this role.',
  404: 'There is no such thing.',
  409: 'Someone else saved in the meantime; nothing was overwritten.',
  413: 'Larger than what is taken.',
  423: 'The screen is locked, or the tablet is with a client.',
  429: 'Too many tries: wait.',
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
      schema:
        name === 'token' || name === 'job' || operation.path.startsWith('/api/protocols/')
          ? { type: 'string' }
          : { type: 'integer', minimum: 1 },
    }));
    const isOpen = /^\/api\/(compute|health|openapi|house|calendar\/)/.test(operation.path);
    const refusals = new Set([
      ...operation.refusals,
      ...(isOpen ? [] : [401, 403, 423]),
      ...(parameters.length > 0 ? [404] : []),
    ]);
    const responses: Record<string, unknown> = {
      200: {
        description: 'Done.',
        ...(operation.response
          ? { content: { 'application/json': { schema: jsonSchema(operation.response, 'output') } } }
          : {}),
      },
    };
    for (const status of [...refusals].sort()) {
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
