/**
 * Faults that once passed every unit test. Each is one change of one line; `npm run mutants -- named` makes them one after another in a copy and
 * says which a test finds. A change of the line itself must be followed here.
 */
export const NAMED_MUTANTS = [
  {
    what: 'the cool end of the heater is counted once',
    file: 'src/core/heat/heaterReach.ts',
    from: 'coveredDeg - 2 * END_OVERLAP_DEG',
    to: 'coveredDeg - END_OVERLAP_DEG',
  },
  {
    what: 'a vacuum wall cools by both its faces',
    file: 'src/core/heat/roughCooling.ts',
    from: "blank.wall === 'vacuum' ? 1 : 1.5",
    to: "blank.wall === 'vacuum' ? 1.5 : 1.5",
  },
  {
    what: 'the handle is left out of the reach check',
    file: 'src/core/plan/heat.ts',
    from: 'handled: isHandled(blank)',
    to: 'handled: false && isHandled(blank)',
  },
  {
    what: 'a mat bears ten times the taper',
    file: 'src/core/plan/heatFindings.ts',
    from: 'Math.abs(heater.taperMm)) > 4',
    to: 'Math.abs(heater.taperMm)) > 40',
  },
  {
    what: 'a straight wrap bears ten times the taper',
    file: 'src/core/plan/consistency.ts',
    from: 'CLEARLY_TAPERED_MM = 4',
    to: 'CLEARLY_TAPERED_MM = 40',
  },
  {
    what: 'shrinkage along the feed is ignored',
    file: 'src/core/calibration/calibration.ts',
    from: 'along: axis(c.along)',
    to: 'along: { ...axis(c.along), shrink: 0 }',
  },
  {
    what: 'shrinkage along the feed is ignored for a wrap across it',
    file: 'src/core/plan/plan.ts',
    from: '{ x: across, y: along }',
    to: '{ x: across, y: { ...along, shrink: 0 } }',
  },
  {
    what: 'the handle’s gap is dropped where readings are compared',
    file: 'src/core/plan/consistency.ts',
    from: 'p.value.value + p.place.gapMm',
    to: 'p.value.value + 0 * p.place.gapMm',
  },
  {
    what: 'the press is to heat up before the second closing',
    file: 'src/core/heat/starting.ts',
    from: 'platenC - 18',
    to: 'platenC + 18',
  },
  {
    what: '“too hot” is answered by raising the temperature',
    file: 'src/core/look/causes.ts',
    from: 'Math.max(100, s.platenC - 4)',
    to: 'Math.max(100, s.platenC + 4)',
  },
  {
    what: 'half the uncertainty of a maker’s width is gone',
    file: 'src/core/readings/surface.ts',
    from: 'MAKER_HALF_WIDTH_MM = 1;',
    to: 'MAKER_HALF_WIDTH_MM = 0.5;',
  },
  {
    what: 'half the uncertainty of a maker’s other figures is gone',
    file: 'src/core/plan/measuredShape.ts',
    from: 'measured(value, uniformU(halfWidth), makerSource(what))',
    to: 'measured(value, uniformU(halfWidth) / 2, makerSource(what))',
  },
  {
    what: 'a display that reads high is taken for a hotter press',
    file: 'src/core/heat/simulate.ts',
    from: 's.platenC - c.heater.readsHighK',
    to: 's.platenC + c.heater.readsHighK',
  },
  {
    what: 'a heater that meets all round leaves a gap at the seam',
    file: 'src/core/heat/places.ts',
    from: 'if (coveredDeg >= 360) return 1;',
    to: 'if (coveredDeg >= 360) return 0.5;',
  },
  {
    what: 'a vacuum carries heat to the inner skin',
    file: 'src/core/heat/layers.ts',
    from: 'VACUUM_WM2K = 0.6',
    to: 'VACUUM_WM2K = 600',
  },
  {
    what: 'a piece spoiled in a load is counted good',
    file: 'src/core/run/run.ts',
    from: 'state.good + state.inLoad.length - state.spoiledInLoad.length',
    to: 'state.good + state.inLoad.length',
  },
  {
    what: 'an event of an earlier moment turns time back',
    file: 'src/core/run/run.ts',
    from: 'Math.max(fold.lastAt, event.at)',
    to: 'event.at',
  },
  {
    what: 'a whole load taken back takes one step back',
    file: 'src/core/run/run.ts',
    from: "takenBack(fold, event.kind === 'undo-load')",
    to: 'takenBack(fold, false)',
  },
  {
    what: 'a clock set back turns time back',
    file: 'src/core/run/clock.ts',
    from: 'byMs < 0 || byMs > LONGEST_SLEEP_MS',
    to: 'byMs > LONGEST_SLEEP_MS',
  },
  {
    what: 'hands slower than the press need no stock',
    file: 'src/core/run/taping.ts',
    from: 'Math.max(0, loads - 1) * short',
    to: '0 * short',
  },
  {
    what: 'what cooks waits behind what waited longest',
    file: 'src/core/run/board.ts',
    from: 'NEEDS.indexOf(a.need) - NEEDS.indexOf(b.need) || a.dueS',
    to: 'a.dueS',
  },
  {
    what: 'a wait for hands passes for work',
    file: 'src/core/run/pace.ts',
    from: 'Math.max(step.startedAt, freeAt)',
    to: 'step.startedAt',
  },
  {
    what: 'a later pass that is over is judged as the first',
    file: 'src/core/run/dose.ts',
    from: 'pass > 1 ? dose.later : dose.first',
    to: 'dose.first',
  },
  {
    what: 'a press left open falls below its resting temperature',
    file: 'src/core/run/leftOpen.ts',
    from: 'Math.max(press.restingC, cooledC)',
    to: 'cooledC',
  },
  {
    what: 'a piece printed again has the first guest’s name',
    file: 'src/core/plan/sheet.ts',
    from: 'placeArt(job.art, art.board, first.row)',
    to: 'art.placedLayers',
  },
  {
    what: 'more pieces press as hard as one',
    file: 'src/core/heat/case.ts',
    from: '(c.pieceM2 * c.pieces)) ** 0.95',
    to: 'c.pieceM2) ** 0.95',
  },
  {
    what: 'a timer at temperature starts on closing',
    file: 'src/core/heat/schedule.ts',
    from: "waits: s.timerStart === 'at-temperature'",
    to: 'waits: false',
  },
];
