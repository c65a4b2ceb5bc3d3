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
    from: 'inHand(run, state) - state.spoiledInLoad',
    to: 'inHand(run, state)',
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
