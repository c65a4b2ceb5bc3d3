import { ratio, moneyOf } from '../message/quantity';
import { say, type Message, type Write } from '../message/message';
import { A4_MM, type DrawnPage } from '../geometry/drawing';
import { CAUSES, faultLabel } from '../inspect/faults';
import type { LogCharts } from './charts';
import type { LogRow } from './rows';

interface Names {
  readonly shopName: string;
  /** “November 2026”. */
  readonly month: string;
  readonly currency: string;
  /** “30 Nov”. */
  readonly dayOf: (at: number) => string;
  /** Names of jobs, blanks and presses by id, as the entries have them. */
  readonly nameOf: (id: string) => string;
}

const LEFT_MM = 15;
const WIDE_MM = 180;
const MOST_LINES = 8;

/** Good ones and others by some name, most pieces first. */
function sums(
  rows: readonly LogRow[],
  of: (r: LogRow) => string,
): readonly (readonly [string, number, number])[] {
  const found = new Map<string, [number, number]>();
  for (const r of rows) {
    const [good, spoiled] = found.get(of(r)) ?? [0, 0];
    found.set(of(r), [good + r.good, spoiled + r.seconds + r.spoiled]);
  }
  return [...found]
    .map(([name, [good, spoiled]]) => [name, good, spoiled] as const)
    .sort((a, b) => b[1] + b[2] - a[1] - a[2]);
}

/** One page of a month: what was pressed, what was spoiled by what, on which press, and what it cost. */
export function monthPage(rows: readonly LogRow[], charts: LogCharts, names: Names, write: Write): DrawnPage {
  const words: { x: number; y: number; sizeMm: number; text: string }[] = [];
  const shapes: DrawnPage['shapes'][number][] = [];
  let y = 22;
  const line = (text: string, sizeMm = 3.6, x = LEFT_MM) => words.push({ x, y, sizeMm, text });
  const head = (title: Message) => {
    y += 9;
    line(write(title), 5);
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
  const bar = (label: string, value: Message, part: number) => {
    line(label);
    words.push({ x: LEFT_MM + 118, y, sizeMm: 3.6, text: write(value) });
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
  const seconds = rows.reduce((s, r) => s + r.seconds, 0);
  const spoiled = rows.reduce((s, r) => s + r.spoiled, 0);
  words.push({ x: LEFT_MM, y, sizeMm: 8, text: `${names.shopName}, ${names.month}` });
  y += 8;
  line(
    write(
      say('logbook.monthSum', {
        pieces: good + seconds + spoiled,
        good,
        seconds,
        spoiled,
        share: ratio(good / Math.max(1, good + seconds + spoiled)),
        entries: rows.length,
      }),
    ),
    4,
  );
  head(say('logbook.goodByWeek'));
  const goodOf = (g: number, of: number) => say('logbook.goodOf', { good: g, pressed: of });
  for (const w of charts.good.weeks)
    bar(
      write(say('logbook.weekOf', { day: names.dayOf(w.fromAt), signal: w.signal ?? 'none' })),
      goodOf(w.good, w.pressed),
      w.share,
    );
  head(say('logbook.faultsAndCauses'));
  const most = Math.max(1, ...charts.faults.map((f) => f.entries));
  for (const f of charts.faults.slice(0, MOST_LINES)) {
    const cause = f.causes.find((c) => c.cause !== null)?.cause;
    bar(
      write(faultLabel(f.fault)),
      cause
        ? say('logbook.entriesByCause', { entries: f.entries, cause: CAUSES[cause].label })
        : say('logbook.entriesCount', { entries: f.entries }),
      f.entries / most,
    );
  }
  if (charts.faults.length === 0) line(write(say('logbook.noFaultMarked')));
  head(say('logbook.byPress'));
  for (const [id, g, s] of sums(rows, (r) => r.pressId).slice(0, MOST_LINES))
    bar(names.nameOf(id), goodOf(g, g + s), g / Math.max(1, g + s));
  head(say('logbook.byBlank'));
  for (const [id, g, s] of sums(rows, (r) => r.blankId).slice(0, MOST_LINES))
    bar(names.nameOf(id), goodOf(g, g + s), g / Math.max(1, g + s));
  head(say('logbook.spoiledCost'));
  line(
    write(
      say('logbook.costAndUnpriced', {
        cost: moneyOf(names.currency, charts.cost.cents),
        unpriced: charts.cost.unpriced,
      }),
    ),
  );
  return { ...A4_MM, words, shapes };
}
