import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';
import { expect, test } from 'vitest';

// The source's imports have no circle. Found by Tarjan's algorithm for strongly connected components (SIAM J. Comput. 1, 1972).

const SRC = import.meta.dirname;

const filesBelow = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return filesBelow(path);
    return /\.tsx?$/.test(entry.name) && !/\.test\.tsx?$/.test(entry.name) ? [path] : [];
  });

/** The source file that an import names, or null for a package. */
function fileOf(from: string, name: string): string | null {
  if (!name.startsWith('.') && !name.startsWith('@/')) return null;
  const path = name.startsWith('.') ? join(dirname(from), name) : join(SRC, name.slice(2));
  const isFile = (file: string) => statSync(file, { throwIfNoEntry: false })?.isFile() ?? false;
  return [path, `${path}.ts`, `${path}.tsx`, join(path, 'index.ts')].find(isFile) ?? null;
}

function circles(graph: ReadonlyMap<string, readonly string[]>): string[][] {
  const index = new Map<string, number>();
  const low = new Map<string, number>();
  const stack: string[] = [];
  const found: string[][] = [];
  const visit = (node: string) => {
    index.set(node, index.size);
    low.set(node, index.get(node)!);
    stack.push(node);
    for (const next of graph.get(node) ?? []) {
      if (!index.has(next)) visit(next);
      if (stack.includes(next)) low.set(node, Math.min(low.get(node)!, low.get(next)!));
    }
    if (low.get(node) !== index.get(node)) return;
    const circle = stack.splice(stack.indexOf(node));
    if (circle.length > 1) found.push(circle);
  };
  for (const node of graph.keys()) if (!index.has(node)) visit(node);
  return found;
}

test('a circle is found', () => {
  expect(
    circles(
      new Map([
        ['a', ['b']],
        ['b', ['c']],
        ['c', ['b']],
        ['d', []],
      ]),
    ),
  ).toEqual([['b', 'c']]);
});

test('no file imports itself by way of others', () => {
  const graph = new Map(
    filesBelow(SRC).map((file) => [
      file,
      ts
        .preProcessFile(readFileSync(file, 'utf8'))
        .importedFiles.flatMap(({ fileName }) => fileOf(file, fileName) ?? []),
    ]),
  );
  expect(graph.size).toBeGreaterThan(200);
  expect(circles(graph).map((circle) => circle.map((file) => relative(SRC, file)))).toEqual([]);
});
