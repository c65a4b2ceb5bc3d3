'use client';

import { useWords } from '@/ui/words';
import { useState } from 'react';
import { problemMessage } from '@/core/basics/result';
import { claimIn, labelPages, textFor } from '@/core/finish/labels';
import type { Labels } from '@/core/job/finish';
import type { RunPiece } from '@/core/shop/run';
import { Button } from '@/ui/Button';
import { LengthField } from '@/ui/LengthField';
import { NumberField } from '@/ui/NumberField';
import { saveDrawn } from '../shell/saveDrawn';

interface Props {
  readonly labels: Labels;
  readonly jobName: string;
  readonly pieces: readonly RunPiece[];
  readonly onLabels: (labels: Labels) => void;
}

/** Labels of a job on sheets of labels: its own text, a piece’s name and number where they are asked for. */
export function LabelSheet({ labels, jobName, pieces, onLabels }: Props) {
  const t = useWords();
  /** What was typed over which text: once that text changes, here or in another tab, the new one is shown. */
  const [draft, setDraft] = useState<{ readonly text: string; readonly over: string } | null>(null);
  const text = draft?.over === labels.text ? draft.text : labels.text;
  const [sheet, setSheet] = useState(false);
  const put = (next: Partial<Labels>) => onLabels({ ...labels, ...next });
  const asked = { ...labels, text };
  const pages = labelPages(asked, pieces);
  const claim = claimIn(text);
  const first = pieces[0] ?? { name: '', number: 1 };
  const print = () => saveDrawn('labels.pdf', t('finish.labelsOf', { jobName }), pages);
  return (
    <section aria-label={t('finish.labels')} className="grid gap-2">
      <h2 className="font-name text-name font-semibold">{t('finish.labels')}</h2>
      <div className="flex flex-wrap items-start gap-5">
        <label className="grid font-label text-fine font-medium text-soft">
          {t('finish.textLabelThosePiece')}
          <textarea
            value={text}
            maxLength={400}
            rows={4}
            onChange={(e) => setDraft({ text: e.target.value, over: labels.text })}
            onBlur={() => {
              if (text !== labels.text) put({ text });
            }}
            className="w-96 max-w-full border-2 border-ink bg-white p-2 text-base text-ink"
          />
        </label>
        <div className="grid gap-1">
          <span className="font-label text-fine font-medium text-soft">{t('finish.firstOne')}</span>
          <p
            className="grid place-content-center border-2 border-rule bg-white p-2 text-center whitespace-pre-line"
            style={{ width: `${labels.widthMm * 3}px`, minHeight: `${labels.heightMm * 2.4}px` }}
          >
            {textFor(text, first) || '—'}
          </p>
        </div>
      </div>
      {claim !== null && (
        <label className="flex min-h-10 items-center gap-2 border-l-6 border-warning pl-2">
          <input
            type="checkbox"
            checked={labels.makerSays}
            onChange={(e) => put({ makerSays: e.target.checked })}
            className="size-5"
          />
          {t('finish.makersSheetBlankSays', { claim })}
        </label>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          label={t('finish.labelsTakenFromFirst')}
          value={labels.taken}
          min={0}
          max={359}
          whole
          onValue={(taken) => put({ taken })}
        />
        <Button onClick={() => setSheet((s) => !s)} aria-expanded={sheet}>
          {t('finish.theSheetBy', { columns: labels.columns, rows: labels.rows })}
        </Button>
        <Button kind="act" disabled={!pages.ok} onClick={() => void print()}>
          {pages.ok
            ? t('finish.labelsOn', { pieces: pieces.length, pages: pages.value.length })
            : t('finish.labelsPdf')}
        </Button>
      </div>
      {sheet && <SheetSizes labels={labels} put={put} />}
      {!pages.ok && text.trim() !== '' && (
        <p role="status" className="font-semibold text-act-deep">
          {t(problemMessage(pages.problem))}
        </p>
      )}
    </section>
  );
}

/** How the sheet of labels is divided. */
function SheetSizes({ labels, put }: { labels: Labels; put: (next: Partial<Labels>) => void }) {
  const t = useWords();
  return (
    <div className="flex flex-wrap items-end gap-3">
      <NumberField
        label={t('finish.columns')}
        value={labels.columns}
        min={1}
        max={12}
        whole
        byHand
        onValue={(columns) => put({ columns })}
      />
      <NumberField
        label={t('finish.rows')}
        value={labels.rows}
        min={1}
        max={30}
        whole
        byHand
        onValue={(rows) => put({ rows })}
      />
      <LengthField
        label={t('finish.labelAcross')}
        valueMm={labels.widthMm}
        minMm={10}
        maxMm={210}
        fine
        byHand
        onValue={(widthMm) => put({ widthMm })}
      />
      <LengthField
        label={t('common.itsHeight')}
        valueMm={labels.heightMm}
        minMm={6}
        maxMm={297}
        fine
        byHand
        onValue={(heightMm) => put({ heightMm })}
      />
      <LengthField
        label={t('finish.firstFromLeft')}
        valueMm={labels.leftMm}
        minMm={0}
        maxMm={100}
        fine
        byHand
        onValue={(leftMm) => put({ leftMm })}
      />
      <LengthField
        label={t('finish.firstFromTop')}
        valueMm={labels.topMm}
        minMm={0}
        maxMm={100}
        fine
        byHand
        onValue={(topMm) => put({ topMm })}
      />
      <LengthField
        label={t('finish.betweenColumns')}
        valueMm={labels.gapXMm}
        minMm={0}
        maxMm={40}
        fine
        byHand
        onValue={(gapXMm) => put({ gapXMm })}
      />
      <LengthField
        label={t('finish.betweenRows')}
        valueMm={labels.gapYMm}
        minMm={0}
        maxMm={40}
        fine
        byHand
        onValue={(gapYMm) => put({ gapYMm })}
      />
    </div>
  );
}
