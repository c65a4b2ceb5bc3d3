'use client';

import { useState } from 'react';
import type { Result } from '@/core/basics/result';
import { asideFileText, removeAside, startFreshSettings, type RecordKind } from '@/data/setAside';
import { Button } from '@/ui/Button';
import { Confirm } from '@/ui/Confirm';
import { notify, notifyProblem } from '@/ui/notify';
import { forgetAside, useFound } from './asideStore';
import { saveTextAs } from './download';
import { useShop } from './shopContext';

const KINDS: Readonly<Record<RecordKind, readonly [string, string]>> = {
  job: ['job', 'jobs'],
  blank: ['blank', 'blanks'],
  press: ['press', 'presses'],
  paper: ['paper', 'papers'],
  recipe: ['recipe', 'recipes'],
  run: ['run', 'runs'],
  settings: ['the shop’s settings', 'settings'],
  'log entry': ['log entry', 'log entries'],
  'stock item': ['stock item', 'stock items'],
  'stock movement': ['stock movement', 'stock movements'],
  quote: ['quote', 'quotes'],
};

/** How many of each kind: “1 run, 2 jobs, the shop’s settings”. */
function countWords(kinds: readonly RecordKind[]): string {
  const counts = new Map<RecordKind, number>();
  for (const k of kinds) counts.set(k, (counts.get(k) ?? 0) + 1);
  return [...counts]
    .map(([k, n]) => (k === 'settings' ? KINDS[k][0] : `${n} ${KINDS[k][n === 1 ? 0 : 1]}`))
    .join(', ');
}

/** The one place that says which records are kept and cannot be read, with their file to save and the way on. */
export function SetAsideNotice() {
  const { aside: ofShop, jobs } = useShop();
  const found = useFound();
  const aside = [...ofShop, ...found];
  const [saved, setSaved] = useState(false);
  const [asking, setAsking] = useState<'fresh' | 'remove' | null>(null);
  if (aside.length === 0) return null;
  const settings = aside.some((a) => a.kind === 'settings');
  const rest = aside.filter((a) => a.kind !== 'settings');
  const jobName = (id: string | null) => jobs.find((r) => r.id === id)?.job.name ?? null;
  const names = [...new Set(aside.flatMap((a) => a.name ?? jobName(a.jobId) ?? []))].slice(0, 4);
  const save = () => {
    saveTextAs('unreadable-records.json', asideFileText(aside), 'application/json');
    setSaved(true);
  };
  const finish = (r: Result<unknown>, said: string) => {
    if (!r.ok) return notifyProblem(r.problem);
    forgetAside();
    notify(said);
  };
  return (
    <div
      role="alert"
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-l-8 border-warning bg-sheet px-4 py-2"
    >
      <p className="min-w-60 flex-1 leading-snug">
        <strong>This version cannot read {countWords(aside.map((a) => a.kind))}.</strong>
        {names.length > 0 && ` (${names.join(', ')})`} Nothing was deleted.{' '}
        {settings && 'Standard settings are shown until then, and settings cannot be changed. '}
        Update Mesa Drift, or save them to a file first.
      </p>
      <Button onClick={save}>Save to a file</Button>
      {settings && (
        <Button disabled={!saved} onClick={() => setAsking('fresh')}>
          Start with fresh settings
        </Button>
      )}
      {rest.length > 0 && (
        <Button disabled={!saved} onClick={() => setAsking('remove')}>
          Remove {rest.length === 1 ? 'it' : 'them'}
        </Button>
      )}
      {asking === 'fresh' && (
        <Confirm
          title="Start with fresh settings?"
          about="Units, tape, prices, printers and opening hours begin as in a new shop. The settings that cannot be read stay in the file you saved."
          action="Start with fresh settings"
          onConfirm={() => void startFreshSettings().then((r) => finish(r, 'Fresh settings are in use.'))}
          onClose={() => setAsking(null)}
        />
      )}
      {asking === 'remove' && (
        <Confirm
          title={`Remove ${countWords(rest.map((a) => a.kind))}?`}
          about="They stay in the file you saved. Counts and figures go on without them."
          action="Remove"
          onConfirm={() => void removeAside(rest).then((r) => finish(r, 'Removed.'))}
          onClose={() => setAsking(null)}
        />
      )}
    </div>
  );
}
