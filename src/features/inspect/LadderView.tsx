'use client';

import { say, type Message, inSentence } from '@/core/message/message';
import { useMemo, useRef, useState } from 'react';
import {
  blanksFor,
  ladderStart,
  ladderState,
  expectedPressings,
  type RungAnswer,
} from '@/core/heat/settings/ladder';
import type { HeatAnswer } from '@/core/heat/answer';
import type { LadderPrior } from '@/core/heat/settings/ladder';
import { LADDER_ON, type Ladder } from '@/core/job/job';
import type { Material } from '@/core/shop/blank';
import { isFlatPress } from '@/core/shop/press';
import type { HeatSettings } from '@/core/shop/heatSettings';
import { celsius, seconds, decimal, count } from '@/core/message/quantity';
import { newId } from '@/data/ids';
import { writeLog } from '@/data/log';
import { keepRecipe } from '@/data/shop';
import { inHeatWorker } from '@/workers/client';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { notify, notifyProblem } from '@/ui/notify';
import { Segments } from '@/ui/Segments';
import { Q, useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { personHere } from '../press/tap';
import { entryFrom } from './entry';
import { recipeOf } from './SaveToLog';
import { LadderChart } from './LadderChart';

type On = Ladder['on'];
const ON_WORDS: Readonly<Record<On, Message>> = {
  strips: say('inspect.stripsOneBlank'),
  rejects: say('inspect.rejects'),
  blanks: say('inspect.newBlanks'),
};
const BEARS_STRIPS: ReadonlySet<Material> = new Set(['aluminium', 'steel', 'ceramic', 'glass', 'slate']);
/** Strips an inch and a half wide, side by side, that a flat blank holds. */
const STRIP_MM = 40;

const ANSWERS: readonly {
  readonly answer: RungAnswer;
  readonly label: Message;
  readonly paper: 'left-all' | 'even' | 'browned';
}[] = [
  { answer: 'under', label: say('inspect.tooLittle'), paper: 'left-all' },
  { answer: 'good', label: say('common.good22'), paper: 'even' },
  { answer: 'over', label: say('inspect.tooMuch'), paper: 'browned' },
];

/** Finds the time for an unknown blank or press in the fewest pressings. */
export function LadderView() {
  const { job } = useJob();
  return job.ladder ? <Climb ladder={job.ladder} /> : <Begin />;
}

function useStrips(): number {
  const { plan } = useJob();
  const face = plan.inspect.face;
  return face && face.form === 'flat'
    ? Math.max(1, Math.floor(Math.max(face.widthMm, face.heightMm) / STRIP_MM))
    : 1;
}

function Begin() {
  const t = useWords();
  const { plan, edit } = useJob();
  const { blank } = plan.blank;
  // Plastics and wood change with every closing: they are not pressed again strip after strip.
  const flat =
    plan.heat.press !== null &&
    isFlatPress(plan.heat.press) &&
    blank !== null &&
    BEARS_STRIPS.has(blank.material);
  const [on, setOn] = useState<On>(flat ? 'strips' : 'rejects');
  const [busy, setBusy] = useState(false);
  const [prior, setPrior] = useState<LadderPrior | null>(null);
  const { chosen, model } = plan.heat;
  const strips = useStrips();
  const expected = useMemo(() => (prior ? expectedPressings(ladderStart(prior)) : null), [prior]);
  if (!chosen || !model) return <p className="flex-1 p-8 text-lead">{t('inspect.chooseBlankPressFirst')}</p>;
  const work = async () => {
    setBusy(true);
    const r = await inHeatWorker<HeatAnswer>(
      say('common.heat'),
      (api) =>
        api.answer({
          kind: 'ladder',
          subject: model.subject,
          settings: chosen.settings,
        }) as Promise<HeatAnswer>,
    );
    setBusy(false);
    if (!r.ok) return notifyProblem(r.problem);
    const { value } = r;
    if (value.kind === 'ladder') setPrior(value);
  };
  const begin = () => {
    if (!prior) return;
    const { neededLn, neededSd, limitLn, limitSd, correlation, pieceSd } = prior;
    edit((j) => ({
      ...j,
      ladder: {
        platenC: chosen.settings.platenC,
        on,
        prior: { neededLn, neededSd, limitLn, limitSd, correlation, pieceSd },
        rungs: [],
      },
    }));
  };
  return (
    <div className="grid max-w-3xl flex-[1_0_auto] content-start gap-4 p-5">
      <h2 className="font-name text-head font-semibold">{t('inspect.findDwellTimeUnknown')}</h2>
      <p className="text-lead leading-snug">
        {t('inspect.ladderHow', { platen: celsius(chosen.settings.platenC) })}
      </p>
      <Labelled label={t('inspect.pressTests')}>
        <Segments
          label={t('inspect.pressTests')}
          value={on}
          options={LADDER_ON.filter((o) => o !== 'strips' || flat).map((o) => ({
            value: o,
            label: t(ON_WORDS[o]),
          }))}
          onChange={setOn}
        />
      </Labelled>
      <p className="text-soft">
        {on === 'strips'
          ? t('inspect.cutTestPrintInto', { strip: STRIP_MM })
          : on === 'rejects'
            ? t('inspect.spoiledBlanksSameLot')
            : t('inspect.oneBlankPerTest')}
      </p>
      {expected === null ? (
        <Button
          kind="act"
          className="justify-self-start px-5 text-lead"
          disabled={busy}
          onClick={() => void work()}
        >
          {busy ? t('inspect.calculating') : t('inspect.estimateNumberPressings')}
        </Button>
      ) : (
        <>
          <p className="text-lead" role="status">
            {t('inspect.expected')}{' '}
            <strong>{t('inspect.pressings', { expected: decimal(expected, 1) })}</strong>{' '}
            {t('inspect.untilOneGood')}{' '}
            <strong>
              <Q of={count(blanksFor(on, expected, strips), 'blank')} />
            </strong>
            .
          </p>
          <Button kind="act" className="justify-self-start px-5 text-lead" onClick={begin}>
            {t('inspect.startTestLadder')}
          </Button>
        </>
      )}
    </div>
  );
}

/** No test is pressed and judged within this. */
const TWICE_MS = 800;

function Climb({ ladder }: { ladder: Ladder }) {
  const t = useWords();
  const { job, plan, shop, edit } = useJob();
  const state = useMemo(() => ladderState(ladder.prior, ladder.rungs), [ladder]);
  const strips = useStrips();
  const busy = useRef(false);
  const base = plan.heat.chosen?.settings;
  if (!base) return <p className="flex-1 p-8 text-lead">{t('inspect.chooseBlankPressFirst2')}</p>;
  const blanks = state.kind === 'press' ? blanksFor(ladder.on, state.expected, strips) : 0;
  const settingsAt = (dwellS: number): HeatSettings => ({
    ...base,
    platenC: ladder.platenC,
    dwellS,
    laterDwellS: null,
  });
  const entryAt = (dwellS: number, answer: RungAnswer) => {
    const whole = ladder.on === 'blanks';
    return entryFrom(
      {
        ...job,
        inspection: { ...job.inspection, marks: [], photos: [], replies: [], cause: null, tried: null },
      },
      plan,
      shop,
      {
        id: newId('log'),
        at: Date.now(),
        verdict: answer,
        paperState: ANSWERS.find((a) => a.answer === answer)?.paper ?? 'even',
        good: answer === 'good' ? 1 : 0,
        seconds: 0,
        spoiled: answer !== 'good' && whole ? 1 : 0,
        by: personHere() || null,
        note: t('inspect.testLadder', { onWords: inSentence(ON_WORDS[ladder.on]) }),
        settings: settingsAt(dwellS),
      },
    );
  };
  const answerAt = async (dwellS: number, answer: RungAnswer) => {
    // Struck twice, the second would answer the next test before it was pressed.
    if (Date.now() - (ladder.rungs.at(-1)?.at ?? 0) < TWICE_MS || busy.current) return;
    const entry = entryAt(dwellS, answer);
    if (!entry) return;
    busy.current = true;
    const r = await writeLog(entry);
    busy.current = false;
    if (!r.ok) return notifyProblem(r.problem);
    edit((j) =>
      j.ladder
        ? {
            ...j,
            ladder: { ...j.ladder, rungs: [...j.ladder.rungs, { at: entry.at, dwellS, answer }].slice(-30) },
          }
        : j,
    );
  };
  const keep = async (dwellS: number) => {
    const entry = entryAt(dwellS, 'good');
    if (!entry) return;
    const r = await keepRecipe(recipeOf(entry, null));
    if (!r.ok) return notifyProblem(r.problem);
    // What is proven stands by itself: set by hand as well, it would hide its proof.
    edit((j) => {
      const { platenC: _platenC, dwellS: _dwellS, laterDwellS: _laterDwellS, ...rest } = j.heat;
      return { ...j, heat: rest, ladder: null };
    });
    notify(t('inspect.recipeSavedNextStarts', { blankName: entry.blankName, pressName: entry.pressName }));
  };
  return (
    <div className="grid flex-[1_0_auto] content-start gap-4 p-5 xl:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="grid content-start gap-3">
        <LadderNow
          state={state}
          platenC={ladder.platenC}
          onSay={(d, a) => void answerAt(d, a)}
          onKeep={(d) => void keep(d)}
        />
        {state.kind === 'press' && (
          <p className="text-soft">
            {t('inspect.aboutMore', {
              expected: decimal(state.expected, 1),
              blanks,
              which: ladder.on === 'rejects' ? 'n' : 'other',
            })}
          </p>
        )}
        <LadderChart ladder={ladder} />
      </div>
      <section aria-label={t('inspect.pressedSoFar')}>
        <h3 className="font-name text-lead font-semibold">{t('inspect.pressedSoFar')}</h3>
        <ol className="mt-1">
          {ladder.rungs.map((r) => (
            <li key={r.at} className="flex justify-between border-b border-rule py-1.5">
              <Q of={seconds(r.dwellS)} />
              <strong>{t.label(ANSWERS.find((a) => a.answer === r.answer)?.label ?? '')}</strong>
            </li>
          ))}
        </ol>
        {ladder.rungs.length === 0 && <p className="text-soft">{t('inspect.nothingYetEachWritten')}</p>}
        <Button className="mt-3" onClick={() => edit((j) => ({ ...j, ladder: null }))}>
          {t('inspect.leaveTestLadder')}
        </Button>
      </section>
    </div>
  );
}

interface NowProps {
  readonly state: ReturnType<typeof ladderState>;
  readonly platenC: number;
  readonly onSay: (dwellS: number, answer: RungAnswer) => void;
  readonly onKeep: (dwellS: number) => void;
}

function LadderNow({ state, platenC, onSay, onKeep }: NowProps) {
  const t = useWords();
  if (state.kind === 'shut')
    return (
      <div className="border-2 border-ink bg-warning/25 p-4">
        <p className="text-lead font-semibold">
          {t('inspect.ladderShut', { under: seconds(state.underS), over: seconds(state.overS) })}
        </p>
        <p className="mt-1">{t('inspect.somePlacesGetFar')}</p>
      </div>
    );
  if (state.kind === 'done')
    return (
      <div className="border-2 border-ink bg-sheet p-4">
        <p className="text-lead font-semibold">
          {t('inspect.ladderFound', {
            platen: celsius(platenC),
            dwell: seconds(state.dwellS),
            good: Math.round(state.good * 100),
          })}
        </p>
        <Button kind="act" className="mt-2 px-5 text-lead" onClick={() => onKeep(state.dwellS)}>
          {t('inspect.saveProvenRecipe')}
        </Button>
      </div>
    );
  return (
    <div className="border-2 border-ink bg-sheet p-4">
      <p className="font-name text-head font-semibold">
        {t(state.kind === 'prove' ? 'inspect.ladderProve' : 'inspect.ladderPress', {
          platen: celsius(platenC),
          dwell: seconds(state.dwellS),
        })}
      </p>
      <p className="text-soft">{t('inspect.goodChanceLetCool', { good: Math.round(state.good * 100) })}</p>
      <div className="mt-3 flex flex-wrap gap-2">
        {ANSWERS.map((a) => (
          <Button
            key={a.answer}
            className="min-h-12 px-5 text-lead"
            onClick={() => onSay(state.dwellS, a.answer)}
          >
            {t(a.label)}
          </Button>
        ))}
      </div>
      {state.kind === 'prove' && (
        <Button kind="quiet" className="mt-1" onClick={() => onKeep(state.dwellS)}>
          {t('inspect.saveWithoutProof')}
        </Button>
      )}
    </div>
  );
}
