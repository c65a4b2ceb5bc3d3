// Compiles a file of the catalogue while the application is built, so that no page carries a parser of messages.
module.exports = async function (source) {
  const { default: compile } = await import('icu-minify/compile');
  const compiled = Object.entries(JSON.parse(source)).map(([id, text]) => [id, compile(text)]);
  return JSON.stringify(Object.fromEntries(compiled));
};
