import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, sep } from 'node:path';
import * as core from './index';

const ROOT = join(__dirname, '../..');
const WORKSPACES = ['language', 'core', 'contract', 'server', 'web'];

/** All TypeScript of a workspace. */
const written = (workspace: string): string[] =>
  readdirSync(join(ROOT, workspace, 'src'), { recursive: true, encoding: 'utf8' })
    .filter((path) => /\.tsx?$/.test(path))
    .map((path) => join(ROOT, workspace, 'src', path));

/** Sources of a workspace, without its tests. */
const sources = (workspace: string): string[] =>
  written(workspace).filter((path) => !/\.test\.|[\\/]testing[\\/]/.test(relative(ROOT, path)));

/** The node of the drawing that a file stands in: a floor of `core`, else its workspace; null for what only gathers. */
function nodeOf(path: string): string | null {
  const [workspace = '', , floor, ...rest] = relative(ROOT, path).split(sep);
  if (workspace !== 'core') return workspace;
  return rest.length === 0 ? null : (floor ?? null);
}

/** The folder of a workspace's sources that a file stands in; null for what only gathers. */
function folderOf(path: string): string | null {
  const [, , folder, ...rest] = relative(ROOT, path).split(sep);
  return rest.length === 0 ? null : (folder ?? null);
}

/** Which nodes import which, as the sources say. */
function imported(workspaces: readonly string[], nodeOf: (path: string) => string | null): Map<string, Set<string>> {
  const edges = new Map<string, Set<string>>();
  for (const file of workspaces.flatMap(sources)) {
    const from = nodeOf(file);
    const text = readFileSync(file, 'utf8');
    for (const [, to = ''] of text.matchAll(/^(?:import|export) [^;]*?from '([^']+)'/gms)) {
      const workspace = /^@hervir\/(\w+)/.exec(to)?.[1];
      const target = to.startsWith('.') ? nodeOf(`${join(dirname(file), to)}.ts`) : workspace;
      if (from === null || target === undefined || target === null || target === from) continue;
      edges.set(from, (edges.get(from) ?? new Set()).add(target));
    }
  }
  return edges;
}

/** The arrows of the drawing; who imports `core` imports all its floors. */
function drawn(): Map<string, Set<string>> {
  const text = readFileSync(join(ROOT, 'docs/architecture.md'), 'utf8');
  const arrows = [...text.matchAll(/^ +(\w+) --> (\w+)$/gm)].map(([, from = '', to = '']) => [from, to] as const);
  const floors = new Set(/subgraph core[^\n]*\n([\s\S]*?)\n {2}end/.exec(text)?.[1]?.match(/\w+/g));
  const edges = new Map<string, Set<string>>();
  const add = (from: string, to: string): unknown => edges.set(from, (edges.get(from) ?? new Set()).add(to));
  for (const [from, to] of arrows) add(from, to);
  for (const floor of floors) add('core', floor);
  return edges;
}

/** Whether one reaches another over arrows, other than by the one arrow that is left out. */
function reaches(edges: ReadonlyMap<string, ReadonlySet<string>>, from: string, to: string, without = ''): boolean {
  const waiting = [from];
  const seen = new Set<string>();
  for (let node = waiting.pop(); node !== undefined; node = waiting.pop()) {
    for (const next of edges.get(node) ?? []) {
      if (`${node} ${next}` === without) continue;
      if (next === to) return true;
      if (!seen.has(next)) waiting.push(next);
      seen.add(next);
    }
  }
  return false;
}

describe('the drawing of docs/architecture.md', () => {
  const real = imported(WORKSPACES, nodeOf);
  const drawing = drawn();

  test('allows every import that there is', () => {
    const beside = [...real].flatMap(([from, targets]) =>
      [...targets].filter((to) => !reaches(drawing, from, to)).map((to) => `${from} imports ${to}`),
    );
    expect(beside).toEqual([]);
    expect([...real.values()].reduce((sum, targets) => sum + targets.size, 0)).toBeGreaterThan(50);
  });

  test('has no arrow that nothing needs, and none that another way says already', () => {
    const idle = [...drawing].flatMap(([from, targets]) =>
      [...targets]
        .filter((to) => from !== 'core' && to !== 'core')
        .filter((to) => !real.get(from)?.has(to) || reaches(drawing, from, to, `${from} ${to}`))
        .map((to) => `${from} --> ${to}`),
    );
    expect(idle).toEqual([]);
  });

  test('goes one way: nothing imports what imports it', () => {
    const round = [...real.keys()].filter((node) => reaches(drawing, node, node));
    expect(round).toEqual([]);
  });
});

describe.each(['server', 'web'])('the folders of %s', (workspace) => {
  test('import each other one way', () => {
    const real = imported([workspace], folderOf);
    const both = [...real].flatMap(([from, targets]) =>
      [...targets].filter((to) => from < to && real.get(to)?.has(from)).map((to) => `${from} and ${to}`),
    );
    // The threads know by their types what may be asked of them; each job lies with what it is of, and asks for others there.
    expect(both.filter((pair) => !/\bworkers\b/.test(pair) || workspace === 'web')).toEqual([]);
  });
});

describe('what the core hands out', () => {
  const users = ['contract', 'server', 'web'].flatMap(written).map((path) => readFileSync(path, 'utf8'));
  const asked = new Set(
    users.flatMap((text) =>
      [...text.matchAll(/(?:import|export) (?:type )?\{([^}]*)\} from '@hervir\/core'/g)].flatMap(
        ([, names = '']) => names.replaceAll(/ as \w+/g, '').match(/\w+/g) ?? [],
      ),
    ),
  );
  const scripts = readdirSync(join(ROOT, 'scripts'))
    .filter((name) => name.endsWith('.mjs'))
    .map((name) => readFileSync(join(ROOT, 'scripts', name), 'utf8'))
    .join('\n');

  test('is asked for by another workspace or a script: whatever is not stays inside', () => {
    const values = Object.keys(core);
    const isAsked = (name: string): boolean => asked.has(name) || new RegExp(`\\b${name}\\b`).test(scripts);
    expect(values.filter((name) => !isAsked(name))).toEqual([]);
    expect(values.length).toBeGreaterThan(100);
  });
});
