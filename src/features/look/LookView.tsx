'use client';

import { inOrderText } from '@/core/plan/runWords';
import { X } from 'lucide-react';
import { useState } from 'react';
import { FAULTS } from '@/core/look/faults';
import type { FaultId } from '@/core/shop/faultIds';
import { PAPER_STATES, VERDICTS, type Mark, type Verdict } from '@/core/shop/records';
import { newId } from '@/data/ids';
import { Board, type Fit } from '@/ui/board/Board';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { NumberField } from '@/ui/NumberField';
import { Select } from '@/ui/Select';
import { Segments } from '@/ui/Segments';
import { Say } from '@/ui/units';
import { mainFace } from '@/core/wrap/pattern';
import { useSources } from '../art/useSources';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { PatternArt, px } from '../wrap/PatternDrawing';

type PaperState = (typeof PAPER_STATES)[number];

const PAPER_WORDS: Readonly<Record<PaperState, string>> = {
  even: 'pale and even',
  'left-all': 'dye left all over',
  'left-in-places': 'dye left in places',
  browned: 'browned',
};
export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  good: 'Good',
  under: 'Too little',
  over: 'Too much',
  other: 'Other fault',
};

/** Look the piece over: mark what is wrong where it is, judge the paper, give the verdict. */
export function LookView() {
  const { plan } = useJob();
  const [fault, setFault] = useState<FaultId>('faded-all');
  if (!plan.blank.blank) return <NeedsBlank />;
  return (
    <div className="absolute inset-0 flex flex-col overflow-y-auto">
      <Palette fault={fault} onFault={setFault} />
      <div className="relative min-h-[18rem] flex-[1_0_auto]">
        <MarkBoard fault={fault} />
      </div>
      <Judgement />
    </div>
  );
}

function Palette({ fault, onFault }: { fault: FaultId; onFault: (f: FaultId) => void }) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-rule bg-sheet/80 px-5 py-2">
      <Select
        label="Fault to mark"
        value={fault}
        options={FAULTS.map((f) => ({ value: f.id, label: f.label }))}
        onChange={onFault}
        className="w-64 text-lead font-semibold"
      />
      <p className="font-label text-base font-medium">
        Then touch the picture where it is. No mark: nothing wrong.
      </p>
    </div>
  );
}

function MarkBoard({ fault }: { fault: FaultId }) {
  const { job, plan, edit } = useJob();
  const { urls } = useSources(plan.art.sources);
  const { pattern } = plan.wrap;
  if (!pattern)
    return (
      <p className="grid h-full place-content-center p-8 text-center text-lead">
        The wrap has no size yet, so there is no picture to mark.
      </p>
    );
  const { trim } = pattern;
  // Only what stayed on the blank, one face.
  const face = mainFace(pattern);
  const pressed = { ...pattern, faces: [{ ...face, bleed: face.trim }] };
  const add = (xMm: number, yMm: number) =>
    edit((j) => ({
      ...j,
      look: {
        ...j.look,
        marks: [...j.look.marks, { id: newId('m'), fault, xMm, yMm, severity: 2 as const }].slice(-200),
      },
    }));
  return (
    <Board
      interactive
      label="The wrap unrolled, with what was seen on the piece"
      bounds={trim}
      room={{ top: 18, right: 40, bottom: 34, left: 40 }}
      draw={(fit) => (
        <>
          <PatternArt
            fit={fit}
            pattern={pressed}
            placedLayers={plan.art.placedLayers}
            sources={plan.art.sources}
            urls={urls}
          />
          <rect
            {...px(fit, trim)}
            fill="transparent"
            stroke="#14211f"
            strokeWidth={2}
            className="cursor-crosshair"
            onClick={(e) => {
              const box = e.currentTarget.getBoundingClientRect();
              add((e.clientX - box.left) / fit.k, (e.clientY - box.top) / fit.k);
            }}
          />
          {pattern.front && (
            <>
              <text
                x={fit.x(0)}
                y={fit.y(trim.height) + 22}
                fontSize={13}
                fontWeight={600}
                className="font-label"
                fill="#14211f"
              >
                seam
              </text>
              <text
                x={fit.x(trim.width)}
                y={fit.y(trim.height) + 22}
                textAnchor="end"
                fontSize={13}
                fontWeight={600}
                className="font-label"
                fill="#14211f"
              >
                seam
              </text>
            </>
          )}
          <text
            x={fit.x(pattern.front?.x ?? trim.width / 2)}
            y={fit.y(trim.height) + 22}
            textAnchor="middle"
            fontSize={13}
            fontWeight={600}
            className="font-label"
            fill="#14211f"
          >
            {pattern.front ? 'front' : 'foot'}
          </text>
        </>
      )}
      over={(fit) => (
        <>
          {job.look.marks.map((m) => (
            <MarkFlag key={m.id} fit={fit} mark={m} />
          ))}
          <Button
            className="absolute bottom-1 left-1/2 -translate-x-1/2 opacity-0 focus:opacity-100"
            onClick={() => add(trim.width / 2, trim.height / 2)}
          >
            Mark it in the middle
          </Button>
        </>
      )}
    />
  );
}

const SEVERITY = ['', 'slight', 'plain', 'bad'] as const;

function MarkFlag({ fit, mark }: { fit: Fit; mark: Mark }) {
  const { edit } = useJob();
  const label = FAULTS.find((f) => f.id === mark.fault)?.label ?? mark.fault;
  const change = (f: (m: Mark) => Mark | null) =>
    edit((j) => ({
      ...j,
      look: { ...j.look, marks: j.look.marks.flatMap((m) => (m.id === mark.id ? (f(m) ?? []) : m)) },
    }));
  const right = fit.x(mark.xMm) > fit.width - 230;
  return (
    <div
      className={`absolute flex -translate-y-1/2 items-center ${right ? '-translate-x-full flex-row-reverse' : ''}`}
      style={{ left: fit.x(mark.xMm) + (right ? 9 : -9), top: fit.y(mark.yMm) }}
    >
      <span aria-hidden className="size-4.5 rotate-45 border-2 border-white bg-act" />
      <span className="mx-1 flex items-center border-2 border-ink bg-sheet font-label text-fine font-semibold">
        <button
          type="button"
          title="Slight, plain or bad"
          onClick={() => change((m) => ({ ...m, severity: m.severity === 3 ? 1 : m.severity === 2 ? 3 : 2 }))}
          className="min-h-8 px-2 whitespace-nowrap hover:bg-board"
        >
          {label}, {SEVERITY[mark.severity]}
        </button>
        <button
          type="button"
          aria-label={`Remove ${label}`}
          onClick={() => change(() => null)}
          className="grid size-8 place-items-center border-l border-rule hover:bg-board"
        >
          <X size={14} aria-hidden />
        </button>
      </span>
    </div>
  );
}

function Judgement() {
  const { job, plan, edit } = useJob();
  const { look } = job;
  const put = (next: Partial<typeof look>, group?: string) =>
    edit((j) => ({ ...j, look: { ...j.look, ...next } }), group);
  const { change } = plan.look;
  const inOrder = inOrderText(plan.press.runs);
  return (
    <div className="grid gap-2 border-t border-rule bg-sheet/80 px-5 py-2">
      {inOrder !== '' && (
        <p className="truncate font-label" title={inOrder}>
          <strong className="font-semibold">In the order they came out:</strong> {inOrder}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        <Labelled label="The used paper">
          <Segments
            label="The used paper"
            value={look.paperState}
            onChange={(paperState) => put({ paperState })}
            options={PAPER_STATES.map((p) => ({ value: p, label: PAPER_WORDS[p] }))}
          />
        </Labelled>
        <Labelled label="Verdict">
          <Segments
            label="Verdict"
            value={look.verdict}
            onChange={(verdict) => put({ verdict })}
            options={VERDICTS.map((v) => ({ value: v, label: VERDICT_WORDS[v] }))}
          />
        </Labelled>
        <NumberField
          label="Good pieces"
          value={look.good ?? plan.look.unlogged.good}
          min={0}
          max={100000}
          whole
          byHand={look.good !== null}
          onValue={(good) => put({ good }, 'good')}
        />
        <NumberField
          label="Spoiled"
          value={look.spoiled ?? plan.look.unlogged.spoiled}
          min={0}
          max={100000}
          whole
          byHand={look.spoiled !== null}
          onValue={(spoiled) => put({ spoiled }, 'spoiled')}
        />
        <label className="min-w-52 flex-1 font-label text-fine font-medium text-soft">
          Note
          <input
            value={look.note}
            maxLength={2000}
            onChange={(e) => put({ note: e.target.value }, 'note')}
            className="block min-h-9 w-full border-b-2 border-rule bg-white px-2 text-base text-ink"
          />
        </label>
      </div>
      {change && (
        <div className="flex flex-wrap items-center gap-3">
          <p className="text-lead">
            <strong>One change:</strong> <Say phrase={change.text} />
          </p>
          {change.heat && (
            <Button onClick={() => edit((j) => ({ ...j, heat: { ...j.heat, ...change.heat } }))}>
              Set it for the next press
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
