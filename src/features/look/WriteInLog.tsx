'use client';

import { PRESSURE_WORDS } from '@/core/heat/labels';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { sameSettings } from '@/core/shop/heatSettings';
import { EMPTY_LOOK, type Job } from '@/core/job/job';
import type { LogEntry, Recipe } from '@/core/shop/records';
import { celsius, seconds } from '@/core/units/quantity';
import { newId } from '@/data/ids';
import { goodBehind, writeLog } from '@/data/log';
import { keepRecipe } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { useSay } from '@/ui/units';
import { notify, notifyProblem, notifyWrong } from '@/ui/notify';
import { useJob } from '../job/jobContext';
import { personHere } from '../press/strike';
import { entryFrom } from './entry';

/** What is still missing before a look can be written down, in words. */
function missing(job: Job, pieces: number): string | null {
  if (job.look.verdict === null) return 'Choose a verdict first.';
  if (job.look.paperState === null) return 'Choose how the used paper looks.';
  if (pieces === 0) return 'Enter how many pieces are good or spoiled.';
  return null;
}

/** Writes the look in the log; a good one is offered as the shop's recipe. */
export function WriteInLog() {
  const { job, plan, shop, edit } = useJob();
  const [offer, setOffer] = useState<LogEntry | null>(null);
  // The entry is named before the button can be struck: struck twice, it is the same entry.
  const [entryId, setEntryId] = useState(() => newId('log'));

  const write = async () => {
    const good = job.look.good ?? plan.look.unlogged.good;
    const spoiled = job.look.spoiled ?? plan.look.unlogged.spoiled;
    const wants = missing(job, good + spoiled);
    const { verdict, paperState, note } = job.look;
    const entry =
      wants === null && verdict !== null && paperState !== null
        ? entryFrom(job, plan, shop, {
            id: entryId,
            at: Date.now(),
            verdict,
            paperState,
            good,
            spoiled,
            by: personHere() || null,
            note,
          })
        : null;
    if (!entry) {
      notifyWrong(wants ?? 'Choose the blank and the press first. The log needs both.');
      return;
    }
    const r = await writeLog(entry);
    if (!r.ok) {
      notifyProblem(r.problem);
      return;
    }
    if (!r.value) {
      notify('This inspection is already in the log.');
      return;
    }
    setEntryId(newId('log'));
    // What was set for the next pressing is what that one tries; the lot in hand goes on too.
    edit((j) => ({ ...j, look: { ...EMPTY_LOOK, lot: j.look.lot, tried: j.look.next } }));
    const known = plan.heat.chosen?.proven?.recipe.settings;
    if (verdict === 'good' && !(known && sameSettings(known, entry.settings))) setOffer(entry);
    else notify('Saved to the log.');
  };

  return (
    <>
      <Button kind="act" className="min-h-11 shrink-0 px-5 text-lead" onClick={() => void write()}>
        Save to log
      </Button>
      {offer && <KeepAsProven entry={offer} onDone={() => setOffer(null)} />}
    </>
  );
}

function KeepAsProven({ entry, onDone }: { entry: LogEntry; onDone: () => void }) {
  const say = useSay();
  const { settings: s } = entry;
  const [recipe] = useState<Recipe>(() => recipeOf(entry));
  const counted = useLiveQuery(() => goodBehind([recipe]), [recipe.id]);
  const behind = counted?.[recipe.id] ?? entry.good;
  const keep = async () => {
    const r = await keepRecipe(recipe);
    if (r.ok) notify(`Recipe saved. The next ${entry.blankName} on ${entry.pressName} starts from it.`);
    else notifyProblem(r.problem);
    onDone();
  };
  return (
    <Dialog open onClose={onDone} title="Save this as a proven recipe?" about="Saved to the log as good.">
      <p className="font-label text-head font-semibold">
        {say([
          celsius(s.platenC),
          ' · ',
          seconds(s.dwellS),
          s.passes > 1 ? ` × ${s.passes}` : '',
          `, ${PRESSURE_WORDS[s.pressure]}, peel ${s.peel}`,
        ])}
      </p>
      <p className="mt-2 leading-snug">
        For {entry.blankName} on {entry.pressName}, proven by {behind} good{' '}
        {behind === 1 ? 'piece' : 'pieces'}. The next job with this blank and press starts from these
        settings.
      </p>
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={onDone}>Not yet</Button>
        <Button kind="act" onClick={() => void keep()}>
          Save as proven recipe
        </Button>
      </div>
    </Dialog>
  );
}

/** The settings of an entry as a recipe of the shop. */
export const recipeOf = (entry: LogEntry): Recipe => ({
  id: newId('recipe'),
  blankId: entry.blankId,
  pressId: entry.pressId,
  settings: entry.settings,
  load: entry.load,
  keptAt: entry.at,
});
