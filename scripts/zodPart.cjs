// Zod's entry modules export its messages in fifty languages and its writer of JSON schemas, and the bundler keeps both. A page uses neither: our
// messages are set in `src/core/basics/zodSetup.ts`, and schemas are written by a script.
const UNUSED =
  /from "\.{1,2}\/(?:core\/)?(?:locales\/index|to-json-schema|json-schema-processors|json-schema-generator)\.js"|from "\.\.\/locales\/index\.js"/;

module.exports = (source) =>
  source
    .split('\n')
    .filter((line) => !UNUSED.test(line))
    .join('\n');
