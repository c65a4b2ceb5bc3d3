import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';

const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'src'], { encoding: 'utf8' })
  .split('\n')
  .filter((f) => /\.tsx?$/.test(f) && !/\.test\./.test(f));
const known = new Set(files);

/** The file of the product that an import names; null for a package. */
function fileOf(from: string, to: string): string | null {
  const base = to.startsWith('@/')
    ? `src/${to.slice(2)}`
    : to.startsWith('.')
      ? path.posix.join(path.posix.dirname(from), to)
      : null;
  return [`${base}.ts`, `${base}.tsx`].find((f) => known.has(f)) ?? null;
}

const imports = new Map(
  files.map((f) => [
    f,
    [...readFileSync(f, 'utf8').matchAll(/ from '([^']+)'/g)].flatMap(([, to]) => fileOf(f, to ?? '') ?? []),
  ]),
);

/** Files that reach themselves by their imports, types included; by depth first, each visited once. */
function circles(): readonly string[] {
  const state = new Map<string, 'open' | 'closed'>();
  const found: string[] = [];
  const visit = (file: string, way: readonly string[]): void => {
    if (state.get(file) === 'closed') return;
    if (state.get(file) === 'open') {
      found.push([...way.slice(way.indexOf(file)), file].join(' -> '));
      return;
    }
    state.set(file, 'open');
    for (const to of imports.get(file) ?? []) visit(to, [...way, file]);
    state.set(file, 'closed');
  };
  for (const file of files) visit(file, []);
  return found;
}

test('no file imports itself by way of others, not even for a type', () => {
  expect(files.length).toBeGreaterThan(500);
  expect(circles()).toEqual([]);
});
