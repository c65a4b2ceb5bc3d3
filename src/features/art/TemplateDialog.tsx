'use client';

import { useState } from 'react';
import { MOST_TEMPLATES } from '@/core/job/art';
import { date, decimal, mm, MM_PER_INCH } from '@/core/message/quantity';
import { templateOf } from '@/core/sheet/template';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { Labelled } from '@/ui/Labelled';
import { ProgressBar } from '@/ui/ProgressBar';
import { Segments } from '@/ui/Segments';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { useExport } from '../sheet/useExport';

const RESOLUTIONS = [150, 300, 600] as const;

/** The exact size for a design made elsewhere: the figures to type, and an empty template as a file. */
export function TemplateDialog({ onClose }: { onClose: () => void }) {
  const t = useWords();
  const { job, plan, edit } = useJob();
  const [ppi, setPpi] = useState<number>(300);
  const { template, progress } = useExport();
  const { pattern } = plan.wrap;
  if (!pattern) return null;
  const size = templateOf(pattern, ppi, 0);
  const save = async (as: 'svg' | 'png' | 'pdf') => {
    if (!(await template(as, ppi))) return;
    const saved = templateOf(pattern, ppi, Date.now());
    edit((j) => ({
      ...j,
      art: { ...j.art, templates: [...j.art.templates, saved].slice(-MOST_TEMPLATES) },
    }));
  };
  const inches = (v: number) => t.quantity(decimal(v / MM_PER_INCH, 2));
  const rows = [
    [
      t('art.millimetres'),
      `${t.quantity(decimal(size.widthMm, 1))} × ${t.quantity(decimal(size.heightMm, 1))} mm`,
    ],
    [t('art.inches'), `${inches(size.widthMm)} × ${inches(size.heightMm)} in`],
    [t('art.pixelsAt', { ppi }), `${size.widthPx} × ${size.heightPx} px`],
    [t('art.cutSize'), `${t.quantity(mm(pattern.trim.width))} × ${t.quantity(mm(pattern.trim.height))}`],
  ] as const;
  const last = job.art.templates.at(-1);
  return (
    <Dialog open onClose={onClose} title={t('art.templateTitle')} about={t('art.templateAbout')}>
      <Labelled label={t('art.resolution')}>
        <Segments
          label={t('art.resolution')}
          value={String(ppi)}
          onChange={(v) => setPpi(Number(v))}
          options={RESOLUTIONS.map((r) => ({ value: String(r), label: t('art.ppi', { ppi: r }) }))}
        />
      </Labelled>
      <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
        {rows.map(([label, value]) => (
          <div key={label} className="contents">
            <dt className="font-label text-base text-soft">{label}</dt>
            <dd className="font-name text-head font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-3 leading-snug">{t('art.templateBack')}</p>
      {last && (
        <p className="mt-1 text-fine text-soft">
          {t('art.templateLast', { when: date(last.savedAt, 'day') })}
        </p>
      )}
      <div className="mt-4 flex flex-wrap items-center justify-end gap-2">
        {progress !== null && <ProgressBar label={t('sheet.makingFile')} value={progress} max={1} />}
        <Button disabled={progress !== null} onClick={() => void save('pdf')}>
          {t('art.saveTemplatePdf')}
        </Button>
        <Button disabled={progress !== null} onClick={() => void save('png')}>
          {t('art.saveTemplatePng')}
        </Button>
        <Button kind="act" disabled={progress !== null} onClick={() => void save('svg')}>
          {t('art.saveTemplateSvg')}
        </Button>
      </div>
    </Dialog>
  );
}
