/** How many of each page to print, in as few words as it takes: runs of pages printed alike are said together. */
export function copiesText(copies: readonly number[]): string {
  if (copies.length === 0) return '';
  const [first] = copies;
  if (copies.length > 1 && copies.every((c) => c === first))
    return `${copies.length} pages, print each ${first === 1 ? 'once' : `${first} times`}. `;
  const runs: { from: number; to: number; copies: number }[] = [];
  copies.forEach((c, i) => {
    const run = runs.at(-1);
    if (run && run.copies === c) run.to = i + 1;
    else runs.push({ from: i + 1, to: i + 1, copies: c });
  });
  return runs
    .map((r) =>
      r.from === r.to
        ? `Page ${r.from}: print ${r.copies}. `
        : `Pages ${r.from} to ${r.to}: print each ${r.copies === 1 ? 'once' : `${r.copies} times`}. `,
    )
    .join('');
}
