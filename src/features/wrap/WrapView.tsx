'use client';

import { SCHOOLS } from '@/core/shop/settings';
import { mm } from '@/core/units/quantity';
import { SCHOOL_NOTES } from '@/core/wrap/schools';
import { Board } from '@/ui/board/Board';
import { Dimension } from '@/ui/board/Dimension';
import { LengthField } from '@/ui/LengthField';
import { Segments } from '@/ui/Segments';
import { useSay } from '@/ui/units';
import { usePreview } from '../art/usePreview';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { FrontBrackets, PatternArt, PatternLines } from './PatternDrawing';
import { SetbackView } from './SetbackView';

/** The wrap laid flat, print side as it will be seen, with the school of seam and every zone dimensioned. */
export function WrapView() {
  const { plan } = useJob();
  if (!plan.blank.blank) return <NeedsBlank />;
  return (
    <div className="absolute inset-0 flex flex-col overflow-y-auto">
      <Schools />
      <div className="grid min-h-[24rem] flex-[1_0_auto] grid-cols-[11rem_1fr] border-t border-rule">
        <SetbackView />
        <div className="relative">
          <FlatPattern />
        </div>
      </div>
      <Legend />
    </div>
  );
}

function Schools() {
  const { plan, edit } = useJob();
  const { note } = plan.wrap;
  return (
    <div className="grid gap-2 px-5 pt-3 pb-2">
      <Segments
        className="justify-self-start"
        label="School of seam"
        value={plan.wrap.school}
        onChange={(school) => edit((j) => ({ ...j, wrap: { ...j.wrap, school, amountMm: null } }))}
        options={SCHOOLS.map((s) => ({ value: s, label: SCHOOL_NOTES[s].label }))}
      />
      <p className="font-label text-fine leading-snug font-medium">
        {note.gain} <span className="text-act-deep">{note.risk}</span>{' '}
        <span className="text-soft">{note.bench}</span>
      </p>
    </div>
  );
}

function FlatPattern() {
  const { job, plan } = useJob();
  const say = useSay();
  const preview = usePreview(job.art.picture);
  const { wrap } = plan.wrap;
  if (!wrap)
    return (
      <p className="grid h-full place-content-center p-8 text-center text-lead">
        The wrap has no size yet. What stands in the way is said below.
      </p>
    );
  const { pattern } = wrap;
  const { trim, bleed } = pattern;
  const dark = plan.art.placed !== null;
  return (
    <Board
      label={`The wrap laid flat, ${say([mm(trim.width)])} by ${say([mm(trim.height)])}`}
      bounds={bleed}
      room={{ top: 62, right: 84, bottom: 52, left: 14 }}
      draw={(fit) => (
        <>
          <PatternArt
            fit={fit}
            pattern={pattern}
            picture={job.art.picture}
            placed={plan.art.placed}
            url={preview.kind === 'ready' ? preview.url : null}
            words={job.art.words}
            set={plan.art.words}
          />
          <PatternLines fit={fit} pattern={pattern} onDark={dark} />
          <Dimension x1={fit.x(0)} x2={fit.x(trim.width)} y1={fit.y(bleed.y) - 22} y2={fit.y(bleed.y) - 22}>
            {say([mm(trim.width)])}
          </Dimension>
          <Dimension
            x1={fit.x(bleed.x + bleed.width) + 16}
            x2={fit.x(bleed.x + bleed.width) + 16}
            y1={fit.y(0)}
            y2={fit.y(trim.height)}
            side="right"
          >
            {say([mm(trim.height)])}
          </Dimension>
          {pattern.meetsAtMm < trim.width && (
            <text
              x={fit.x(pattern.meetsAtMm)}
              y={fit.y(bleed.y) - 46}
              textAnchor="end"
              fontSize={14}
              fontWeight={600}
              className="font-label"
              fill="#a62c14"
            >
              ends meet here, {say([mm(pattern.meetsAtMm)])}
            </text>
          )}
          <FrontBrackets
            fit={fit}
            pattern={pattern}
            label={`seen from the front, ${say([mm(pattern.front.wellMm)])}`}
          />
        </>
      )}
    />
  );
}

/** Line styles with the sizes they stand for, typed in place. */
function Legend() {
  const { job, plan, edit } = useJob();
  const { wrap, note, bleedMm, safeMm } = plan.wrap;
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2 border-t border-rule bg-sheet/80 px-5 py-2">
      <Key
        line={<line x1="0" x2="26" y1="6" y2="6" stroke="#14211f" strokeWidth="2.5" />}
        label="trim here"
      />
      <div className="flex items-end gap-2">
        <Key
          line={<line x1="0" x2="26" y1="6" y2="6" stroke="#c8371b" strokeWidth="2" strokeDasharray="7 3" />}
          label=""
        />
        <LengthField
          label="Bleed"
          valueMm={bleedMm}
          minMm={0}
          maxMm={15}
          taken={job.wrap.bleedMm !== null}
          width="w-16"
          onValue={(v) => edit((j) => ({ ...j, wrap: { ...j.wrap, bleedMm: v } }), 'bleed')}
        />
      </div>
      <div className="flex items-end gap-2">
        <Key
          line={<line x1="0" x2="26" y1="6" y2="6" stroke="#465552" strokeWidth="2" strokeDasharray="2 4" />}
          label=""
        />
        <LengthField
          label="Keep words inside"
          valueMm={safeMm}
          minMm={0}
          maxMm={30}
          taken={job.wrap.safeMm !== null}
          width="w-16"
          onValue={(v) => edit((j) => ({ ...j, wrap: { ...j.wrap, safeMm: v } }), 'safe')}
        />
      </div>
      {note.amount && wrap && (
        <LengthField
          label={note.amount.charAt(0).toUpperCase() + note.amount.slice(1)}
          valueMm={wrap.amountMm}
          minMm={0}
          maxMm={200}
          taken={job.wrap.amountMm !== null}
          width="w-16"
          onValue={(v) => edit((j) => ({ ...j, wrap: { ...j.wrap, amountMm: v } }), 'amount')}
        />
      )}
      {plan.wrap.school === 'lap' && (
        <Segments
          label="Which end laps over"
          value={job.wrap.lapOver}
          onChange={(lapOver) => edit((j) => ({ ...j, wrap: { ...j.wrap, lapOver } }))}
          options={[
            { value: 'left', label: 'left end on top' },
            { value: 'right', label: 'right end on top' },
          ]}
        />
      )}
    </div>
  );
}

const Key = ({ line, label }: { line: React.ReactNode; label: string }) => (
  <span className="flex items-center gap-2 pb-2 font-label text-base font-medium">
    <svg width="26" height="12" aria-hidden>
      {line}
    </svg>
    {label}
  </span>
);
