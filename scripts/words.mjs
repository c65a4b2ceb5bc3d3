// Writes what TypeScript knows of the catalogue in src/words: ids.ts, the type of every message by the English one, and files.ts, the list
// of its files.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { parse } from '@formatjs/icu-messageformat-parser';
import prettier from 'prettier';

const ROOT = 'src/words';
const LOCALES = ['en', 'en-US', 'es'].filter((l) => existsSync(`${ROOT}/${l}`));
const HEAD = '// Written by `npm run words` from the catalogue. Do not edit.\n';

const partsOf = (locale) =>
  readdirSync(`${ROOT}/${locale}`)
    .filter((f) => f.endsWith('.json'))
    .map((f) => f.slice(0, -'.json'.length))
    .sort();

/** The names of the values in a message, in the order they stand. */
function namesIn(elements) {
  return elements.flatMap((e) => {
    if (e.type === 0 || e.type === 7) return [];
    const inner = e.options
      ? Object.values(e.options).flatMap((o) => namesIn(o.value))
      : namesIn(e.children ?? []);
    return e.type === 8 ? inner : [e.value, ...inner];
  });
}

function ids() {
  const lines = partsOf('en').flatMap((part) =>
    Object.entries(JSON.parse(readFileSync(`${ROOT}/en/${part}.json`, 'utf8'))).map(([id, text]) => {
      const names = [...new Set(namesIn(parse(text)))].sort();
      return `  '${part}.${id}': ${names.length === 0 ? 'never' : names.map((n) => `'${n}'`).join(' | ')};`;
    }),
  );
  return `${HEAD}
/** The names of the values of every message; never where it has none. */
export interface ValueNames {\n${lines.join('\n')}\n}\n
export type MessageId = keyof ValueNames;\n`;
}

function files() {
  const load = (l) => partsOf(l).map((p) => `    ${p}: () => import('./${l}/${p}.json'),`);
  return `${HEAD}
export const PARTS = [${partsOf('en')
    .map((p) => `'${p}'`)
    .join(', ')}] as const;
export type PartName = (typeof PARTS)[number];\n
type Load = () => Promise<{ readonly default: Readonly<Record<string, unknown>> }>;\n
/** Fetches one part of the catalogue in one language: each is a file of its own, so that a page loads what it shows. */
export const LOAD: Readonly<Record<${LOCALES.map((l) => `'${l}'`).join(' | ')}, Readonly<Partial<Record<PartName, Load>>>>> = {
${LOCALES.map((l) => `  '${l}': {\n${load(l).join('\n')}\n  },`).join('\n')}
};\n`;
}

function all() {
  const name = (l, p) => `${p}${l.replace(/\W/g, '').toUpperCase()}`;
  return `${HEAD}
${LOCALES.flatMap((l) => partsOf(l).map((p) => `import ${name(l, p)} from './${l}/${p}.json' with { type: 'json' };`)).join('\n')}\n
/** The whole catalogue as it is written, for what runs outside a page. */
export const SOURCES = {
${LOCALES.map(
  (l) =>
    `  '${l}': {${partsOf(l)
      .map((p) => `${p}: ${name(l, p)}`)
      .join(', ')}},`,
).join('\n')}
};\n`;
}

/** Every file written from the catalogue, by its path. */
export async function written() {
  const options = { ...(await prettier.resolveConfig(`${ROOT}/ids.ts`)), parser: 'typescript' };
  const made = { [`${ROOT}/ids.ts`]: ids(), [`${ROOT}/files.ts`]: files(), [`${ROOT}/sources.ts`]: all() };
  return Object.fromEntries(
    await Promise.all(
      Object.entries(made).map(async ([path, text]) => [path, await prettier.format(text, options)]),
    ),
  );
}

if (process.argv[1]?.endsWith('words.mjs'))
  for (const [path, text] of Object.entries(await written())) writeFileSync(path, text);
