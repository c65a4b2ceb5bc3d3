import { A4_MM, type DrawnPage } from '../geometry/drawing';
import { CAUSES, faultLabel } from '../look/faults';
import type { LogCharts } from './charts';
import type { LogRow } from './rows';

interface Names {
  readonly shopName: string;
  /** “November 2026”. */
  readonly month: string;
  readonly currency: string;
  /** Names of jobs, blanks and presses by id, as the entries have them. */
  readonly nameOf: (id: string) => string;
}

const LEFT_MM = 15;
const WIDE_MM = 180;
const MOST_LINES = 8;

const count = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
const share = (good: number, spoiled: number): string =>
  good + spoiled === 0 ? 'nothing' : `${Math.round((100 * good) / (good + spoiled))} %`;

/** Good and spoiled by some name, most pieces first. */
function sums(
  rows: readonly LogRow[],
  of: (r: LogRow) => string,
): readonly (readonly [string, number, number])[] {
  const found = new Map<string, [number, number]>();
  for (const r of rows) {
    const [good, spoiled] = found.get(of(r)) ?? [0, 0];
    found.set(of(r), [good + r.good, spoiled + r.spoiled]);
  }
  return [...found]
    .map(([name, [good, spoiled]]) => [name, good, spoiled] as const)
    .sort((a, b) => b[1] + b[2] - a[1] - a[2]);
}

/** One page of a month: what was pressed, what was spoiled by what, on which press, and what it cost. */
export function monthPage(rows: readonly LogRow[], charts: LogCharts, names: Names): DrawnPage {
  const words: { x: number; y: number; sizeMm: number; text: string }[] = [];
  const shapes: DrawnPage['shapes'][number][] = [];
  let y = 22;
  const say = (text: string, sizeMm = 3.6, x = LEFT_MM) => words.push({ x, y, sizeMm, text });
  const head = (text: string) => {
    y += 9;
    say(text, 5);
    y += 2;
    shapes.push({
      points: [
        { x: LEFT_MM, y },
        { x: LEFT_MM + WIDE_MM, y },
      ],
      closed: false,
      line: 0,
      ground: null,
      widthMm: 0.4,
    });
    y += 5.5;
  };
  const bar = (label: string, value: string, part: number) => {
    say(label);
    words.push({ x: LEFT_MM + 118, y, sizeMm: 3.6, text: value });
    const [x, wide] = [LEFT_MM + 60, 54];
    const box = (w: number) => [
      { x, y: y - 3 },
      { x: x + w, y: y - 3 },
      { x: x + w, y: y + 0.5 },
      { x, y: y + 0.5 },
    ];
    shapes.push({ points: box(wide), closed: true, line: null, ground: 0.9, widthMm: 0 });
    shapes.push({
      points: box(Math.max(0.2, wide * part)),
      closed: true,
      line: null,
      ground: 0.35,
      widthMm: 0,
    });
    y += 6;
  };
  const good = rows.reduce((s, r) => s + r.good, 0);
  const spoiled = rows.reduce((s, r) => s + r.spoiled, 0);
  words.push({ x: LEFT_MM, y, sizeMm: 8, text: `${names.shopName}, ${names.month}` });
  y += 8;
  say(
    `${count(good + spoiled, 'piece')} pressed, ${good} good, ${spoiled} spoiled: ${share(good, spoiled)} good, in ${count(rows.length, 'entry', 'entries')}.`,
    4,
  );
  head('Good out of pressed, by week');
  const week = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' });
  for (const w of charts.good.weeks) {
    const flag =
      w.signal === 'outside'
        ? ', outside the control limits'
        : w.signal === 'run'
          ? ', a run on one side'
          : '';
    bar(`Week of ${week.format(w.fromAt)}${flag}`, `${w.good} of ${w.pressed}`, w.share);
  }
  head('Faults and their causes');
  const most = Math.max(1, ...charts.faults.map((f) => f.entries));
  for (const f of charts.faults.slice(0, MOST_LINES)) {
    const cause = f.causes.find((c) => c.cause !== null)?.cause;
    bar(
      faultLabel(f.fault),
      `${count(f.entries, 'entry', 'entries')}${cause ? `, ${CAUSES[cause].label}` : ''}`,
      f.entries / most,
    );
  }
  if (charts.faults.length === 0) say('No fault was marked.');
  head('By press');
  for (const [id, g, s] of sums(rows, (r) => r.pressId).slice(0, MOST_LINES))
    bar(names.nameOf(id), `${g} of ${g + s} good`, g / Math.max(1, g + s));
  head('By blank');
  for (const [id, g, s] of sums(rows, (r) => r.blankId).slice(0, MOST_LINES))
    bar(names.nameOf(id), `${g} of ${g + s} good`, g / Math.max(1, g + s));
  head('What spoiled pieces cost in blanks');
  say(
    `${names.currency}${(charts.cost.cents / 100).toFixed(2)}${charts.cost.unpriced > 0 ? `, and ${count(charts.cost.unpriced, 'piece')} whose blank has no price` : ''}.`,
  );
  return { ...A4_MM, words, shapes };
}
