'use client';

import { say, inSentence } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { faultLabel, isOnPaper } from '@/core/inspect/faults';
import type { Plan } from '@/core/plan/planShape';
import { spoiledOf } from '@/core/run/run';
import { FAULT_IDS, type FaultId } from '@/core/shop/faultIds';
import type { FaceSize } from '@/core/inspect/places';
import type { Mark, MarkPlace } from '@/core/shop/mark';
import { listOf } from '@/core/run/chain';
import { newId } from '@/data/ids';
import { Button } from '@/ui/Button';
import { Segments } from '@/ui/Segments';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { KEYS_ANYWHERE } from '../shell/GlobalKeys';
import { CauseView } from './CauseView';
import { Judgement } from './Judgement';
import { LadderView } from './LadderView';
import { LastGood } from './LastGood';
import { MarkBoard } from './MarkBoard';
import { FAULT_KEYS, faultByKey, offFace, usualPlace, usualTool } from './marking';
import { MarkTools, Palette, type Marking } from './MarkTools';
import { OneChangeBar } from './OneChangeBar';
import { Photos } from './Photos';

const TABS = [
  { value: 'marks', label: say('inspect.faults') },
  { value: 'cause', label: say('common.cause') },
  { value: 'ladder', label: say('inspect.testLadder2') },
] as const;
type Tab = (typeof TABS)[number]['value'];

const MOST_MARKS = 200;
const MOST_NAMED = 80;

/** Look the piece over: mark what is wrong where it is, find the cause, change one thing. */
export function InspectView() {
  const t = useWords();
  const { plan } = useJob();
  const [tab, setTab] = useState<Tab>('marks');
  if (!plan.blank.blank) return <NeedsBlank />;
  const { change, ranked } = plan.inspect;
  return (
    <div className="absolute inset-0 flex flex-col overflow-y-auto">
      <div className="flex flex-wrap items-center gap-3 border-b border-rule bg-sheet/80 px-4 py-1.5">
        <Segments label={t('inspect.partInspection')} value={tab} options={TABS} onChange={setTab} />
        {ranked[0] && tab === 'marks' && (
          <p className="hidden font-label font-medium xl:block">
            {t('inspect.likeliest')} <Cause />{' '}
            <Button kind="quiet" className="min-h-9 px-1" onClick={() => setTab('cause')}>
              {t('inspect.why')}
            </Button>
          </p>
        )}
        <span className="ml-auto flex items-center gap-2">
          {tab === 'cause' && (
            <Link
              href={`/logbook?view=map&blank=${plan.blank.blank.id}${plan.heat.press ? `&press=${plan.heat.press.id}` : ''}`}
              className="font-label font-semibold underline underline-offset-2"
            >
              {t('common.overlay')}
            </Link>
          )}
          <LastGood />
        </span>
      </div>
      {tab === 'marks' && <Marks />}
      {tab === 'cause' && <CauseView />}
      {tab === 'ladder' && <LadderView />}
      {tab !== 'ladder' && change && <OneChangeBar change={change} />}
    </div>
  );
}

/** The likeliest cause and its share, as the figures beside it say. */
function Cause() {
  const t = useWords();
  const { plan } = useJob();
  const figure = plan.inspect.figures.find((f) => f.id === 'look.cause');
  const share = plan.inspect.ranked[0]?.share ?? 0;
  return (
    <strong className="font-semibold">
      {figure?.label ? t(figure?.label) : null}, {Math.round(share * 100)} %
    </strong>
  );
}

/** Pieces that came out, newest first, for a mark to name. */
function usePieces() {
  const { plan } = useJob();
  return plan.press.runs
    .flatMap(({ state }) => listOf(state.loads).flatMap((l) => l.pieces))
    .toReversed()
    .slice(0, MOST_NAMED);
}

const isFault = (why: string | null): why is FaultId => FAULT_IDS.some((f) => f === why);

/** Pieces of the newest run that were called spoiled for something seen on them. */
const saidAtPress = (plan: Plan): readonly { readonly piece: number; readonly fault: FaultId }[] => {
  const last = plan.press.runs.at(-1);
  return last
    ? spoiledOf(last.state).flatMap((s) => (isFault(s.why) ? [{ piece: s.piece.number, fault: s.why }] : []))
    : [];
};

const START: Marking = {
  on: 'piece',
  fault: 'faded-all',
  tool: 'all',
  severity: 2,
  side: 'front',
  piece: null,
};

function Marks() {
  const t = useWords();
  const { job, plan, edit } = useJob();
  const [marking, setMarking] = useState<Marking>(START);
  const [photoShown, setPhotoShown] = useState(true);
  const pieces = usePieces();
  const { pattern } = plan.wrap;
  const seen = plan.inspect.face;
  const face: FaceSize | null = seen && {
    widthMm: seen.widthMm,
    heightMm: seen.heightMm,
    wrap: seen.form !== 'flat',
  };
  const put = (next: Partial<Marking>) => setMarking((m) => ({ ...m, ...next }));
  const add = (fault: Mark['fault'], place: MarkPlace, severity = marking.severity) =>
    edit((j) => ({
      ...j,
      inspection: {
        ...j.inspection,
        marks: [
          ...j.inspection.marks,
          { id: newId('m'), fault, severity, side: marking.side, piece: marking.piece, place },
        ].slice(-MOST_MARKS),
      },
    }));
  const choose = (fault: Mark['fault']) => {
    if (fault === marking.fault && face) add(fault, usualPlace(fault, face));
    put({ fault, tool: usualTool(fault), on: isOnPaper(fault) ? 'paper' : 'piece' });
  };
  useHotkeys(
    FAULT_KEYS,
    (e) => {
      const fault = faultByKey(e.key.toLowerCase());
      if (fault) choose(fault);
    },
    KEYS_ANYWHERE,
    [marking, face],
  );
  if (!pattern || !face)
    return (
      <>
        <p className="grid flex-1 place-content-center p-8 text-center text-lead">
          {t('inspect.wrapHasSizeYet')}
        </p>
        <Judgement />
      </>
    );
  const off = offFace(job.inspection.marks, face);
  const said = job.inspection.marks.length === 0 ? saidAtPress(plan) : [];
  return (
    <>
      <MarkTools marking={marking} put={put} sides={pattern.faces.length > 1 ? 2 : 1} pieces={pieces}>
        <Photos on={marking.on} shown={photoShown} onShown={setPhotoShown} />
      </MarkTools>
      {said.length > 0 && (
        <p role="status" className="flex flex-wrap items-center gap-3 border-b border-rule px-4 py-1.5">
          {t('inspect.saidPress', {
            said: said.map((s) =>
              say('inspect.pieceFault', { piece: s.piece, fault: inSentence(faultLabel(s.fault)) }),
            ),
          })}
          <Button
            onClick={() =>
              edit((j) => ({
                ...j,
                inspection: {
                  ...j.inspection,
                  marks: said.map((s) => ({
                    id: newId('m'),
                    fault: s.fault,
                    severity: 2 as const,
                    side: 'front' as const,
                    piece: s.piece,
                    place: usualPlace(s.fault, face),
                  })),
                },
              }))
            }
          >
            {t('inspect.mark', { said: said.length })}
          </Button>
        </p>
      )}
      {off.length > 0 && (
        <p role="status" className="flex items-center gap-3 border-b border-rule bg-warning/25 px-4 py-1.5">
          {t('inspect.offOneOff', { off: off.length })}
          <Button
            onClick={() => {
              const gone = new Set(off.map((m) => m.id));
              edit((j) => ({
                ...j,
                inspection: { ...j.inspection, marks: j.inspection.marks.filter((m) => !gone.has(m.id)) },
              }));
            }}
          >
            {t('inspect.take', { off: off.length })}
          </Button>
        </p>
      )}
      <div className="relative min-h-[17rem] flex-[1_0_auto]">
        <Palette marking={marking} onFault={choose} />
        <div className="relative min-h-[17rem] md:absolute md:inset-y-0 md:right-0 md:left-50">
          <MarkBoard
            face={face}
            tool={marking.tool}
            side={marking.side}
            piece={marking.piece}
            on={marking.on}
            photoShown={photoShown}
            onPlace={(place) => add(marking.fault, place)}
            onUsual={() => add(marking.fault, usualPlace(marking.fault, face))}
          />
        </div>
      </div>
      <Judgement />
    </>
  );
}
