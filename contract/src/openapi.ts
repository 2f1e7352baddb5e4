import { z } from 'zod';
import type { Endpoint } from './endpoint.ts';
import * as account from './endpoints/account.ts';
import * as jobs from './endpoints/jobs.ts';
import * as members from './endpoints/members.ts';
import { problemWire, PROBLEMS } from './problem.ts';

type AnyEndpoint = Endpoint<z.ZodType, z.ZodType, z.ZodType>;

function isEndpoint(value: unknown): value is AnyEndpoint {
  return typeof value === 'object' && value !== null && 'path' in value && 'response' in value && 'method' in value;
}

/** Every endpoint by its name. */
export const ENDPOINTS: readonly (readonly [name: string, endpoint: AnyEndpoint])[] = [account, jobs, members].flatMap(
  (file) => Object.entries(file).flatMap(([name, value]) => (isEndpoint(value) ? [[name, value] as const] : [])),
);

const schemaOf = (schema: z.ZodType, io: 'input' | 'output') =>
  z.toJSONSchema(schema, { io, target: 'draft-2020-12', unrepresentable: 'any' });
const json = (schema: object) => ({ content: { 'application/json': { schema } } });

/** Addresses that anybody may ask and that take nothing: for monitoring, and for writing a client. */
const WATCHED: readonly (readonly [path: string, operationId: string, says: string])[] = [
  ['/api/health', 'health', 'The process is up; the database is not asked.'],
  ['/api/ready', 'ready', 'The process is up, and its database answers.'],
  ['/api/openapi.json', 'openApi', 'This description.'],
];

/** The description of the API, made from the schemas that every request and answer is checked with (OpenAPI 3.1). */
export function openApi(): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const [name, endpoint] of ENDPOINTS) {
    const path = endpoint.path.replace(/:(\w+)/g, '{$1}');
    const parameters = [...endpoint.path.matchAll(/:(\w+)/g)].map(([, parameter]) => ({
      name: parameter,
      in: 'path',
      required: true,
      schema: { type: 'string', format: 'uuid' },
    }));
    (paths[path] ??= {})[endpoint.method] = {
      operationId: name,
      parameters,
      security: endpoint.access === 'anyone' ? [{}, { session: [] }] : [{ session: [] }],
      ...(endpoint.method === 'get' || endpoint.body instanceof z.ZodUndefined
        ? {}
        : { requestBody: { required: true, ...json(schemaOf(endpoint.body, 'input')) } }),
      responses: {
        200: { description: 'Done.', ...json(schemaOf(endpoint.response, 'output')) },
        default: {
          description: `Refused, by a code: ${Object.keys(PROBLEMS).join(', ')}.`,
          ...json({ $ref: '#/components/schemas/Problem' }),
        },
      },
    };
  }
  for (const [path, operationId, description] of WATCHED)
    paths[path] = {
      get: { operationId, security: [{}], responses: { 200: { description, ...json({ type: 'object' }) } } },
    };
  return {
    openapi: '3.1.0',
    info: { title: 'Sprell', version: '1' },
    paths,
    components: {
      schemas: { Problem: schemaOf(problemWire, 'output') },
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'sprell' } },
    },
  };
}
