import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import ts from 'typescript';
import { SOURCES } from './sources';

/*
 * The catalogue, and that it is the only place where texts are written. docs/writing.md and docs/terms.md say how.
 */

type Parts = Readonly<Record<string, Readonly<Record<string, string>>>>;
const messagesOf = (parts: Parts): ReadonlyMap<string, string> =>
  new Map(
    Object.entries(parts).flatMap(([part, file]) =>
      Object.entries(file).map(([id, text]) => [`${part}.${id}`, text] as const),
    ),
  );
const ENGLISH = messagesOf(SOURCES.en);

const tracked = execFileSync('git', ['ls-files', '-co', '--exclude-standard', 'src', 'scripts', 'e2e'], {
  encoding: 'utf8',
})
  .split('\n')
  .filter((f) => /\.tsx?$/.test(f) && !/words\/(?:ids|files|sources)\.ts$/.test(f));
const product = tracked.filter(
  (f) => f.startsWith('src/') && !/\.test\.|\/demo\/|\/test[A-Z]\w*\.ts$/.test(f),
);
const textOf = (file: string): string => readFileSync(file, 'utf8');

/** Words and phrases that the trade does not use, each with its replacement. */
const RULED_OUT: readonly (readonly [RegExp, string])[] = [
  [/\bterraces?\b/i, 'step'],
  [/\b(?:on|to|at) the bench\b/i, 'jobs'],
  [/\bday plan\b/i, 'schedule'],
  [/\b(?:on|off|to) the shelf\b/i, 'stock'],
  [/\bsafe edge\b/i, 'safe zone'],
  [/\b(?:lapped|laps)\b/i, 'overlap'],
  [/\bpairs? of hands\b/i, 'people'],
  [/\bhow it adds up\b/i, 'details'],
  [/\bto settle\b/i, 'issues'],
  [/\bbring (?:in|the|it|a|an)\b/i, 'import'],
  [/\b(?:foretold|thus|hence|lest|ere|whence|strewn?|anew|mend)\b/i, 'plain modern English'],
  [/\bhangs? on it\b/i, 'depends on it'],
  [/\bstands? in (?:the|its) way\b/i, 'is blocked'],
  [/\bnobody (?:said|knows|works|has)\b/i, 'say what is missing'],
  [/\bhowever soon\b/i, 'even if started now'],
  [/\bfor the asking\b/i, 'plain modern English'],
  [/\blowest sensible price\b/i, 'break-even price'],
  [/\bleft above cost\b/i, 'margin'],
  [/\bput on the shelf\b/i, 'add item'],
  [/\bover each other\b/i, 'overlay'],
];

test('no message holds a word that the writing guide rules out', () => {
  const wrong = [...ENGLISH].flatMap(([id, text]) =>
    RULED_OUT.filter(([pattern]) => pattern.test(text)).map(
      ([, instead]) => `${id}: “${text}” (write: ${instead})`,
    ),
  );
  expect(wrong).toEqual([]);
});

test('no two messages are alike', () => {
  const seen = new Map<string, string>();
  const twice = [...ENGLISH].flatMap(([id, text]) => {
    const before = seen.get(text);
    seen.set(text, id);
    return before === undefined ? [] : [`${before} and ${id}: “${text}”`];
  });
  expect(twice).toEqual([]);
});

/** A message as it is read, with the longest of every choice; values count as one word. */
function longest(text: string): string {
  const choice = /\{\w+, (?:plural|select|selectordinal), ((?:[^{}]|\{[^{}]*\})*)\}/.exec(text);
  if (!choice) return text.replace(/\{\w+(?:, \w+)?\}/g, 'X');
  const branches = [...(choice[1] ?? '').matchAll(/\{([^{}]*)\}/g)].map((m) => m[1] ?? '');
  const most = branches.reduce((a, b) => (b.length > a.length ? b : a), '');
  return longest(`${text.slice(0, choice.index)}${most}${text.slice(choice.index + choice[0].length)}`);
}

test('no sentence has more than 22 words', () => {
  const long = [...ENGLISH].flatMap(([id, text]) =>
    longest(text.replace(/\{(\w+)\}/g, 'X'))
      .split(/(?<=[.!?:;]) | · /)
      .filter((sentence) => sentence.split(' ').length > 22)
      .map((sentence) => `${id}: ${sentence}`),
  );
  expect(long).toEqual([]);
});

test('every message is shown somewhere', () => {
  const used = new Set(tracked.flatMap((f) => textOf(f).match(/(?<=')[a-z]+\.[A-Za-z0-9-]+(?=')/g) ?? []));
  const unused = [...ENGLISH.keys()].filter((id) => !id.startsWith('count.') && !used.has(id));
  expect(unused).toEqual([]);
});

test('the types of the messages are those of the catalogue', () => {
  const made = execFileSync(
    'node',
    [
      '--input-type=module',
      '-e',
      "import('./scripts/words.mjs').then(async (m) => process.stdout.write(JSON.stringify(await m.written())))",
    ],
    { encoding: 'utf8' },
  );
  for (const [path, text] of Object.entries(JSON.parse(made) as Record<string, string>))
    expect([path, textOf(path) === text]).toEqual([path, true]);
});

/** The names of the values in a message. */
function namesIn(elements: readonly MessageFormatElement[]): readonly string[] {
  return elements.flatMap((e) => {
    if (e.type === TYPE.literal || e.type === TYPE.pound) return [];
    const inner = 'options' in e ? Object.values(e.options).flatMap((o) => namesIn(o.value)) : [];
    return [e.value, ...inner];
  });
}
const values = (text: string): readonly string[] => [...new Set(namesIn(parse(text)))].sort();

/** What a text begins and ends with where it is joined to others: spaces, or a mark of punctuation before it. */
const ends = (text: string): readonly boolean[] => [/^[ ,;:·]/.test(text), /[ ]$/.test(text)];

test('Spanish is complete', () => {
  expect([...messagesOf(SOURCES.es).keys()].sort()).toEqual([...ENGLISH.keys()].sort());
});

test('no Spanish sentence has more than 28 words', () => {
  const long = [...messagesOf(SOURCES.es)].flatMap(([id, text]) =>
    longest(text)
      .split(/(?<=[.!?:;]) | · /)
      .filter((sentence) => sentence.split(' ').length > 28)
      .map((sentence) => `${id}: ${sentence}`),
  );
  expect(long).toEqual([]);
});

/** Words that the languages share. */
const SHARED = /^(?:Total|Material|Amaro|Brisa|Quell|Corin|shift|select|plural)$/;
test('no text of Spanish is left in English', () => {
  const wordsOf = (text: string) =>
    text.replace(/\{\w+|, (?:plural|select|number)|other/g, '').match(/[A-Za-z]{4,}/g) ?? [];
  const left = [...messagesOf(SOURCES.es)].filter(
    ([id, text]) => text === ENGLISH.get(id) && wordsOf(text).some((w) => !SHARED.test(w)),
  );
  expect(left).toEqual([]);
});

test.each(Object.entries(SOURCES).filter(([locale]) => locale !== 'en'))(
  '%s has only messages of English, with the same values, and the same spaces at its ends',
  (_, parts) => {
    for (const [id, text] of messagesOf(parts))
      expect([id, values(text), ends(text)]).toEqual([
        id,
        values(ENGLISH.get(id) ?? ''),
        ends(ENGLISH.get(id) ?? ''),
      ]);
  },
);

/** Texts that are no words of the interface: what files are written with, names of the product and its demo, and what only a developer reads. */
const NOT_WORDS =
  /^(?:Mesa Drift(?:  X )?|Exif|Indexed|Image|Picture|Enter|Escape|ArrowUp|Barlow.*|Caveat|Lora|Quotes|Name|Lunch|My bench|Desk printer|Star chart|Moon band|Comet|[½1] mm)$/;

/** Text of elements in the source of a component. */
function elementTexts(path: string): readonly string[] {
  const source = ts.createSourceFile(path, textOf(path), ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isJsxText(node) && /[A-Za-z]{2,}/.test(node.text))
      found.push(node.text.replace(/\s+/g, ' ').trim());
    if (
      ts.isJsxAttribute(node) &&
      /^(?:label|title|placeholder|hint|about|alt|aria-label)$/.test(node.name.getText()) &&
      node.initializer &&
      ts.isStringLiteral(node.initializer) &&
      /[A-Za-z]{2,}/.test(node.initializer.text)
    )
      found.push(node.initializer.text);
    // Choices are given as data: { value: 'arc', label: t('art.curvedText') }.
    if (
      ts.isPropertyAssignment(node) &&
      /^(?:label|title|hint|about)$/.test(node.name.getText()) &&
      ts.isStringLiteral(node.initializer) &&
      /[A-Za-z]{2,}/.test(node.initializer.text)
    )
      found.push(node.initializer.text);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found.filter((text) => !NOT_WORDS.test(text));
}

test('no component writes a text of its own', () => {
  const literal = product
    .filter((f) => f.endsWith('x'))
    .flatMap((file) => elementTexts(file).map((text) => `${file}: ${text}`));
  expect(literal).toEqual([]);
});

/** What the core keeps in words because it is stored under them or is a name in a file. */
const KEPT_IN_WORDS =
  /\/(?:library|formats\/upgrades)\/|formats\/(?:\w*Csv|cutList|pdf|pageSvg|svg)\.ts$|log\/cells\.ts$|shop\/printer\.ts$/;

/** Sentences among the strings of a file: they begin with a capital letter and have a second word. */
function sentencesIn(path: string): readonly string[] {
  const source = ts.createSourceFile(path, textOf(path), ts.ScriptTarget.Latest, true);
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isThrowStatement(node)) return;
    const text =
      ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)
        ? node.text
        : ts.isTemplateExpression(node)
          ? [node.head.text, ...node.templateSpans.map((s) => s.literal.text)].join(' X ')
          : null;
    if (text !== null && /^[A-Z][a-z’]+,? [A-Za-z]/.test(text)) found.push(text);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found.filter((text) => !NOT_WORDS.test(text));
}

test('no sentence is written inside the core', () => {
  const sentences = product
    .filter((f) => f.startsWith('src/core/') && !KEPT_IN_WORDS.test(f))
    .flatMap((file) => sentencesIn(file).map((text) => `${file}: ${text}`));
  expect(sentences).toEqual([]);
});
