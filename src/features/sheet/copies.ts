import { say, type Message } from '@/core/message/message';
/** How many of each page to print, in as few words as it takes: runs of pages printed alike are said together. */
export function copiesText(copies: readonly number[]): Message | null {
  const [first] = copies;
  if (first === undefined) return null;
  if (copies.length > 1 && copies.every((c) => c === first))
    return say('sheet.pagesPrintEach', { copies: copies.length, first });
  const runs: { from: number; to: number; copies: number }[] = [];
  copies.forEach((c, i) => {
    const run = runs.at(-1);
    if (run && run.copies === c) run.to = i + 1;
    else runs.push({ from: i + 1, to: i + 1, copies: c });
  });
  return say('sheet.runsOfPages', {
    runs: runs.map((r) =>
      r.from === r.to
        ? say('sheet.pagePrint', { from: r.from, copies: r.copies })
        : say('sheet.pagesPrintEach2', { from: r.from, to: r.to, copies: r.copies }),
    ),
  });
}
