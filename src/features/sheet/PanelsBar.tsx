'use client';

import { say } from '@/core/message/message';
import { useState } from 'react';
import { IDENTITY } from '@/core/geometry/affine';
import { joinShows } from '@/core/art/panelJoin';
import { faceItems } from '@/core/art/items';
import type { Job, Join } from '@/core/job/job';
import { searchStrip } from '@/core/sheet/panels';
import { compose } from '@/core/geometry/affine';
import { bytesOf } from '@/data/pictures';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { Segments } from '@/ui/Segments';
import { Say, useWords } from '@/ui/words';
import { notify, notifyProblem } from '@/ui/notify';
import { inWorker } from '@/workers/client';
import { useJob } from '../job/jobContext';

/** For a wrap too big for the paper: panels, how they join, and how well the join will hide. */
export function PanelsBar() {
  const t = useWords();
  const { job, plan, edit } = useJob();
  const { panels, options } = plan.sheet;
  const put = (next: Partial<Job['sheet']['panels']>, group?: string) =>
    edit((j) => ({ ...j, sheet: { ...j.sheet, panels: { ...j.sheet.panels, ...next } } }), group);
  const settings = job.sheet.panels;
  if (!plan.wrap.pattern) return null;
  if (!panels)
    return settings.way === 'whole' || options.length === 0 || job.sheet.paperId !== null ? (
      <div className="flex flex-wrap items-center gap-3 border-b border-rule bg-sheet/80 px-4 py-2">
        <p className="text-base">{t('sheet.printedWhole')}</p>
        <Button onClick={() => put({ way: 'panels' })}>{t('sheet.printPanels')}</Button>
      </div>
    ) : null;
  const shows = panels.joins.map((j) => j.shows);
  const worst = shows.some((s) => s === null) ? null : Math.max(0, ...shows.map((s) => s ?? 0));
  const bare = panels.joins.every((j) => j.bare);
  return (
    <div className="border-b border-rule bg-sheet/80 px-4 py-2">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <p className="pb-1.5 font-label text-lead font-semibold">
          {t('sheet.panelsPiece', { panels: panels.panels.length })}
        </p>
        <Labelled label={t('sheet.join')}>
          <Segments
            label={t('sheet.howPanelsJoin')}
            value={settings.join}
            onChange={(join) => put({ join })}
            options={[
              {
                value: 'hidden',
                label: t('sheet.whereShowsLeast'),
                title: t('sheet.cutAlongPathFollows'),
              },
              { value: 'straight', label: t('sheet.straightCut'), title: t('sheet.cutRuler') },
            ]}
          />
        </Labelled>
        <LengthField
          label={t('sheet.panelOverlap')}
          valueMm={settings.overlapMm}
          minMm={2}
          maxMm={40}
          byHand
          width="w-12"
          onValue={(overlapMm) => put({ overlapMm }, 'overlap')}
        />
        {settings.join === 'hidden' && !bare && <FindJoins />}
        <p className="min-w-48 flex-1 pb-1 leading-snug">
          {bare
            ? t('sheet.joinsRunBetweenPictures')
            : worst === null
              ? settings.join === 'straight'
                ? t('sheet.straightJoinQuickCut')
                : t('sheet.searchedYet')
              : panels.joins.length > 1
                ? t('sheet.worstJoin', { shows: joinShows(worst) })
                : t('sheet.theJoin', { shows: joinShows(worst) })}
        </p>
      </div>
      <details className="mt-1">
        <summary className="cursor-pointer font-label text-base font-semibold">
          {t('sheet.orderPlacingTaping')}
        </summary>
        <ol className="mt-1 grid list-decimal gap-x-6 pl-5 text-base leading-snug lg:grid-cols-2">
          {panels.steps.map((s, i) => (
            <li key={i}>
              <Say message={s} />
            </li>
          ))}
        </ol>
      </details>
    </div>
  );
}

/** Looks for the least visible path of every join in the worker, and keeps what it finds with the job. */
function FindJoins() {
  const t = useWords();
  const { plan, edit } = useJob();
  const [busy, setBusy] = useState(false);
  const { panels } = plan.sheet;
  const { pattern } = plan.wrap;
  const { placedLayers, sources } = plan.art;
  if (!panels || !pattern) return null;
  const find = async () => {
    setBusy(true);
    const pictures = await bytesOf(Object.values(sources).map((s) => s.ref));
    const items = pattern.faces.flatMap((f) => faceItems(placedLayers, f, compose(IDENTITY, f.matrix)));
    const strips = panels.joins.map((j) => ({ way: j.way, rect: searchStrip(panels, j, pattern.whole) }));
    const r = pictures.ok
      ? await inWorker(say('sheet.panels2'), (api) =>
          api.joins({ items, sources, pictures: pictures.value, strips }),
        )
      : pictures;
    setBusy(false);
    if (!r.ok) {
      notifyProblem(r.problem);
      return;
    }
    const joins = r.value.map((f, index): Join => ({
      forArt: panels.forArt,
      index,
      offsMm: [...f.offsMm],
      shows: f.shows,
    }));
    edit((j) => ({ ...j, sheet: { ...j.sheet, panels: { ...j.sheet.panels, joins } } }));
    const straight = Math.max(0, ...r.value.map((f) => f.straightShows));
    notify(
      t('sheet.pathStraightJoin', {
        path: joinShows(Math.max(0, ...r.value.map((f) => f.shows))),
        straight: joinShows(straight),
      }),
    );
  };
  return (
    <Button disabled={busy} onClick={() => void find()}>
      {busy
        ? t('art.looking')
        : panels.joins.some((j) => j.shows === null)
          ? t('sheet.findPath')
          : t('sheet.searchAgain')}
    </Button>
  );
}
