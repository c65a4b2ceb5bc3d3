import { bisector } from 'd3-array';
import { cellOf } from '../art/names';
import { fitText, isOnCircle, runsOutOf, setText, type Fitted } from '../art/text';
import type { Contour } from '../geometry/contour';
import type { Names, TextLayer } from '../job/art';
import { say } from '../message/message';
import { mainFace, type Pattern } from '../wrap/pattern';
import { check, type Check } from './check';
import { some } from './text';

export interface NamesInput {
  readonly names: Names | null;
  /** Text layers that take a column of the list. */
  readonly layers: readonly TextLayer[];
  /** The straight pattern they are set on. */
  readonly pattern: Pattern;
}

interface Measured extends Fitted {
  readonly text: string;
}

/** Sets some texts of a layer on the straight board. */
interface Setting {
  readonly layer: TextLayer;
  readonly pattern: Pattern;
  readonly safe: readonly Contour[];
}

const setOf = ({ layer, pattern }: Setting, text: string) =>
  setText({ ...layer, text }, pattern.trim, pattern.form === 'flat');

const isOut = (s: Setting, m: Measured): boolean => runsOutOf(setOf(s, m.text).quads, s.safe) > 0;

/**
 * Texts that run out of the safe zone. Of one size and about one middle a longer text covers all that a shorter one does: inside a zone of one
 * piece the shortest that runs out is found by halving, and every longer one does so too.
 */
function runningOut(s: Setting, all: readonly Measured[]): readonly Measured[] {
  if (s.safe.length === 0) return [];
  const flat = s.pattern.form === 'flat';
  if (s.safe.length > 1 || isOnCircle(s.layer, s.pattern.trim, flat)) return all.filter((m) => isOut(s, m));
  // Those set smaller are each of a size of their own.
  const full = all.filter((m) => m.fitted === 1).sort((a, b) => a.lengthMm - b.lengthMm);
  const first = bisector((m: Measured) => Number(isOut(s, m))).left(full, 1);
  const out = new Set(full.slice(first));
  return all.filter((m) => (m.fitted === 1 ? out.has(m) : isOut(s, m)));
}

function checkLayer(layer: TextLayer, field: string, names: Names, pattern: Pattern): readonly Check[] {
  const { safe } = mainFace(pattern);
  const texts = [...new Set(names.rows.map((r) => cellOf(names, r, field)).filter((t) => t !== ''))];
  const all = texts.map((text): Measured => ({ text, ...fitText(layer, text) }));
  const setting: Setting = { layer, pattern, safe };
  const lacking = all.filter((m) => m.missing.length > 0);
  const long = all.filter((m) => m.overMm > 0.05);
  const small = all.filter((m) => m.fitted < 1 && m.overMm <= 0.05);
  const out = runningOut(setting, all);
  const box = (xs: readonly Measured[]) => xs.slice(0, 1).map((m) => setOf(setting, m.text).box);
  const listed = (xs: readonly Measured[]) => some(xs.map((m) => m.text));
  const found: Check[] = [];
  if (lacking.length > 0)
    found.push(
      check(
        'names-letters',
        'blocker',
        say('art.fontHasWantedChoose', {
          value: [...new Set(lacking.flatMap((m) => m.missing))].map((x) => `“${x}”`),
          lacking: listed(lacking),
        }),
        box(lacking),
      ),
    );
  if (long.length > 0)
    found.push(
      check(
        'names-long',
        'warning',
        say('art.namesLong', { names: long.length, long: listed(long) }),
        box(long),
        { kind: 'text', label: say('art.shrinkLongNames'), layer: layer.id, text: { overlong: 'fit' } },
      ),
    );
  if (out.length > 0)
    found.push(
      check('names-safe', 'warning', say('art.namesOut', { names: out.length, out: listed(out) }), box(out), {
        kind: 'text',
        label: say('art.moveInside'),
        layer: layer.id,
        text: { mostMm: Math.max(5, Math.floor(pattern.safe.width * 0.98)), overlong: 'fit' },
      }),
    );
  if (small.length > 0)
    found.push(
      check('names-fitted', 'info', say('art.namesSmall', { names: small.length, small: listed(small) })),
    );
  return found;
}

/** The whole names list against the rooms it is set in: what is missing, what is too long, what runs out. */
export const checkNames = ({ names, layers, pattern }: NamesInput): readonly Check[] =>
  names
    ? layers.flatMap((layer) => (layer.field === null ? [] : checkLayer(layer, layer.field, names, pattern)))
    : [];
