// Compiles tests with swc. Jest runs modules in a context of their own, where every mention of a global is looked up by a slow way:
// the ones that reckoning leans on are put in each module's reach once, which makes the property tests several times as fast.
const { createTransformer } = require('@swc/jest');

const NAMES = [
  ...['Math', 'Number', 'Array', 'Object', 'JSON', 'Map', 'Set', 'Infinity', 'NaN'],
  ...['Float64Array', 'Float32Array', 'Int32Array', 'Uint32Array', 'Uint8Array', 'Uint8ClampedArray'],
];
const HEAD = NAMES.map((n) => `const ${n} = globalThis.${n};`).join(' ');

/** One line with the module's first, so that lines keep their numbers. */
const led = (code) => `"use strict"; ${HEAD} ${code}`;

module.exports = {
  createTransformer(options) {
    const swc = createTransformer(options);
    return {
      ...swc,
      process(source, path, given) {
        const made = swc.process(source, path, given);
        return path.includes('node_modules') ? made : { ...made, code: led(made.code) };
      },
    };
  },
};
