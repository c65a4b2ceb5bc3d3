'use client';

import { useWords } from '@/ui/words';
import type { Run } from '@/core/shop/run';
import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { partsOf, type PartNeeded } from '@/core/finish/parts';
import { finishSteps, type FinishStep } from '@/core/finish/steps';
import type { Finish } from '@/core/job/finish';
import type { Job } from '@/core/job/job';
import { piecesOf } from '@/core/art/names';
import { piecesOfJob } from '@/core/plan/press/press';
import { jobPieces, packedOf, runsOf } from '@/core/run/pieces';
import { isFlat, type Blank } from '@/core/shop/blank';
import { changeJob } from '@/data/jobs';
import { loadStock, takeParts } from '@/data/stock';
import { Button } from '@/ui/Button';
import { Confirm } from '@/ui/Confirm';
import { notify, notifyProblem } from '@/ui/notify';
import { ShopFrame } from '../shell/ShopFrame';
import { useJobRecord, useJobRuns, useShop } from '../shell/shopContext';
import { CareCards } from './CareCards';
import { Hanger } from './Hanger';
import { LabelSheet } from './LabelSheet';

/** The last steps of a job: parts, hanger, labels, and pieces packed. */
export function FinishPage({ jobId }: { jobId: string }) {
  const t = useWords();
  const { shop } = useShop();
  const record = useJobRecord(jobId);
  const own = useJobRuns(jobId);
  const job = record?.job;
  const blank = shop.blanks.find((b) => b.id === job?.blankId);
  if (record === undefined || !own) return <ShopFrame title={t('common.finishing')}>{null}</ShopFrame>;
  if (!job || !blank)
    return (
      <ShopFrame title={t('common.finishing')}>
        <p className="p-8 text-lead">
          {job ? t('finish.chooseBlankFirstFinishing') : t('finish.jobShop')}{' '}
          <Link href={job ? `/job/${job.id}/blank` : '/'} className="underline">
            {job ? t('finish.toItsBlank') : t('common.goJobs')}
          </Link>
        </p>
      </ShopFrame>
    );
  return <Steps key={job.id} job={job} blank={blank} own={own} />;
}

function Steps({ job, blank, own }: { job: Job; blank: Blank; own: readonly Run[] }) {
  const t = useWords();
  const steps = finishSteps(blank);
  const parts = partsOf(blank, job.finish.hanger);
  const pieces = piecesOfJob(job, piecesOf(job.art));
  const runs = runsOf(own, job.id);
  const { good } = jobPieces(pieces, runs);
  const packed = packedOf(job, runs);
  const put = (change: (now: Finish) => Finish) =>
    changeJob(job.id, (j) => ({ ...j, finish: change(j.finish) })).then((r) => {
      if (!r.ok) notifyProblem(r.problem);
      return r.ok;
    });
  const pack = async (by: number) => {
    const next = Math.max(-job.finish.packed, Math.min(by, pieces.length - packed));
    if (next === 0 || !(await put((f) => ({ ...f, packed: Math.max(0, f.packed + next) })))) return;
    const used = await takeParts(parts, job.id, next);
    if (!used.ok) notifyProblem(used.problem);
    else if (packed + next >= pieces.length)
      notify(t('finish.allPacked', { pieces: pieces.length, job: job.name }));
  };
  const toggle = (s: FinishStep) =>
    void put((f) => ({
      ...f,
      done: f.done.includes(s.id) ? f.done.filter((d) => d !== s.id) : [...f.done, s.id],
    }));
  const hung =
    isFlat(blank) && steps.some((s) => s.kind === 'hanger' || s.kind === 'ring' || s.kind === 'cord');
  return (
    <ShopFrame
      title={t('common.finishing')}
      about={job.name}
      actions={
        <Link href={`/job/${job.id}/inspect`} className="font-label font-semibold underline">
          {t('common.backInspection')}
        </Link>
      }
    >
      <div
        tabIndex={0}
        role="region"
        aria-label={t('common.finishing')}
        className="grid h-full content-start gap-5 overflow-auto p-4 lg:grid-cols-[minmax(0,1fr)_20rem]"
      >
        <div className="grid content-start gap-5">
          <StepList steps={steps} done={job.finish.done} onToggle={toggle} />
          {isFlat(blank) && hung && (
            <Hanger
              blank={blank}
              name={job.name}
              wish={job.finish.hanger}
              onWish={(hanger) => void put((f) => ({ ...f, hanger }))}
            />
          )}
          <LabelSheet
            labels={job.finish.labels}
            jobName={job.name}
            pieces={pieces}
            onLabels={(labels) => void put((f) => ({ ...f, labels }))}
          />
          <CareCards pieces={pieces} />
          <p className="border-l-6 border-warning pl-2">{t('finish.coloursFade')}</p>
        </div>
        <aside aria-label={t('finish.packed')} className="grid content-start gap-4">
          <Packed
            packed={packed}
            good={good}
            total={pieces.length}
            byHand={job.finish.packed}
            onPack={(n) => void pack(n)}
          />
          <Parts parts={parts} pieces={pieces.length - packed} />
          <p>
            <Link href={`/job/${job.id}/inspect`} className="underline">
              {t('finish.photographOneLog')}
            </Link>{' '}
            {t('finish.inspectStepSquareDaylight')}
          </p>
        </aside>
      </div>
    </ShopFrame>
  );
}

interface StepListProps {
  readonly steps: readonly FinishStep[];
  readonly done: readonly string[];
  readonly onToggle: (s: FinishStep) => void;
}

function StepList({ steps, done, onToggle }: StepListProps) {
  const t = useWords();
  return (
    <section aria-label={t('common.steps')}>
      <ol>
        {steps.map((s, i) => {
          const over = done.includes(s.id);
          return (
            <li key={s.id} className="border-b border-rule">
              <label className="flex min-h-14 cursor-pointer items-center gap-4 py-1.5 hover:bg-board">
                <input
                  type="checkbox"
                  checked={over}
                  onChange={() => onToggle(s)}
                  className="ml-1 size-7 shrink-0"
                />
                <span className="w-6 shrink-0 font-name text-name font-semibold">{i + 1}</span>
                <span className={over ? 'text-soft line-through' : ''}>
                  <span className="block font-name text-name leading-tight font-semibold first-letter:uppercase">
                    {t(s.what)}
                  </span>
                  <span className="block leading-snug">{t(s.how)}</span>
                  {s.caution && (
                    <span className="block leading-snug font-semibold text-act-deep">{t(s.caution)}</span>
                  )}
                </span>
              </label>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

interface PackedProps {
  readonly packed: number;
  readonly good: number;
  readonly total: number;
  readonly byHand: number;
  readonly onPack: (by: number) => void;
}

function Packed({ packed, good, total, byHand, onPack }: PackedProps) {
  const t = useWords();
  const left = total - packed;
  const [asking, setAsking] = useState<number | null>(null);
  /** More than came good from the press is asked about: it may have been pressed without the clock, or not at all. */
  const pack = (n: number) => (packed + n > Math.max(good, packed) && n > 1 ? setAsking(n) : onPack(n));
  return (
    <section aria-label={t('finish.packedPieces')} className="border-2 border-ink p-3">
      <p className="font-label font-semibold">{t('finish.packed')}</p>
      <p className="font-name text-big leading-tight font-semibold" role="status">
        {t('finish.of', { packed, total })}
      </p>
      <p className="text-soft">
        {t('finish.goodFromPressSo', { good, which: packed > good ? 'morePackedThan' : 'other' })}
      </p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Button kind="act" className="min-h-14 text-name" disabled={left <= 0} onClick={() => onPack(1)}>
          {t('finish.oneMorePacked')}
        </Button>
        {left > 1 && (
          <Button className="min-h-14 text-name" onClick={() => pack(Math.min(12, left))}>
            {t('finish.more', { value: Math.min(12, left) })}
          </Button>
        )}
        <Button className="min-h-12" disabled={left <= 0} onClick={() => pack(left)}>
          {t('finish.allLeft')}
        </Button>
        <Button className="min-h-12" disabled={byHand <= 0} onClick={() => onPack(-1)}>
          {t('finish.oneFewer')}
        </Button>
      </div>
      {asking !== null && (
        <Confirm
          title={t('finish.packPieces', { asking })}
          about={t('finish.onlyGood', {
            good,
            which: good === 0 ? 'goodPiece' : 'other',
            which2: good === 0 ? 'has' : 'other',
            asking,
          })}
          action={t('finish.pack', { asking })}
          onConfirm={() => onPack(asking)}
          onClose={() => setAsking(null)}
        />
      )}
    </section>
  );
}

/** Parts the pieces still need, against what is in stock. */
function Parts({ parts, pieces }: { parts: readonly PartNeeded[]; pieces: number }) {
  const t = useWords();
  const stock = useLiveQuery(() => loadStock(), []);
  if (parts.length === 0) return null;
  return (
    <section aria-label={t('common.parts')}>
      <h2 className="font-name text-lead font-semibold">{t('finish.partsMore', { pieces })}</h2>
      <ul>
        {parts.map(({ part, count }) => {
          const wanted = pieces * count;
          const on = stock?.find(
            (x) => x.item.kind === 'part' && x.item.name.toLowerCase() === part.toLowerCase(),
          );
          const short = on && on.balance.onHand < wanted;
          return (
            <li key={part} className="flex justify-between gap-3 border-b border-rule py-1.5">
              <span className="first-letter:uppercase">{part}</span>
              <span className={`font-label font-semibold ${short ? 'text-act-deep' : ''}`}>
                {!stock
                  ? '…'
                  : on
                    ? t('finish.inStock', {
                        onHand: on.balance.onHand,
                        wanted: wanted - on.balance.onHand,
                        which: short ? 'short' : 'other',
                      })
                    : t('finish.notInStock')}
              </span>
            </li>
          );
        })}
      </ul>
      <p className="mt-1">
        <Link href="/stock" className="underline">
          {t('finish.goStock')}
        </Link>
      </p>
    </section>
  );
}
