'use client';

import { say } from '@/core/message/message';
import { Say, useWords } from '@/ui/words';
import dynamic from 'next/dynamic';
import { memo, useState } from 'react';
import { SEAM_METHODS } from '@/core/shop/settings';
import { isFlat, isRound, type Blank, type FlatBlank } from '@/core/shop/blank';
import { edgeWay, printsBoth } from '@/core/plan/wrap/wrapFlat';
import { Segments } from '@/ui/Segments';
import { Later, useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { FlatPattern } from './FlatPattern';
import { OnTheWall } from './OnTheWall';
import { FlatFields, RoundFields } from './WrapFields';
import { part } from '@/core/basics/part';

/** Three dimensions are fetched only when asked for. */
const Rolled = dynamic(() => part(() => import('./rolled/Rolled')).then((m) => m.Rolled), {
  ssr: false,
  loading: () => (
    <p className="grid h-full place-content-center text-soft">
      <Say message={say('wrap.rollingUp')} />
    </p>
  ),
});

type Way = 'flat' | 'on it';

/** The paper laid flat or on the blank, with the seam method and every zone dimensioned. */
export function WrapView() {
  const t = useWords();
  const { plan } = useJob();
  const [way, setWay] = useState<Way>('flat');
  // While a hand is on the wall the paper beside it may follow a breath later.
  const [onWall, setOnWall] = useState(false);
  const { blank } = plan.blank;
  if (!blank) return <NeedsBlank />;
  const columns = isFlat(blank)
    ? 'grid-cols-1'
    : plan.wrap.warp
      ? 'grid-cols-1 sm:grid-cols-[12rem_1fr] xl:grid-cols-[17rem_1fr]'
      : 'grid-cols-1 sm:grid-cols-[11.5rem_1fr]';
  return (
    <div className="absolute inset-0 flex flex-col overflow-y-auto">
      <div className="flex flex-wrap items-start justify-between gap-x-4 gap-y-2 px-5 pt-3 pb-2">
        <Later>{isFlat(blank) ? <EdgeWays blank={blank} /> : <SeamMethods />}</Later>
        <Segments
          label={t('common.seen')}
          value={way}
          onChange={setWay}
          options={[
            { value: 'flat', label: t('inspect.flat') },
            { value: 'on it', label: t('common.onTheBlank') },
          ]}
        />
        <Later>
          <WayNote blank={blank} />
        </Later>
      </div>
      <div
        className={`grid min-h-[20rem] flex-[1_0_auto] border-t border-rule *:min-h-72 sm:*:min-h-0 ${columns}`}
      >
        {isRound(blank) && (
          <div
            className="contents"
            onPointerDownCapture={() => setOnWall(true)}
            onFocusCapture={() => setOnWall(true)}
          >
            <OnTheWall shape={blank.shape} />
          </div>
        )}
        <div
          className="relative"
          onPointerDownCapture={() => setOnWall(false)}
          onFocusCapture={() => setOnWall(false)}
        >
          <Later when={onWall}>{way === 'flat' ? <FlatPattern /> : <Rolled />}</Later>
        </div>
      </div>
      <Later>{isFlat(blank) ? <FlatFields blank={blank} /> : <RoundFields />}</Later>
    </div>
  );
}

const SeamMethods = memo(function SeamMethods() {
  const t = useWords();
  const { plan, edit } = useJob();
  const { notes } = plan.wrap;
  return (
    <Segments
      label={t('wrap.seamMethod')}
      value={plan.wrap.seamMethod}
      onChange={(seamMethod) => edit((j) => ({ ...j, wrap: { ...j.wrap, seamMethod, amountMm: null } }))}
      options={SEAM_METHODS.map((s) => ({ value: s, label: t(notes[s].label) }))}
    />
  );
});

/** What the way chosen gains, what it risks, and what to do at the bench. */
const WayNote = memo(function WayNote({ blank }: { blank: Blank }) {
  const t = useWords();
  const { job, plan } = useJob();
  const note = isFlat(blank) ? EDGE_NOTES[edgeWay(job, blank)] : plan.wrap.note;
  return (
    <p className="basis-full font-label text-fine leading-snug font-medium">
      {t(note.gain)} <span className="text-act-deep">{t(note.risk)}</span>{' '}
      <span className="text-soft">
        {t(note.instruction)}
        {isFlat(blank) && printsBoth(job, blank) && t('wrap.twoFacesFoldTicks')}
      </span>
    </p>
  );
});

const EDGE_NOTES = {
  bleed: {
    gain: say('wrap.quickSmallSlipShows'),
    risk: say('wrap.edgeItselfStaysBare'),
    instruction: say('wrap.centreBlankTicksFace'),
  },
  wrapped: {
    gain: say('wrap.coloursRoughEdgesToo'),
    risk: say('wrap.slowerFoldAcrossFace'),
    instruction: say('wrap.foldUpOverEdges'),
  },
} as const;

function EdgeWays({ blank }: { blank: FlatBlank }) {
  const t = useWords();
  const { job, edit } = useJob();
  return (
    <Segments
      label={t('wrap.edgeMethod')}
      value={edgeWay(job, blank)}
      onChange={(edge) => edit((j) => ({ ...j, wrap: { ...j.wrap, edge } }))}
      options={[
        { value: 'bleed', label: t('wrap.bleedPastEdge') },
        { value: 'wrapped', label: t('wrap.wrapOverEdges') },
      ]}
    />
  );
}
