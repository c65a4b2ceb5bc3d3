'use client';

import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { Job } from '@/core/job/job';
import { mm } from '@/core/message/quantity';
import { Button } from '@/ui/Button';
import { PopoverBox } from '@/ui/PopoverBox';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { Select } from '@/ui/Select';
import { Segments } from '@/ui/Segments';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { useShop } from '../shell/shopContext';

const CHEAPEST = 'cheapest';

/** Paper, printer, mirror, knife: all that decides how the pieces lie. */
export function SheetTools() {
  const { job, plan, shop, edit } = useJob();
  const t = useWords();
  const put = (next: Partial<Job['sheet']>, group?: string) =>
    edit((j) => ({ ...j, sheet: { ...j.sheet, ...next } }), group);
  const papers = shop.papers.map((p) => ({
    value: p.id,
    label:
      p.kind === 'roll'
        ? t('sheet.rollWide', { paper: p.name, width: mm(p.widthMm) })
        : t('sheet.sheetSize', { paper: p.name, width: mm(p.widthMm), height: mm(p.heightMm) }),
  }));
  const { printers } = shop.settings;
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-rule bg-sheet/80 px-4 py-2">
      <Labelled label={t('common.paper')}>
        <Select
          label={t('common.paper')}
          value={job.sheet.paperId ?? CHEAPEST}
          options={[
            {
              value: CHEAPEST,
              label: plan.sheet.panels
                ? t('sheet.whicheverTakesFewestPanels')
                : plan.sheet.paper && job.sheet.paperId === null
                  ? t('sheet.whicheverCostsLeast', { paper: plan.sheet.paper.name })
                  : t('sheet.whicheverCostsLeast2'),
            },
            ...papers,
          ]}
          onChange={(v) => put({ paperId: v === CHEAPEST ? null : v })}
          className="w-64"
        />
      </Labelled>
      {printers.length > 1 && (
        <Labelled label={t('common.printer')}>
          <Select
            label={t('common.printer')}
            value={plan.sheet.printer.id}
            options={printers.map((p) => ({ value: p.id, label: p.name }))}
            onChange={(printerId) => put({ printerId, mirrorBy: null })}
            className="w-36"
          />
        </Labelled>
      )}
      <Labelled label={t('sheet.mirrorOnce')}>
        <Segments
          label={t('sheet.whereSheetMirrored')}
          value={plan.sheet.mirrorBy}
          onChange={(mirrorBy) => put({ mirrorBy })}
          options={[
            { value: 'app', label: t('sheet.thisFile') },
            { value: 'driver', label: t('common.theDriver') },
          ]}
        />
      </Labelled>
      <Labelled label={t('sheet.cutWith')}>
        <Segments
          label={t('sheet.whatPiecesCut')}
          value={job.sheet.cut}
          onChange={(cut) => put({ cut })}
          options={[
            { value: 'knife', label: t('sheet.aKnife'), title: t('sheet.alongAnyOutlineTightest') },
            { value: 'trimmer', label: t('sheet.aTrimmer'), title: t('sheet.straightCutsFromEdge') },
          ]}
        />
      </Labelled>
      <LengthField
        label={t('sheet.gapBetweenPieces')}
        valueMm={job.sheet.gapMm}
        minMm={0}
        maxMm={50}
        byHand
        width="w-12"
        onValue={(gapMm) => put({ gapMm }, 'gap')}
      />
      <label className="flex min-h-9 items-center gap-2 font-label text-base font-medium">
        <input
          type="checkbox"
          checked={job.sheet.mayRotate}
          onChange={(e) => put({ mayRotate: e.target.checked })}
          className="size-5 accent-strata-3"
        />
        {t('sheet.mayRotate')}
      </label>
      <OtherJobs onChange={(sharedJobIds) => put({ sharedJobIds })} />
    </div>
  );
}

/** Other jobs that fill up the same sheets. */
function OtherJobs({ onChange }: { onChange: (ids: string[]) => void }) {
  const t = useWords();
  const { job } = useJob();
  const { jobs } = useShop();
  const others = jobs.filter((r) => r.id !== job.id && r.job.blankId !== null);
  const { sharedJobIds } = job.sheet;
  if (others.length === 0) return null;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button>
          {sharedJobIds.length === 0
            ? t('sheet.shareSheets')
            : t('sheet.withMore', { sharedJobIds: sharedJobIds.length })}{' '}
          <ChevronDown size={16} aria-hidden />
        </Button>
      </Popover.Trigger>
      <PopoverBox label={t('sheet.jobsSameSheets')} side="bottom" align="end" width="w-80">
        <p className="mb-1 text-fine leading-snug text-soft">{t('sheet.piecesTheseJobsLaid')}</p>
        <ul className="grid">
          {others.map((r) => (
            <li key={r.id}>
              <label className="flex min-h-10 items-center gap-2 font-label text-base font-medium">
                <input
                  type="checkbox"
                  checked={sharedJobIds.includes(r.id)}
                  disabled={!sharedJobIds.includes(r.id) && sharedJobIds.length >= 8}
                  onChange={(e) =>
                    onChange(
                      e.target.checked ? [...sharedJobIds, r.id] : sharedJobIds.filter((id) => id !== r.id),
                    )
                  }
                  className="size-5 accent-strata-3"
                />
                {r.job.name}
              </label>
            </li>
          ))}
        </ul>
      </PopoverBox>
    </Popover.Root>
  );
}
