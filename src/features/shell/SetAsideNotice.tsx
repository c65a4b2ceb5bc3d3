'use client';

import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { useState } from 'react';
import type { Result } from '@/core/basics/result';
import { asideFileText, removeAside, startFreshSettings, type RecordKind } from '@/data/setAside';
import { Button } from '@/ui/Button';
import { Confirm } from '@/ui/Confirm';
import { notify, notifyProblem } from '@/ui/notify';
import { forgetAside, useSetAside } from './asideStore';
import { saveTextAs } from './download';
import { useShop } from './shopContext';

/** How many of each kind: “1 run, 2 jobs, the shop’s settings”. */
function countWords(kinds: readonly RecordKind[]): Message {
  const counts = new Map<RecordKind, number>();
  for (const k of kinds) counts.set(k, (counts.get(k) ?? 0) + 1);
  return say('shell.kinds', {
    kinds: [...counts].map(([kind, n]) => say('shell.ofKind', { kind: kind.replace(' ', ''), n })),
  });
}

/** The one place that says which records are kept and cannot be read, with their file to save and the way on. */
export function SetAsideNotice() {
  const t = useWords();
  const { aside: ofShop, jobs } = useShop();
  const found = useSetAside();
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
        <strong>{t('shell.versionCannotRead', { aside: countWords(aside.map((a) => a.kind)) })}</strong>
        {names.length > 0 && ` (${names.join(', ')})`} {t('shell.nothingWasDeleted')}{' '}
        {settings && t('shell.standardSettingsShownUntil')}
        {t('shell.updateMesaDriftSave')}
      </p>
      <Button onClick={save}>{t('common.saveFile')}</Button>
      {settings && (
        <Button disabled={!saved} onClick={() => setAsking('fresh')}>
          {t('shell.startFreshSettings')}
        </Button>
      )}
      {rest.length > 0 && (
        <Button disabled={!saved} onClick={() => setAsking('remove')}>
          {t('shell.remove', { rest: rest.length })}
        </Button>
      )}
      {asking === 'fresh' && (
        <Confirm
          title={t('shell.startFreshSettings2')}
          about={t('shell.unitsTapePricesPrinters')}
          action={t('shell.startFreshSettings')}
          onConfirm={() => void startFreshSettings().then((r) => finish(r, t('shell.freshSettingsUse')))}
          onClose={() => setAsking(null)}
        />
      )}
      {asking === 'remove' && (
        <Confirm
          title={t('shell.remove2', { rest: countWords(rest.map((a) => a.kind)) })}
          about={t('shell.theyStayFileYou')}
          action={t('common.remove2')}
          onConfirm={() => void removeAside(rest).then((r) => finish(r, t('shell.removed')))}
          onClose={() => setAsking(null)}
        />
      )}
    </div>
  );
}
