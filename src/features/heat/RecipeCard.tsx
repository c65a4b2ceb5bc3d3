'use client';

import { useState } from 'react';
import { PEEL_NOTES, PRESSURE_NOTES, PRESSURE_WORDS, TIMER_START_WORDS } from '@/core/heat/labels';
import { settableS } from '@/core/heat/start';
import { readRecipeFor, recipeJson, type RecipeFile } from '@/core/formats/recipeFile';
import { problemText } from '@/core/basics/result';
import { preparationWords } from '@/core/plan/operationWords';
import type { Plan } from '@/core/plan/plan';
import { sameSettings } from '@/core/shop/heatSettings';
import type { Load } from '@/core/shop/load';
import { isFlatPress, isOven } from '@/core/shop/press';
import { clockText, phraseText, type UnitChoice } from '@/core/units/format';
import { celsius, seconds } from '@/core/units/quantity';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { FileButton } from '@/ui/FileButton';
import { notify, notifyWrong } from '@/ui/notify';
import { useSay, useUnits } from '@/ui/units';
import { inHeatWorker } from '@/workers/client';
import { saveTextAs } from '../shell/download';
import { useJob } from '../job/jobContext';
import { BedDiagram } from './BedDiagram';
import { MOST_TABLE_BYTES, readText } from '@/data/readFile';

/** Opens the recipe of this job as a card: to print, to hand on, and to hold another against. */
export function RecipeButton() {
  const { plan } = useJob();
  const [open, setOpen] = useState(false);
  if (!plan.heat.chosen) return null;
  return (
    <>
      <Button onClick={() => setOpen(true)}>Recipe card</Button>
      {open && <RecipeDialog onClose={() => setOpen(false)} />}
    </>
  );
}

function RecipeDialog({ onClose }: { onClose: () => void }) {
  const { plan, job, shop, edit } = useJob();
  const units = useUnits();
  const [other, setOther] = useState<RecipeFile | null>(null);
  const { chosen, press, load, model } = plan.heat;
  const blank = plan.blank.blank;
  if (!chosen || !press || !blank) return null;
  const save = () =>
    saveTextAs(
      `${blank.name} on ${press.name}.mesarecipe.json`.toLowerCase().replace(/[^a-z0-9.]+/g, '-'),
      recipeJson(fileOf(plan, shop.settings.shopName, units)),
      'application/json',
    );
  const read = async (file: File) => {
    const text = await readText(
      file,
      MOST_TABLE_BYTES,
      'A recipe file is a few kilobytes: choose the right one.',
    );
    const r = text.ok ? readRecipeFor(text.value, blank) : text;
    if (r.ok) setOther(r.value);
    else notifyWrong(problemText(r.problem));
  };
  /** The other shop's setting, or where its dose is known the time that gives the same here. */
  const use = async (recipe: RecipeFile) => {
    const { dose, settings } = recipe;
    const passes = chosen.settings.passes;
    const here = {
      ...settings,
      passes,
      timerStart: chosen.settings.timerStart,
      coolDownC: chosen.settings.coolDownC,
    };
    const asked =
      dose && model
        ? await inHeatWorker('Heat', (api) => api.dwellFor(model.subject, here, dose.leastS))
        : null;
    const dwellS = asked?.ok ? settableS(asked.value) : settings.dwellS;
    edit((j) => ({
      ...j,
      heat: {
        ...j.heat,
        platenC: settings.platenC,
        dwellS,
        pressure: settings.pressure,
        peel: settings.peel,
      },
    }));
    notify(
      asked?.ok
        ? `Set to the same dose: ${settings.platenC} °C for ${clockText(dwellS)}. A test piece comes first.`
        : `Set as it was there. A test piece comes first.`,
    );
    onClose();
  };
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Recipe card"
      about="To pin at the press, to hand on, and to compare."
    >
      <div className="mb-3 flex flex-wrap gap-2 print:hidden">
        <Button kind="act" onClick={() => window.print()}>
          Print card
        </Button>
        <Button onClick={save}>Save file</Button>
        <FileButton label="Recipe file to open" accept=".json" onFile={(f) => void read(f)}>
          Open another recipe
        </FileButton>
      </div>
      {other && <Compare other={other} use={() => void use(other)} />}
      <div className="print-card border-2 border-ink bg-white p-4">
        <Card jobName={job.name} load={load?.load ?? null} />
      </div>
      <Kept />
    </Dialog>
  );
}

const cautionsOf = (plan: Plan, units: UnitChoice): readonly string[] => [
  ...plan.heat.findings.filter((f) => f.level !== 'info').map((f) => phraseText(f.text, units)),
  ...(plan.blank.blank?.cautions ?? []),
  'Gloves both hands; fan on, window open. The maker’s own sheet comes first.',
];

const line = (text: string): string => text.trim().slice(0, 160);

function fileOf(plan: Plan, shopName: string, units: UnitChoice): Omit<RecipeFile, 'format' | 'version'> {
  const { chosen, press, heater, load, model } = plan.heat;
  const blank = plan.blank.blank;
  if (!chosen || !press || !blank) throw new Error('No recipe yet.');
  const o = model?.outcome;
  return {
    savedAt: Date.now(),
    shopName,
    blank: {
      name: blank.name,
      material: blank.material,
      finish: blank.coating.finish,
      wall: blank.wall,
      wallMm: blank.wallMm,
    },
    press: { name: press.name, kind: press.kind, heater: heater?.name ?? null },
    settings: chosen.settings,
    load: load?.load ?? null,
    goodPieces: chosen.proven?.goodPieces ?? 0,
    dose: o ? { leastS: o.least.value, mostS: o.most.value } : null,
    steps: preparationWords(plan).map((p) => line(phraseText(p, units))),
    cautions: cautionsOf(plan, units).map(line),
  };
}

const ORIGIN_WORDS = {
  measured: 'set by hand',
  proven: 'proven here',
  estimated: 'by the model, not proven',
  calculated: 'calculated',
} as const;

function Card({ jobName, load }: { jobName: string; load: Load | null }) {
  const { plan } = useJob();
  const say = useSay();
  const units = useUnits();
  const { chosen, press, heater, model } = plan.heat;
  const blank = plan.blank.blank;
  if (!chosen || !press || !blank) return null;
  const { settings: s, originOf } = chosen;
  const o = model?.outcome;
  const touch = plan.heat.figures.find((f) => f.id === 'heat.touch');
  const rows: readonly (readonly [string, string, string])[] = [
    ['Temperature', say([celsius(s.platenC)]), ORIGIN_WORDS[originOf.platenC]],
    [
      s.passes > 1 ? `Dwell time, ${s.passes} passes` : 'Dwell time',
      `${clockText(s.dwellS)}${s.laterDwellS === null ? '' : `, then ${clockText(s.laterDwellS)}`}, ${TIMER_START_WORDS[s.timerStart]}`,
      ORIGIN_WORDS[originOf.dwellS],
    ],
    ['Pressure', PRESSURE_NOTES[s.pressure], ORIGIN_WORDS[originOf.pressure]],
    ['Peel', `${s.peel}. ${PEEL_NOTES[s.peel].risk}`, ORIGIN_WORDS[originOf.peel]],
    ...(load
      ? [
          [
            'At once',
            `${load.piecesAtOnce}; ${load.wasteSheets} waste sheet${load.wasteSheets === 1 ? '' : 's'} over`,
            'this load',
          ] as const,
        ]
      : []),
    ...(touch ? [['Cool to touch', `at least ${say([touch.quantity])}`, 'by the model'] as const] : []),
    ...(o
      ? [
          [
            'Dose',
            `${say([seconds(o.least.value)])} at 200 °C at the least heated place`,
            'by the model',
          ] as const,
        ]
      : []),
  ];
  return (
    <article>
      <h3 className="font-name text-head leading-tight font-semibold">
        {blank.name} on {press.name}
        {heater && ` (${heater.name})`}
      </h3>
      <p className="text-fine">
        {jobName}
        {chosen.proven
          ? ` · proven by ${chosen.proven.goodPieces} good pieces`
          : ' · not proven yet: a test piece first'}
      </p>
      <table className="mt-2 w-full font-label">
        <tbody>
          {rows.map(([label, value, origin]) => (
            <tr key={label} className="border-b border-rule align-baseline">
              <th scope="row" className="w-36 py-1 pr-3 text-left font-medium">
                {label}
              </th>
              <td className="py-1 pr-3 text-lead font-semibold">{value}</td>
              <td className="py-1 text-right text-fine">{origin}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-3 grid gap-4 sm:grid-cols-2">
        <section>
          <h4 className="font-name font-semibold">Before pressing</h4>
          <ol className="list-decimal pl-5 text-fine leading-snug">
            {preparationWords(plan).map((p, i) => (
              <li key={i}>{phraseText(p, units)}</li>
            ))}
          </ol>
        </section>
        <section>
          <h4 className="font-name font-semibold">Cautions</h4>
          <ul className="list-disc pl-5 text-fine leading-snug">
            {cautionsOf(plan, units).map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
          {(isFlatPress(press) || isOven(press)) && (
            <div className="mt-2 max-w-72">
              <BedDiagram press={press} print />
            </div>
          )}
        </section>
      </div>
    </article>
  );
}

/** Another shop's recipe beside this one, line by line. */
function Compare({ other, use }: { other: RecipeFile; use: () => void }) {
  const { plan } = useJob();
  const say = useSay();
  const { chosen, press, model } = plan.heat;
  if (!chosen || !press) return null;
  const { settings: a } = other;
  const { settings: b } = chosen;
  const dose = (s: number | undefined) => (s === undefined ? 'not known' : say([seconds(s)]));
  const rows = [
    ['On', `${other.blank.name}, ${other.press.name}`, press.name],
    ['Temperature', say([celsius(a.platenC)]), say([celsius(b.platenC)])],
    [
      'Dwell time',
      `${clockText(a.dwellS)} × ${a.passes}, ${TIMER_START_WORDS[a.timerStart]}`,
      `${clockText(b.dwellS)} × ${b.passes}, ${TIMER_START_WORDS[b.timerStart]}`,
    ],
    ['Pressure', PRESSURE_WORDS[a.pressure], PRESSURE_WORDS[b.pressure]],
    ['Peel', a.peel, b.peel],
    ['Dose at 200 °C', dose(other.dose?.leastS), dose(model?.outcome?.least.value)],
    ['Good pieces with it', String(other.goodPieces), String(chosen.proven?.goodPieces ?? 0)],
  ] as const;
  return (
    <section aria-label="Compared" className="mb-4 border-2 border-strata-6 p-3 print:hidden">
      <h3 className="font-name text-lead font-semibold">{other.shopName} compared with this shop</h3>
      <table className="mt-1 w-full font-label">
        <tbody>
          {rows.map(([label, theirs, ours]) => (
            <tr key={label} className="border-b border-rule">
              <th scope="row" className="w-44 py-1 text-left font-medium">
                {label}
              </th>
              <td className={theirs === ours ? '' : 'font-semibold'}>{theirs}</td>
              <td className={theirs === ours ? '' : 'font-semibold'}>{ours}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-2">
        <Button onClick={use}>{other.dose ? 'Use the same dose on this press' : 'Use its settings'}</Button>
      </div>
    </section>
  );
}

/** Recipes this shop keeps for this blank, on any press. */
function Kept() {
  const { plan, shop } = useJob();
  const say = useSay();
  const blank = plan.blank.blank;
  const kept = shop.recipes.filter((r) => r.blankId === blank?.id);
  if (kept.length === 0) return null;
  const now = plan.heat.chosen?.settings;
  return (
    <section aria-label="Kept recipes" className="mt-4 print:hidden">
      <h3 className="font-name text-lead font-semibold">Kept here for this blank</h3>
      <ul className="font-label">
        {kept.map((r) => (
          <li key={r.id} className="border-b border-rule py-1">
            {shop.presses.find((p) => p.id === r.pressId)?.name ?? 'a press no longer here'}:{' '}
            {say([celsius(r.settings.platenC)])} · {clockText(r.settings.dwellS)} × {r.settings.passes}
            {now && sameSettings(now, r.settings) && <strong> · as set now</strong>}
          </li>
        ))}
      </ul>
    </section>
  );
}
