// Draws which room of the core uses which, from the imports, into docs/architecture.md: npm run rooms. With --check it only says whether the
// drawing is still true.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { CORE_ROOMS } from '../src/core/rooms.mjs';

const ROOT = path.resolve(import.meta.dirname, '..');
const DOC = path.join(ROOT, 'docs/architecture.md');
const [START, END] = ['<!-- rooms: start, made by npm run rooms -->', '<!-- rooms: end -->'];
const CORE = path.join(ROOT, 'src/core');

const isProduct = (file) => !/(\.test\.ts|[\\/]test[A-Z]\w*\.ts|\.d\.ts)$/.test(file);
const roomOf = (file) => path.relative(CORE, file).split(path.sep)[0];

/** Rooms each room imports from. */
function used() {
  const uses = new Map(CORE_ROOMS.map(({ room }) => [room, new Set()]));
  for (const name of readdirSync(CORE, { recursive: true })) {
    const file = path.join(CORE, name);
    if (!name.endsWith('.ts') || !isProduct(file)) continue;
    for (const [, to] of readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)) {
      const room = roomOf(path.resolve(path.dirname(file), to));
      if (room !== roomOf(file)) uses.get(roomOf(file)).add(room);
    }
  }
  return uses;
}

/** Arrows that no chain of other arrows already draws. */
function reduced(uses) {
  const reaches = (from, to) => [...uses.get(from)].some((mid) => mid === to || reaches(mid, to));
  return [...uses].flatMap(([from, tos]) =>
    [...tos].filter((to) => ![...tos].some((mid) => mid !== to && reaches(mid, to))).map((to) => [from, to]),
  );
}

function drawing() {
  const rows = CORE_ROOMS.map(({ room, holds }) => `| \`${room}\` | ${holds} |`);
  const arrows = reduced(used()).map(([from, to]) => `  ${from} --> ${to}`);
  return [
    START,
    '',
    '| room | holds |',
    '| --- | --- |',
    ...rows,
    '',
    'An arrow says “uses”. Arrows that a chain of others already draws are left out.',
    '',
    '```mermaid',
    'graph BT',
    ...arrows.sort(),
    '```',
    '',
    END,
  ].join('\n');
}

const { format, resolveConfig } = await import('prettier');
const text = readFileSync(DOC, 'utf8');
const made = `${text.slice(0, text.indexOf(START))}${drawing()}${text.slice(text.indexOf(END) + END.length)}`;
const whole = await format(made, { ...(await resolveConfig(DOC)), filepath: DOC });
if (!process.argv.includes('--check')) writeFileSync(DOC, whole);
else if (whole !== text) {
  process.stderr.write('docs/architecture.md shows other rooms than the code has. Run: npm run rooms\n');
  process.exit(1);
}
