import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import ts from 'typescript';

/*
 * Every text of the interface, read from the source: string literals, templates and the text of elements. What docs/writing.md and docs/terms.md
 * rule out must not stand in any of them.
 */

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

/** Code names, paths of files and words stored in old files: not read by anybody on a screen. */
const isText = (text: string): boolean => /[A-Za-z]{2,}/.test(text) && / |^[A-Z]/.test(text);

function textsOf(path: string): string[] {
  const source = ts.createSourceFile(
    path,
    readFileSync(path, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    if (ts.isJsxAttribute(node) && node.name.getText() === 'className') return;
    if (ts.isJsxText(node) || ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node))
      found.push(node.text);
    else if (ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node)) found.push(node.text);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found.map((t) => t.replace(/\s+/g, ' ').trim()).filter(isText);
}

const files = execFileSync('git', ['ls-files', 'src'], { encoding: 'utf8' })
  .split('\n')
  .filter((f) => /\.tsx?$/.test(f) && !/\.test\.|fixtures|\/demo\/|\/upgrades?/.test(f));

test('no text of the interface holds a word that the writing guide rules out', () => {
  const wrong = files.flatMap((file) =>
    textsOf(file).flatMap((text) =>
      RULED_OUT.filter(([pattern]) => pattern.test(text)).map(
        ([, instead]) => `${file}: “${text}” (write: ${instead})`,
      ),
    ),
  );
  expect(wrong).toEqual([]);
});
