'use client';

import { say, type Message } from '@/core/message/message';
import { settingsSummary } from '@/core/heat/settings/labels';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { sameSettings } from '@/core/shop/heatSettings';
import { EMPTY_INSPECTION, type Job } from '@/core/job/job';
import type { LogEntry, Recipe } from '@/core/shop/records';
import { newId } from '@/data/ids';
import { goodBehind, writeLog } from '@/data/log';
import { keepRecipe } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Say, useWords } from '@/ui/words';
import { notify, notifyProblem, notifyWrong } from '@/ui/notify';
import { useJob } from '../job/jobContext';
import { personHere } from '../press/tap';
import { entryFrom } from './entry';

/** What is still missing before an inspection can be written down, in words. */
function missing(job: Job, pieces: number): Message | null {
  if (job.inspection.verdict === null) return say('inspect.chooseVerdictFirst');
  if (job.inspection.paperState === null) return say('inspect.chooseHowUsedPaper');
  if (pieces === 0) return say('inspect.enterHowManyPieces');
  return null;
}

/** Writes the inspection in the log; a good one is offered as the shop's recipe. */
export function SaveToLog() {
  const t = useWords();
  const { job, plan, shop, edit } = useJob();
  const [offer, setOffer] = useState<LogEntry | null>(null);
  // The entry is named before the button can be tapped: tapped twice, it is the same entry.
  const [entryId, setEntryId] = useState(() => newId('log'));

  const write = async () => {
    const good = job.inspection.good ?? plan.inspect.unlogged.good;
    const seconds = job.inspection.seconds ?? plan.inspect.unlogged.seconds;
    const spoiled = job.inspection.spoiled ?? plan.inspect.unlogged.spoiled;
    const wants = missing(job, good + seconds + spoiled);
    const { verdict, paperState, note } = job.inspection;
    const entry =
      wants === null && verdict !== null && paperState !== null
        ? entryFrom(job, plan, shop, {
            id: entryId,
            at: Date.now(),
            verdict,
            paperState,
            good,
            seconds,
            spoiled,
            by: personHere() || null,
            note,
          })
        : null;
    if (!entry) {
      notifyWrong(wants ?? t('inspect.chooseBlankPressFirst3'));
      return;
    }
    const r = await writeLog(entry);
    if (!r.ok) {
      notifyProblem(r.problem);
      return;
    }
    if (!r.value) {
      notify(t('inspect.inspectionAlreadyLog'));
      return;
    }
    setEntryId(newId('log'));
    // What was set for the next pressing is what that one tries; the lot in hand goes on too.
    edit((j) => ({
      ...j,
      inspection: { ...EMPTY_INSPECTION, lot: j.inspection.lot, tried: j.inspection.next },
    }));
    const known = plan.heat.chosen?.proven?.recipe.settings;
    if (verdict === 'good' && !(known && sameSettings(known, entry.settings))) setOffer(entry);
    else notify(t('inspect.savedLog'));
  };

  return (
    <>
      <Button kind="act" className="min-h-11 shrink-0 px-5 text-lead" onClick={() => void write()}>
        {t('job.lookNext')}
      </Button>
      {offer && (
        <KeepAsProven
          entry={offer}
          pressureAt={plan.press.last?.pressureAt ?? null}
          onDone={() => setOffer(null)}
        />
      )}
    </>
  );
}

function KeepAsProven({
  entry,
  pressureAt,
  onDone,
}: {
  entry: LogEntry;
  pressureAt: number | null;
  onDone: () => void;
}) {
  const t = useWords();
  const [recipe] = useState<Recipe>(() => recipeOf(entry, pressureAt));
  const counted = useLiveQuery(() => goodBehind([recipe]), [recipe.id]);
  const behind = counted?.[recipe.id] ?? entry.good;
  const keep = async () => {
    const r = await keepRecipe(recipe);
    if (r.ok)
      notify(t('inspect.recipeSavedNextStarts', { blankName: entry.blankName, pressName: entry.pressName }));
    else notifyProblem(r.problem);
    onDone();
  };
  return (
    <Dialog open onClose={onDone} title={t('inspect.saveProvenRecipe2')} about={t('inspect.savedLogGood')}>
      <p className="font-label text-head font-semibold">
        <Say message={settingsSummary(entry.settings)} />
      </p>
      <p className="mt-2 leading-snug">
        {t('inspect.provenGood', { blankName: entry.blankName, pressName: entry.pressName, behind })}
      </p>
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={onDone}>{t('inspect.notYet')}</Button>
        <Button kind="act" onClick={() => void keep()}>
          {t('inspect.saveProvenRecipe')}
        </Button>
      </div>
    </Dialog>
  );
}

/** The settings of an entry as a recipe of the shop. */
export const recipeOf = (entry: LogEntry, pressureAt: number | null): Recipe => ({
  id: newId('recipe'),
  blankId: entry.blankId,
  pressId: entry.pressId,
  settings: entry.settings,
  load: entry.load,
  pressureAt,
  keptAt: entry.at,
});
