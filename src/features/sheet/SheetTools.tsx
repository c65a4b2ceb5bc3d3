'use client';

import { ChevronDown } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { Job } from '@/core/job/job';
import { mm } from '@/core/units/quantity';
import { Button } from '@/ui/Button';
import { PopoverBox } from '@/ui/PopoverBox';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { Select } from '@/ui/Select';
import { Segments } from '@/ui/Segments';
import { useSay } from '@/ui/units';
import { useJob } from '../job/jobContext';
import { useShop } from '../shell/shopContext';

const CHEAPEST = 'cheapest';

/** Paper, printer, mirror, knife: all that decides how the pieces lie. */
export function SheetTools() {
  const { job, plan, shop, edit } = useJob();
  const say = useSay();
  const put = (next: Partial<Job['sheet']>, group?: string) =>
    edit((j) => ({ ...j, sheet: { ...j.sheet, ...next } }), group);
  const papers = shop.papers.map((p) => ({
    value: p.id,
    label: `${p.name}, ${say([mm(p.widthMm)])}${p.kind === 'roll' ? ' wide' : ` × ${say([mm(p.heightMm)])}`}`,
  }));
  const { printers } = shop.settings;
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-rule bg-sheet/80 px-4 py-2">
      <Labelled label="Paper">
        <Select
          label="Paper"
          value={job.sheet.paperId ?? CHEAPEST}
          options={[
            {
              value: CHEAPEST,
              label: plan.sheet.panels
                ? 'Whichever takes the fewest panels'
                : plan.sheet.paper && job.sheet.paperId === null
                  ? `Whichever costs least (${plan.sheet.paper.name})`
                  : 'Whichever costs least',
            },
            ...papers,
          ]}
          onChange={(v) => put({ paperId: v === CHEAPEST ? null : v })}
          className="w-64"
        />
      </Labelled>
      {printers.length > 1 && (
        <Labelled label="Printer">
          <Select
            label="Printer"
            value={plan.sheet.printer.id}
            options={printers.map((p) => ({ value: p.id, label: p.name }))}
            onChange={(printerId) => put({ printerId, mirrorBy: null })}
            className="w-36"
          />
        </Labelled>
      )}
      <Labelled label="Mirror once, in">
        <Segments
          label="Where the sheet is mirrored"
          value={plan.sheet.mirrorBy}
          onChange={(mirrorBy) => put({ mirrorBy })}
          options={[
            { value: 'app', label: 'this file' },
            { value: 'driver', label: 'the driver' },
          ]}
        />
      </Labelled>
      <Labelled label="Cut with">
        <Segments
          label="What the pieces are cut with"
          value={job.sheet.cut}
          onChange={(cut) => put({ cut })}
          options={[
            { value: 'knife', label: 'a knife', title: 'Along any outline: the tightest layout' },
            { value: 'trimmer', label: 'a trimmer', title: 'Straight cuts from edge to edge, in sequence' },
          ]}
        />
      </Labelled>
      <LengthField
        label="Gap"
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
        may rotate
      </label>
      <OtherJobs onChange={(sharedJobIds) => put({ sharedJobIds })} />
    </div>
  );
}

/** Other jobs that fill up the same sheets. */
function OtherJobs({ onChange }: { onChange: (ids: string[]) => void }) {
  const { job } = useJob();
  const { jobs } = useShop();
  const others = jobs.filter((r) => r.id !== job.id && r.job.blankId !== null);
  const { sharedJobIds } = job.sheet;
  if (others.length === 0) return null;
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button>
          {sharedJobIds.length === 0 ? 'Share sheets' : `With ${sharedJobIds.length} more`}{' '}
          <ChevronDown size={16} aria-hidden />
        </Button>
      </Popover.Trigger>
      <PopoverBox label="Jobs on the same sheets" side="bottom" align="end" width="w-80">
        <p className="mb-1 text-fine leading-snug text-soft">
          Pieces of these jobs are laid on the same sheets.
        </p>
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
