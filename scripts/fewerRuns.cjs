// Under mutation testing a property is tried forty times and not thousands: a mutant that forty tries do not find counts as alive.
const fc = require('fast-check');

const MOST = 40;
const own = fc.assert;
fc.default.assert = (property, given = {}) =>
  own(property, { ...given, numRuns: Math.min(given.numRuns ?? MOST, MOST) });
