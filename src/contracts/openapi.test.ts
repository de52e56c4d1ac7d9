import { createConfig, lintFromString } from '@redocly/openapi-core';
import { describe, expect, it } from 'vitest';
import { openApiDocument } from './openapi';
import { allRoutes } from './routes';

const document = openApiDocument();
const operations = Object.entries(document.paths ?? {}).flatMap(([path, methods]) =>
  Object.entries(methods).map(([method, operation]) => ({
    path,
    method,
    operation: operation as {
      readonly summary: string;
      readonly parameters?: readonly {
        readonly name: string;
        readonly in: string;
        readonly schema: { type?: string };
      }[];
      readonly responses: Readonly<Record<string, { readonly content?: object }>>;
    },
  })),
);

describe('the OpenAPI document', () => {
  it('holds every route and nothing besides', () => {
    const described = operations.map(({ method, path }) => `${method} ${path}`);
    expect(described.toSorted()).toEqual(allRoutes.map(({ method, path }) => `${method} ${path}`).toSorted());
  });

  it('is sound to a linter that knows nothing of us', async () => {
    const config = await createConfig({
      extends: ['recommended-strict'],
      // Whether the house is up is asked of everybody, and never refused.
      rules: { 'operation-4xx-response': 'off' },
    });
    const problems = await lintFromString({ source: JSON.stringify(document), absoluteRef: 'openapi.json', config });
    expect(problems.map(({ ruleId, message, location }) => `${ruleId}: ${message} ${location[0]?.pointer}`)).toEqual(
      [],
    );
  });

  it('says for every operation what it does and what it answers', () => {
    for (const { path, operation } of operations) {
      expect(operation.summary.length, path).toBeGreaterThan(10);
      expect((operation.responses['200'] ?? operation.responses['201'])?.content, path).toBeDefined();
    }
  });

  it('knows what stands in an address by its schema, not by its name', () => {
    const typesOf = (path: string) =>
      operations
        .find((one) => one.path === path)
        ?.operation.parameters?.filter((one) => one.in === 'path')
        .map(({ name, schema }) => `${name}: ${schema.type}`);
    expect(typesOf('/api/clients/{id}/files/{key}')).toEqual(['id: integer', 'key: integer']);
    expect(typesOf('/api/library/techniques/{key}')).toEqual(['key: string']);
  });

  it('survives being written as JSON', () => {
    expect(JSON.parse(JSON.stringify(document))).toEqual(document);
  });
});
