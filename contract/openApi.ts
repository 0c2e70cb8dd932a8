import { z } from 'zod';
import { endpoints, pathParameters, type Endpoint } from './endpoints.ts';
import { problemDetails } from './problems.ts';

const jsonSchema = (schema: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' });
  return rest;
};
const json = (schema: z.ZodType, io: 'input' | 'output') => ({
  'application/json': { schema: jsonSchema(schema, io) },
});

/** OpenAPI 3.1, made from the schemas that the server itself checks with. */
export function openApi() {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const [operationId, endpoint] of Object.entries<Endpoint>(endpoints)) {
    const path = `/api${endpoint.path.replace(/:(\w+)/gu, '{$1}')}`;
    paths[path] = { ...paths[path], [endpoint.method]: operation(operationId, endpoint) };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Lettura',
      version: '0.1.0',
      description:
        'Numbers are stored in kPa and volts, with the unit in the name. Ids are UUID v7 made by the client.',
    },
    paths,
  };
}

function operation(operationId: string, { summary, path, body, response, creates }: Endpoint) {
  const parameters = [...path.matchAll(/:(\w+)/gu)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: jsonSchema(pathParameters[name as keyof typeof pathParameters], 'input'),
  }));
  return {
    operationId,
    summary,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(body ? { requestBody: { required: true, content: json(body, 'input') } } : {}),
    responses: {
      ...(creates
        ? {
            201: { description: 'Recorded', content: json(response, 'output') },
            200: { description: 'Recorded before, unchanged', content: json(response, 'output') },
          }
        : { 200: { description: 'OK', content: json(response, 'output') } }),
      default: {
        description: 'A problem, and what to do about it (RFC 9457)',
        content: { 'application/problem+json': { schema: jsonSchema(problemDetails, 'output') } },
      },
    },
  };
}
