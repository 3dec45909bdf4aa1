import { spawnSync } from 'node:child_process';
import { API } from '@hervir/contract';
import { openKitchen, type TestKitchen } from './testing/kitchen';

interface Document {
  readonly openapi: string;
  readonly paths: Record<
    string,
    Record<string, { responses: Record<string, { content: Record<string, unknown> }>; requestBody?: object }>
  >;
  readonly components: { readonly schemas: Record<string, object> };
}

const RULES = {
  struct: 'error',
  'no-unresolved-refs': 'error',
  'operation-operationId-unique': 'error',
  'operation-summary': 'error',
  'path-declaration-must-exist': 'error',
  'path-not-include-query': 'error',
  'path-parameters-defined': 'error',
  'no-identical-paths': 'error',
  'no-path-trailing-slash': 'error',
  'operation-2xx-response': 'error',
  'operation-4xx-response': 'error',
  'operation-tag-defined': 'error',
  'no-undefined-server-variable': 'error',
  'spec-components-invalid-map-name': 'error',
  'no-duplicated-tag-names': 'error',
};

/** What the linter finds: it is a module of another kind, and runs in a process of its own. */
function lint(source: object): string[] {
  const script = `import { createConfig, lintFromString } from '@redocly/openapi-core';
const { source, rules } = JSON.parse(await new Response(process.stdin).text());
const found = await lintFromString({ source: JSON.stringify(source), config: await createConfig({ rules }) });
process.stdout.write(JSON.stringify(found.map(({ message, location }) => (location[0]?.pointer ?? '') + ' ' + message)));`;
  const { stdout, stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', script], {
    cwd: __dirname,
    input: JSON.stringify({ source, rules: RULES }),
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  if (stdout === '') throw new Error(stderr);
  return JSON.parse(stdout) as string[];
}

let kitchen: TestKitchen;
let document: Document;
beforeAll(async () => {
  kitchen = await openKitchen();
  document = (await kitchen.send('GET', '/api/openapi.json')).body as Document;
});
afterAll(() => kitchen.close());

describe('the description of the interface (OpenAPI 3.1)', () => {
  test('has every route of the contract, and none besides', () => {
    const routes = Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => `${method.toUpperCase()} ${path}`),
    );
    expect(routes.sort()).toEqual(Object.keys(API).sort());
  });

  test('has a schema for every body and every answer: a client can be generated from it', () => {
    for (const [path, methods] of Object.entries(document.paths)) {
      for (const [method, { responses }] of Object.entries(methods)) {
        const contents = Object.values(responses).flatMap(({ content }) => Object.values(content));
        expect([method, path, contents.length > 5]).toEqual([method, path, true]);
        for (const content of contents) expect(Object.keys((content as { schema: object }).schema)).not.toEqual([]);
      }
    }
    expect(Object.keys(document.components.schemas).length).toBeGreaterThan(25);
  });

  test('is what an independent linter takes for OpenAPI: its rules for a sound document', () => {
    expect(lint(document)).toEqual([]);
    // A document with a fault is found out: the linter looks.
    expect(lint({ ...document, paths: { ...document.paths, '/api/health': { get: { responses: 7 } } } })).not.toEqual(
      [],
    );
  });
});
