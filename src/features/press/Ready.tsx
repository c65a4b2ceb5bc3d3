'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { Link } from '@/ui/Link';
import { useEffect, useRef, useState } from 'react';
import { USUAL_WASTE } from '@/core/operations/prepare';
import { startCheck, type CheckItem } from '@/core/operations/startCheck';
import { decimalOf, wholeOf } from '@/core/units/number';
import { heatUp, rememberedPressure } from '@/core/plan/press/heatUp';
import { isChamber, pressureAtSchema } from '@/core/shop/press';
import { newRun } from '@/core/plan/press/newRun';
import type { Plan } from '@/core/plan/planShape';
import { contextOfPlan } from '@/core/plan/press/operationWords';
import { operationWords, type OperationWords } from '@/core/operations/words';
import type { HeatAnswer } from '@/core/heat/answer';
import { heatKey, type HeatQuestion } from '@/core/heat/question';
import type { Job } from '@/core/job/job';
import { isOn, withState } from '@/core/run/pieces';
import { ofStage } from '@/core/shop/operation';
import type { RunDose } from '@/core/shop/run';
import { newId } from '@/data/ids';
import { startRun } from '@/data/runs';
import { inHeatWorker } from '@/workers/client';
import { notifyProblem, notifyWrong } from '@/ui/notify';
import { Say } from '@/ui/words';
import { useShopWithRuns } from '../shell/shopContext';
import { PressButton } from './PressButton';
import { shopNow } from './shopTime';
import { wakeSound } from './sound';
import { tap } from './tap';
import { useStepKeys } from './useStepKeys';

/** What over-time does is known at the start, or not at all: nobody waits longer for it. */
const DOSE_WAIT_MS = 4000;

const wait = (ms: number) => new Promise<null>((resolve) => setTimeout(() => resolve(null), ms));

type OverQuestion = Extract<HeatQuestion, { kind: 'over' }>;

async function doseOf(question: OverQuestion | null): Promise<RunDose | null> {
  if (!question) return null;
  const r = await inHeatWorker(say('common.press'), (api) => api.answer(question) as Promise<HeatAnswer>);
  if (!r.ok || r.value.kind !== 'over') return null;
  const { kind: _, ...dose } = r.value;
  return dose;
}

/** What over-time does to the dose, asked while the start check is read; what is begun sooner waits for it a moment at most. */
function useDose(made: Plan): () => Promise<RunDose | null> {
  const subject = made.heat.model?.subject;
  const settings = made.heat.chosen?.settings;
  const question: OverQuestion | null = subject && settings ? { kind: 'over', subject, settings } : null;
  const asked = useRef<{ readonly key: string; readonly dose: Promise<RunDose | null> } | null>(null);
  useEffect(() => {
    const key = question ? heatKey(question) : '';
    if (asked.current?.key !== key) asked.current = { key, dose: doseOf(question) };
  });
  return () => Promise.race([asked.current?.dose ?? null, wait(DOSE_WAIT_MS)]);
}

/** Blanks as typed: nothing is nobody counted; undefined is not a count. */
function blanksTyped(text: string): number | null | undefined {
  if (text.trim() === '') return null;
  const n = wholeOf(text);
  return n !== null && n <= 100_000 ? n : undefined;
}

/** What the press shows of its pressure, as typed: nothing is null, undefined is not such a number. */
function pressureOf(text: string): number | null | undefined {
  if (text.trim() === '') return null;
  const n = decimalOf(text.trim());
  return n !== null && pressureAtSchema.safeParse(n).success ? n : undefined;
}

/** What the press showed the last time this blank was pressed on it, as it is typed; '' where nobody noted it. */
function usePressure(made: Plan): string {
  const { shop } = useShopWithRuns();
  const { press, chosen } = made.heat;
  const blank = made.blank.blank;
  const at =
    blank && press && rememberedPressure(blank.id, press.id, chosen?.proven?.recipe ?? null, shop.runs);
  return at === null ? '' : String(at);
}

/** Before the first piece of a run. */
export function Ready({ job, made }: { job: Job; made: Plan }) {
  const t = useWords();
  const { heat, press } = made;
  const { shop } = useShopWithRuns();
  const [blanks, setBlanks] = useState('');
  const [beginning, setBeginning] = useState(false);
  const remembered = usePressure(made);
  const [typedPressure, setPressureTyped] = useState<string | null>(null);
  const pressureTyped = typedPressure ?? remembered;
  const runs = shop.runs.map(withState).filter(isOn);
  const there = runs.find((r) => r.run.press.id === heat.press?.id && r.run.jobId !== job.id) ?? null;
  // The time is the model's, a moment after the screen: nothing is begun with another.
  const waiting = beginning || (heat.model?.wanted.some((q) => q.kind === 'start') ?? false);
  const left = press.free.length;
  const typed = blanksTyped(blanks);
  const doseAsked = useDose(made);
  const begin = async () => {
    wakeSound();
    if (waiting || there) return;
    if (typed === undefined) return notifyWrong(t('press.blanksHereTypeWhole'));
    const pressureAt = pressureOf(pressureTyped);
    if (pressureAt === undefined) return notifyWrong(t('press.pressureNotNumber'));
    setBeginning(true);
    const dose = await doseAsked();
    const run = newRun(job, made, {
      id: newId('run'),
      startedAt: shopNow(),
      blanks: typed,
      dose,
      pressureAt,
    });
    const r = run ? await startRun(run) : null;
    if (r && !r.ok) notifyProblem(r.problem);
    setBeginning(false);
  };
  useStepKeys({ onSpace: () => void begin() });
  return (
    <main className="on-night flex h-dvh flex-col bg-night text-pale">
      <div className="min-h-0 flex-1 overflow-auto px-5 py-6 sm:p-8">
        <h1 className="font-name text-big font-semibold">{job.name}</h1>
        <p className="mt-1 text-name text-mist">
          {t('press.toPressOn', { left, press: heat.press?.name ?? '' })}
        </p>
        <div className="mt-6 grid gap-x-10 gap-y-6 lg:grid-cols-[1fr_24rem]">
          <section>
            <h2 className="font-name text-head font-semibold">{t('press.heatUpFirst')}</h2>
            <HeatUpSteps made={made} />
            <PressureField press={heat.press} text={pressureTyped} onText={setPressureTyped} />
            <h2 className="mt-6 font-name text-head font-semibold">{t('press.thenPrepare')}</h2>
            <PreList made={made} />
            <label className="mt-4 flex flex-wrap items-center gap-3 font-label text-name font-semibold">
              {t('press.blanksHere')}
              <input
                inputMode="numeric"
                value={blanks}
                onChange={(e) => setBlanks(e.target.value)}
                aria-invalid={typed === undefined}
                placeholder={t('press.notCounted')}
                className="min-h-16 w-44 border-2 border-mist bg-strata-1 px-4 text-pale placeholder:text-mist"
              />
              {typeof typed === 'number' && (
                <span className={typed < left ? 'text-strata-6' : 'text-mist'}>
                  {typed < left
                    ? t('press.short', { short: left - typed })
                    : t('press.toSpare', { typed: typed - left })}
                </span>
              )}
            </label>
          </section>
          <StartCheck made={made} others={runs.length} />
        </div>
      </div>
      <footer className="flex flex-wrap items-center gap-4 border-t-2 border-strata-2 p-5">
        {there ? (
          <Busy of={there} />
        ) : (
          <PressButton
            look="act"
            onClick={() => void begin()}
            aria-disabled={waiting}
            className="px-8 text-head"
          >
            {waiting
              ? t('press.workingOutTime')
              : (heat.load?.load.piecesAtOnce ?? 1) > 1
                ? t('press.firstLoad')
                : t('press.firstPiece')}
          </PressButton>
        )}
        <Link
          href={`/job/${job.id}/press`}
          className="inline-flex min-h-16 items-center border-2 border-mist px-6 font-label text-name font-semibold"
        >
          {t('inspect.notYet')}
        </Link>
        {!there && <p className="ml-auto text-lead text-mist">{t('press.spaceNextStep')}</p>}
      </footer>
    </main>
  );
}

/** The press is on with another job: it is handed over between two loads. */
function Busy({ of }: { of: ReturnType<typeof withState> }) {
  const t = useWords();
  const { jobs } = useShopWithRuns();
  const name = jobs.find((r) => r.id === of.run.jobId)?.job.name ?? t('press.anotherJob');
  const between = of.state.stepIndex === 0;
  return (
    <>
      <p className="text-lead">
        {t('press.isRunning', { press: of.run.press.name, name })}
        {!between && t('press.canHandedOverWhen')}
      </p>
      {between && (
        <PressButton look="act" onClick={() => void tap(of, 'stop')}>
          {t('press.handOverNow')}
        </PressButton>
      )}
      <Link
        href="/pressing"
        className="inline-flex min-h-16 items-center border-2 border-mist px-6 font-label text-name font-semibold"
      >
        {t('common.allPresses')}
      </Link>
    </>
  );
}

/** What is done to the cold press, in its order; the first load is prepared meanwhile. */
function HeatUpSteps({ made }: { made: Plan }) {
  const t = useWords();
  const { shop } = useShopWithRuns();
  const plan = heatUp(made, shop.runs);
  return (
    <ol className="mt-2 grid gap-1.5">
      {plan?.steps.map((step, i) => (
        <li key={step.id} className="flex gap-3 text-name leading-snug">
          <span className="w-7 shrink-0 text-right font-name font-semibold text-strata-5">{i + 1}</span>
          <span className={step.id === 'last-set' ? 'font-semibold text-strata-6' : ''}>{t(step.text)}</span>
        </li>
      ))}
    </ol>
  );
}

interface PressureProps {
  readonly press: Plan['heat']['press'];
  readonly text: string;
  readonly onText: (text: string) => void;
}

/** What the press shows of its pressure, noted with the run; nothing on a press without a scale. */
function PressureField({ press, text, onText }: PressureProps) {
  const t = useWords();
  if (!press || isChamber(press) || press.pressureScale === 'none') return null;
  return (
    <label className="mt-4 flex flex-wrap items-center gap-3 font-label text-name font-semibold">
      {t('press.pressureShown', { scale: press.pressureScale })}
      <input
        inputMode="decimal"
        value={text}
        onChange={(e) => onText(e.target.value)}
        aria-invalid={pressureOf(text) === undefined}
        placeholder={t('press.notRead')}
        className="min-h-16 w-44 border-2 border-mist bg-strata-1 px-4 text-pale placeholder:text-mist"
      />
    </label>
  );
}

/** Shown whole the first time with a press and a material, one line after that. */
function StartCheck({ made, others }: { made: Plan; others: number }) {
  const t = useWords();
  const { shop } = useShopWithRuns();
  const { heat, blank } = made;
  const known = shop.runs.some(
    (r) => r.press.id === heat.press?.id && r.blank.material === blank.blank?.material,
  );
  const [whole, setWhole] = useState(!known);
  if (!heat.press || !heat.chosen || !blank.blank) return null;
  const items = startCheck({
    settings: heat.chosen.settings,
    blank: blank.blank,
    press: heat.press,
    waste: heat.load?.load ?? USUAL_WASTE,
    others,
  });
  return (
    <section className="border-l-8 border-warning pl-4">
      <h2 className="font-name text-head font-semibold">{t('press.startCheck')}</h2>
      {whole ? (
        <CheckList items={items} />
      ) : (
        <>
          <p className="mt-2 text-lead leading-snug">{t('press.pressureColdWastePaper')}</p>
          <PressButton className="mt-3" onClick={() => setWhole(true)}>
            {t('press.showAll', { items: items.length })}
          </PressButton>
        </>
      )}
    </section>
  );
}

export const CheckList = ({ items }: { items: readonly CheckItem[] }) => (
  <ul className="mt-2 grid gap-2 text-lead leading-snug">
    {items.map((i) => (
      <li key={i.id} className="flex gap-3">
        <span
          aria-hidden
          className={`mt-1.5 size-3 shrink-0 ${i.caution ? 'bg-warning' : 'border-2 border-mist'}`}
        />
        <span>
          <Say message={i.text} />
        </span>
      </li>
    ))}
  </ul>
);

/** What to do, and what to mind while doing it. */
const StepText = ({ words }: { words: OperationWords }) => (
  <>
    <Say message={words.title} />
    {words.note && (
      <span className="block text-lead text-mist">
        <Say message={words.note} />
      </span>
    )}
  </>
);

/** What every piece takes before it goes in. */
function PreList({ made }: { made: Plan }) {
  const context = contextOfPlan(made);
  const steps = ofStage(made.heat.operations, 'prepare');
  return (
    <ol className="mt-2 grid gap-1.5">
      {steps.map((step, i) => (
        <li key={step.id} className="flex gap-3 text-name leading-snug">
          <span className="w-7 shrink-0 text-right font-name font-semibold text-strata-5">{i + 1}</span>
          <span>{context && <StepText words={operationWords(step, context)} />}</span>
        </li>
      ))}
    </ol>
  );
}
