import { isRaw, list, number, renamed, type Raw, type VersionStep } from './raw';

/*
 * Version 4 to version 5: the trade's own words for every field, and runs that hold the operations they were begun with. Until then a run was
 * folded over the steps that the code of the day made from its settings; those steps are written down here as they were. Stands alone.
 */

const each = (v: unknown, change: (record: Raw) => unknown): unknown =>
  Array.isArray(v) ? v.map((x: unknown) => (isRaw(x) ? change(x) : x)) : v;
const within = (v: unknown, change: (record: Raw) => unknown): unknown => (isRaw(v) ? change(v) : v);

const heat = (v: Raw): Raw => renamed(v, { clock: 'timerStart', fallBackC: 'coolDownC' });
const press = (v: unknown): unknown => within(v, (p) => renamed(p, { clock: 'timerStart' }));
const inHeat = (v: unknown): unknown => within(v, (r) => ({ ...r, settings: within(r.settings, heat) }));

function shape(s: Raw): Raw {
  const diameter = (x: Raw) => renamed(x, { acrossMm: 'diameterMm' });
  if (s.kind === 'flat') return { ...s, holes: each(s.holes, diameter) };
  const { keepClear, ...rest } = s;
  const exclusionZones = each(keepClear, (z) => renamed(z, { aroundMm: 'widthMm' }));
  return { ...rest, sections: each(s.sections, diameter), exclusionZones };
}
const blank = (v: unknown): unknown => within(v, (b) => ({ ...b, shape: within(b.shape, shape) }));

const REPEATS: Readonly<Record<string, string>> = { once: 'none', straight: 'rows' };

function layer(l: Raw): Raw {
  const turned = (x: Raw) => renamed(x, { turnDeg: 'rotationDeg' });
  if (l.kind === 'words') return { ...turned(l), kind: 'text' };
  const { repeat } = l;
  return {
    ...renamed(l, { keep: 'focalArea' }),
    placement: within(l.placement, turned),
    repeat: typeof repeat === 'string' ? (REPEATS[repeat] ?? repeat) : repeat,
  };
}

const wrap = (w: Raw): Raw => ({
  ...renamed(w, { school: 'seamMethod' }),
  edge: w.edge === 'parcel' ? 'wrapped' : w.edge,
});

const job = (v: unknown): unknown =>
  within(v, (j) => ({
    ...j,
    readings: within(j.readings, (r) =>
      renamed(r, { girthTop: 'circumferenceTop', girthFoot: 'circumferenceFoot' }),
    ),
    wrap: within(j.wrap, wrap),
    art: within(j.art, (a) => ({ ...renamed(a, { lie: 'warp' }), layers: each(a.layers, layer) })),
    sheet: within(j.sheet, (s) => renamed(s, { turning: 'mayRotate', withJobs: 'sharedJobIds' })),
    heat: within(j.heat, heat),
  }));

const settings = (v: unknown): unknown =>
  within(v, (s) => ({
    ...renamed(s, { house: 'defaults' }),
    defaults: within(s.house ?? s.defaults, (h) => renamed(h, { schools: 'seamMethods' })),
  }));

interface Old {
  readonly id: string;
  readonly kind: string;
  readonly resource: string;
  readonly plannedS: number;
  readonly timed?: boolean;
  readonly temperatureC?: unknown;
  readonly turnDeg?: number;
  readonly turnedDeg?: number;
  readonly pass?: number;
}

const operation = (o: Old): Raw => ({
  id: o.id,
  stage: 'press',
  kind: o.kind,
  resource: o.resource,
  plannedS: o.plannedS,
  spreadS: o.timed ? [o.plannedS, o.plannedS] : [o.plannedS * 0.8, o.plannedS * 1.4],
  timed: o.timed ?? false,
  needs: {
    temperatureC: o.temperatureC ?? null,
    pass: o.pass ?? null,
    turnDeg: o.turnDeg ?? null,
    turnedDeg: o.turnedDeg ?? 0,
    face: null,
    part: null,
  },
  uses: [],
});

/** Volumetric heat capacity, MJ/(m³ K), and still air at a face, W/(m² K), as version 4 had them. */
const HEAT_CAPACITY: Readonly<Record<string, number>> = {
  steel: 3.95,
  aluminium: 2.43,
  glass: 2.1,
  ceramic: 2.0,
  hardboard: 1.25,
  FRP: 1.9,
  acrylic: 1.75,
  slate: 2.1,
  polymer: 1.8,
};
const STILL_AIR = { usual: 10, low: 7, high: 14 };

/** How long a piece took to cool to 45 °C in a room of 22 °C, by the lumped body of version 4. */
function cooling(s: Raw, of: Raw): Raw {
  const thicknessMm = number(of.wallMm) * (of.wall === 'vacuum' ? 2 : 1);
  const capacity = HEAT_CAPACITY[String(of.material)] ?? 2;
  const log = Math.log(Math.max(1, (number(s.platenC) - 22) / (45 - 22)));
  const after = (h: number) => Math.round(((capacity * 1e3 * thicknessMm) / h) * log);
  return {
    ...operation({
      id: 'cooling',
      kind: 'cooling',
      resource: 'cooling place',
      plannedS: after(STILL_AIR.usual),
    }),
    stage: 'after',
    spreadS: [after(STILL_AIR.high), after(STILL_AIR.low)],
  };
}

/** The steps of one piece as version 4 made them from settings and press. */
function operationsOf(s: Raw, onPress: Raw): readonly Raw[] {
  const passes = Math.max(1, number(s.passes));
  const oven = onPress.kind === 'oven';
  const heated = oven ? 'oven' : 'press';
  const each360 = 360 / passes;
  const passSteps = (_: unknown, i: number): readonly Old[] => {
    const at = { pass: i + 1, turnedDeg: each360 * i };
    const n = i + 1;
    const turn: Old = {
      id: `turn-${n}`,
      kind: 'turn',
      resource: 'hands',
      plannedS: 12,
      turnDeg: each360,
      ...at,
    };
    const coolDown: Old = {
      id: `cool-down-${n}`,
      kind: 'cool-down',
      resource: 'waiting',
      plannedS: 40,
      temperatureC: s.fallBackC,
      ...at,
    };
    const close: Old = { id: `close-${n}`, kind: 'close', resource: 'hands', plannedS: 6, ...at };
    const reach: Old = {
      id: `reach-temperature-${n}`,
      kind: 'reach-temperature',
      resource: 'waiting',
      plannedS: oven ? 240 : 60,
      temperatureC: s.platenC,
      ...at,
    };
    const dwell: Old = {
      id: `press-${n}`,
      kind: 'press',
      resource: heated,
      plannedS: number(s.dwellS),
      timed: true,
      temperatureC: s.platenC,
      ...at,
    };
    return [
      ...(i > 0 ? [turn] : []),
      ...(i > 0 && s.fallBackC !== null ? [coolDown] : []),
      close,
      ...(s.clock === 'at-temperature' ? [reach] : []),
      dwell,
    ];
  };
  const load: Old = { id: 'load', kind: 'load', resource: 'hands', plannedS: 15 };
  const peel: Old = { id: 'peel', kind: 'peel', resource: 'hands', plannedS: 20 };
  const down: Old = { id: 'set-down', kind: 'set-down', resource: 'hands', plannedS: 6 };
  return [load, ...Array.from({ length: passes }, passSteps).flat(), peel, down].map(operation);
}

interface At {
  readonly piece: number;
  readonly step: number;
  readonly ended: boolean;
}

/** Each event told which operation it ended, by folding as version 4 folded. */
function eventsOf(events: readonly unknown[], ids: readonly unknown[], pieces: number): readonly unknown[] {
  let now: At = { piece: 0, step: 0, ended: false };
  let past: readonly At[] = [];
  const nextPiece = (): At => ({ piece: now.piece + 1, step: 0, ended: now.piece + 1 >= pieces });
  const moveTo = (next: At): void => {
    if (now.ended) return;
    past = [...past, now];
    now = next;
  };
  return events.map((e) => {
    if (!isRaw(e)) return e;
    const { at } = e;
    const operationId = ids[now.step];
    switch (e.kind) {
      case 'next':
        moveTo(now.step + 1 < ids.length ? { ...now, step: now.step + 1 } : nextPiece());
        return { at, kind: 'done', operationId };
      case 'spoiled':
        moveTo(nextPiece());
        return { at, kind: 'spoiled', operationId };
      case 'stop':
        moveTo({ ...now, ended: true });
        return { at, kind: 'stop' };
      case 'back': {
        now = past.at(-1) ?? now;
        past = past.slice(0, -1);
        return { at, kind: 'undo' };
      }
      default:
        return e;
    }
  });
}

const run = (v: unknown): unknown =>
  within(v, (r) => {
    if (!isRaw(r.settings) || !isRaw(r.press)) return r;
    const steps = operationsOf(r.settings, r.press);
    const ids = steps.map((o) => o.id);
    const operations = isRaw(r.blank) ? [...steps, cooling(r.settings, r.blank)] : steps;
    return {
      ...r,
      settings: heat(r.settings),
      blank: blank(r.blank),
      press: press(r.press),
      operations,
      events: eventsOf(list(r.events), ids, number(r.pieces)),
    };
  });

export const TO_5: VersionStep = {
  to: 5,
  blank,
  press,
  job,
  settings,
  run,
  recipe: inHeat,
  logEntry: inHeat,
};
