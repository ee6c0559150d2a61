/** The OpenAPI 3.1 description, made from the routes and their Zod schemas. */
import { z } from 'zod';
import { PROBLEMS } from '../problem';
import type { Route } from './route';

const schemaOf = (s: z.ZodType, io: 'input' | 'output'): object => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(s, { io, unrepresentable: 'any' }) as Record<string, unknown>;
  return rest;
};

function parameters(r: Route): object[] {
  const of = (s: z.ZodType | undefined, place: 'path' | 'query') => {
    if (!s) return [];
    const { properties = {}, required = [] } = schemaOf(s, 'input') as { properties?: Record<string, object>; required?: string[] };
    return Object.entries(properties).map(([name, schema]) => ({
      name,
      in: place,
      required: place === 'path' || required.includes(name),
      schema,
    }));
  };
  return [...of(r.params, 'path'), ...of(r.query, 'query')];
}

function replies(r: Route): object {
  const good = {
    [r.status ?? 200]: {
      description: 'Done',
      content: { [r.produces ?? 'application/json']: { schema: r.produces ? {} : schemaOf(r.reply, 'output') } },
    },
  };
  const bad = r.problems.map((code) => [
    PROBLEMS[code].status,
    { description: PROBLEMS[code].title, content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } } },
  ]);
  return { ...good, ...Object.fromEntries(bad) };
}

export function openApi(routes: readonly Route[]): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const r of routes) {
    paths[r.path] = {
      ...paths[r.path],
      [r.method]: {
        summary: r.summary,
        parameters: parameters(r),
        ...(r.body
          ? { requestBody: { required: true, content: { 'application/json': { schema: schemaOf(r.bodySays ?? r.body, 'input') } } } }
          : {}),
        ...(r.takes
          ? {
              requestBody: {
                required: true,
                content: Object.fromEntries(r.takes.map((type) => [type, r.bodySays ? { schema: schemaOf(r.bodySays, 'input') } : {}])),
              },
            }
          : {}),
        responses: replies(r),
      },
    };
  }
  const problem = z.object({
    type: z.string(),
    title: z.string(),
    status: z.number(),
    detail: z.string(),
    errors: z.array(z.object({ path: z.string(), message: z.string() })),
  });
  return {
    openapi: '3.1.0',
    info: { title: 'Rough Sill', version: '1' },
    paths,
    components: { schemas: { Problem: schemaOf(problem, 'output') } },
  };
}
