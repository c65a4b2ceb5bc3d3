'use client';

import { HOLD_WORDS } from '@/core/shop/kindWords';
import { say, type Message } from '@/core/message/message';
import { Plus, X } from 'lucide-react';
import { memo, type ReactNode } from 'react';
import { FACE_WAYS, FOLDS, MOST_MARKS, type Job } from '@/core/job/job';
import type { FlatBlank } from '@/core/shop/blank';
import { HOLDS } from '@/core/shop/settings';
import { mm } from '@/core/message/quantity';
import { edgeWay, printsBoth, turnIn } from '@/core/plan/wrap/wrapFlat';
import { CONTACT_MM } from '@/core/plan/wrap/coveredBand';
import { frontAlongMm, seamForFront } from '@/core/wrap/seam';
import { newId } from '@/data/ids';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { Select } from '@/ui/Select';
import { Segments } from '@/ui/Segments';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';

type Wrap = Job['wrap'];
type Marks = Wrap['marks'];

const FACE_WAY_WORDS: Readonly<Record<(typeof FACE_WAYS)[number], Message>> = {
  together: say('wrap.bothTogether'),
  'one then the other': say('wrap.oneThenOther'),
  'front only': say('wrap.frontOnly'),
};

function usePut() {
  const { edit } = useJob();
  return (next: Partial<Wrap>, group?: string) =>
    edit((j) => ({ ...j, wrap: { ...j.wrap, ...next } }), group);
}

const Row = ({ children }: { children: ReactNode }) => (
  <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-rule bg-sheet/80 px-5 py-2">
    {children}
  </div>
);

/** A stroke as it is drawn, before the size it stands for. */
const Stroke = ({ colour, dash, width = 2 }: { colour: string; dash?: string; width?: number }) => (
  <svg width="26" height="12" aria-hidden className="mb-3">
    <line x1="0" x2="26" y1="6" y2="6" stroke={colour} strokeWidth={width} strokeDasharray={dash} />
  </svg>
);

const Strokes = {
  bleed: <Stroke colour="#c8371b" dash="7 3" />,
  safe: <Stroke colour="#465552" dash="2 4" />,
};

/** Tails in common use, mm. */
const TAILS_MM = [15, 25, 40] as const;

const BLEEDS = [
  ['bleedRimMm', say('wrap.bleedRim')],
  ['bleedFootMm', say('common.foot')],
  ['bleedEndsMm', say('wrap.ends')],
] as const;

function SafeField() {
  const t = useWords();
  const { job, plan } = useJob();
  const put = usePut();
  return (
    <div className="flex items-end gap-2">
      {Strokes.safe}
      <LengthField
        label={t('common.safeZone')}
        valueMm={plan.wrap.safeMm}
        minMm={0}
        maxMm={30}
        byHand={job.wrap.safeMm !== null}
        width="w-16"
        onValue={(v) => put({ safeMm: v }, 'safe')}
      />
    </div>
  );
}

/** Sizes and ways of a round wrap, typed in place. */
export const RoundFields = memo(function RoundFields() {
  const t = useWords();
  const { job, plan, shop } = useJob();
  const put = usePut();
  const { note, round, bleedMm, warp, seamMethod } = plan.wrap;
  const { wrap } = job;
  const measuredShape = plan.measure.measuredShape;
  const straight = measuredShape?.kind === 'round' && measuredShape.form === 'straight';
  return (
    <>
      <Row>
        {note.amount && round && (
          <LengthField
            label={t(note.amount)}
            valueMm={round.amountMm}
            minMm={0}
            maxMm={200}
            byHand={wrap.amountMm !== null}
            width="w-16"
            onValue={(v) => put({ amountMm: v }, 'amount')}
          />
        )}
        {seamMethod === 'lap' && (
          <Segments
            label={t('wrap.endTop')}
            value={wrap.lapOver}
            onChange={(lapOver) => put({ lapOver })}
            options={[
              { value: 'left', label: t('wrap.leftEndTop') },
              { value: 'right', label: t('wrap.rightEndTop') },
            ]}
          />
        )}
        <div className="flex items-end gap-2">
          {Strokes.bleed}
          {BLEEDS.map(([key, label]) => (
            <LengthField
              key={key}
              label={t(label)}
              valueMm={wrap[key] ?? bleedMm}
              minMm={0}
              maxMm={15}
              byHand={wrap[key] !== null || wrap.bleedMm !== null}
              width="w-14"
              onValue={(v) => put({ [key]: v }, key)}
            />
          ))}
        </div>
        <SafeField />
        <Labelled label={t('wrap.pattern')}>
          <Segments
            label={t('wrap.pattern')}
            value={wrap.form ?? (straight ? 'rectangle' : 'cone')}
            onChange={(form) => put({ form })}
            options={[
              { value: 'rectangle', label: t('wrap.rectangle') },
              { value: 'cone', label: warp ? t('wrap.bestCone') : t('wrap.cone') },
            ]}
          />
        </Labelled>
        {(warp || (measuredShape?.kind === 'round' && measuredShape.form === 'shaped')) && (
          <Labelled label={t('common.paperHeld')}>
            <Select
              label={t('common.paperHeld')}
              value={wrap.hold ?? shop.settings.defaults.hold}
              options={HOLDS.map((h) => ({
                value: h,
                label: t('wrap.holdsTo', { hold: HOLD_WORDS[h], gap: mm(CONTACT_MM[h]) }),
              }))}
              onChange={(hold) => put({ hold, band: null })}
              className="w-56"
            />
          </Labelled>
        )}
        {warp?.chosen && <Button onClick={() => put({ band: null })}>{t('wrap.resetFlatForm')}</Button>}
        <Labelled label={t('wrap.unprintedEdgeHold')}>
          <Select
            label={t('wrap.unprintedEdgeHold')}
            value={wrap.grip ?? 'none'}
            options={[
              { value: 'none', label: t('common.none') },
              { value: 'rim', label: t('wrap.atTheRim') },
              { value: 'foot', label: t('wrap.atTheFoot') },
            ]}
            onChange={(g) => put({ grip: g === 'none' ? null : g })}
            className="w-32"
          />
        </Labelled>
        <PastFields />
        <FrontField />
        <PencilMarks />
      </Row>
    </>
  );
});

/** A strip to pull by, and what becomes of paper past rim and foot. */
function PastFields() {
  const t = useWords();
  const { job, plan } = useJob();
  const put = usePut();
  const { pattern } = plan.wrap;
  const { tailMm, standsOut } = job.wrap;
  const shape = plan.blank.blank?.shape;
  const handled = shape?.kind === 'round' && shape.handle !== null;
  return (
    <>
      {!handled && (
        <Labelled label={t('wrap.tail')}>
          <Select
            label={t('wrap.tail')}
            value={String(tailMm ?? 0)}
            options={[...new Set([0, ...TAILS_MM, ...(tailMm === null ? [] : [tailMm])])].map((v) => ({
              value: String(v),
              label: v === 0 ? t('common.none') : t.quantity(mm(v)),
            }))}
            onChange={(v) => put({ tailMm: Number(v) === 0 ? null : Number(v) })}
            className="w-28"
          />
        </Labelled>
      )}
      {pattern?.onBlank && (
        <Labelled label={t('wrap.pastEdge')}>
          <Segments
            label={t('wrap.pastEdge')}
            value={standsOut ? 'stands' : 'cut'}
            onChange={(v) => put({ standsOut: v === 'stands' })}
            options={[
              { value: 'cut', label: t('wrap.cutOnPiece') },
              { value: 'stands', label: t('wrap.leftStanding') },
            ]}
          />
        </Labelled>
      )}
    </>
  );
}

/** Where the front stands along the paper, typed; the seam follows. */
function FrontField() {
  const t = useWords();
  const { job, plan } = useJob();
  const put = usePut();
  const roll = plan.wrap.pattern?.roll;
  const shape = plan.blank.blank?.shape;
  if (!roll || shape?.kind !== 'round' || shape.handle) return null;
  const turnMm = Math.PI * (roll.cone.topRadiusMm + roll.cone.footRadiusMm);
  return (
    <LengthField
      label={t('wrap.frontMarkFromLeft')}
      valueMm={frontAlongMm(job.wrap.seamDeg ?? 180, turnMm)}
      minMm={0}
      maxMm={turnMm}
      byHand={job.wrap.seamDeg !== null}
      width="w-16"
      onValue={(v) => put({ seamDeg: seamForFront(v, turnMm) }, 'seam')}
    />
  );
}

/** Where to pencil the blank and the back of the paper, from an edge a person can find. */
function PencilMarks() {
  const { job, plan, edit } = useJob();
  const t = useWords();
  const { pattern } = plan.wrap;
  if (!pattern) return null;
  const { marks } = job.wrap;
  // Over the marks as they are, which may be drawn a moment later.
  const change = (next: (now: Marks) => Marks, group?: string) =>
    edit((j) => ({ ...j, wrap: { ...j.wrap, marks: next(j.wrap.marks) } }), group);
  const drop = (id: string) => change((now) => now.filter((m) => m.id !== id));
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <p className="font-label text-fine font-semibold">{t('wrap.pencilFromLeftEnd')}</p>
      <ul className="flex flex-wrap items-center gap-x-4 gap-y-1 font-label text-base">
        {pattern.marks.map((m) => (
          <li key={m.id} className="flex items-center gap-1">
            {t(m.label)}
            {m.own ? (
              <LengthField
                label={t('wrap.yourMarkFromLeft')}
                hideLabel
                valueMm={m.alongMm}
                minMm={0}
                maxMm={1300}
                byHand
                width="w-16"
                onValue={(v) =>
                  change((now) => now.map((x) => (x.id === m.id ? { ...x, alongMm: v } : x)), `mark-${m.id}`)
                }
              />
            ) : (
              <span className="font-semibold text-measured">{t.quantity(mm(m.alongMm))}</span>
            )}
            {m.own && (
              <button
                type="button"
                aria-label={t('wrap.removeMark', { along: mm(m.alongMm) })}
                onClick={() => drop(m.id)}
                className="grid size-8 place-items-center hover:bg-board"
              >
                <X size={15} aria-hidden />
              </button>
            )}
          </li>
        ))}
      </ul>
      {marks.length < MOST_MARKS && (
        <Button
          onClick={() =>
            change((now) =>
              now.length < MOST_MARKS
                ? [...now, { id: newId('mark'), alongMm: Math.round(pattern.meetsAtMm / 4) }]
                : now,
            )
          }
        >
          <Plus size={16} aria-hidden /> {t('wrap.mark')}
        </Button>
      )}
    </div>
  );
}

/** Sizes and ways of a flat blank's paper. */
export const FlatFields = memo(function FlatFields({ blank }: { blank: FlatBlank }) {
  const t = useWords();
  const { job, plan } = useJob();
  const put = usePut();
  const { wrap } = job;
  const wrapped = edgeWay(job, blank) === 'wrapped';
  return (
    <Row>
      {wrapped ? (
        <LengthField
          label={t('wrap.turnedOverBack')}
          valueMm={turnIn(job)}
          minMm={0}
          maxMm={60}
          byHand={wrap.turnInMm !== null}
          width="w-16"
          onValue={(v) => put({ turnInMm: v }, 'turn-in')}
        />
      ) : (
        <div className="flex items-end gap-2">
          {Strokes.bleed}
          <LengthField
            label={t('wrap.bleedPastEdge')}
            valueMm={plan.wrap.bleedMm}
            minMm={0}
            maxMm={15}
            byHand={wrap.bleedMm !== null}
            width="w-16"
            onValue={(v) => put({ bleedMm: v }, 'bleed')}
          />
        </div>
      )}
      <SafeField />
      {blank.shape.faces === 2 && (
        <Labelled label={t('wrap.faces')}>
          <Select
            label={t('wrap.faces')}
            value={wrap.faces}
            options={FACE_WAYS.map((f) => ({
              value: f,
              label: t(FACE_WAY_WORDS[f]),
            }))}
            onChange={(faces) => put({ faces })}
            className="w-48"
          />
        </Labelled>
      )}
      {printsBoth(job, blank) && (
        <Labelled label={t('wrap.foldAtThe')}>
          <Segments
            label={t('wrap.foldAtThe')}
            value={wrap.fold}
            onChange={(fold) => put({ fold })}
            options={FOLDS.map((f) => ({ value: f, label: f }))}
          />
        </Labelled>
      )}
    </Row>
  );
});
