'use client';

import { say, verbatim, type Write, type Message } from '@/core/message/message';
import { useState } from 'react';
import { PEEL_NOTES, PRESSURE_NOTES, PRESSURE_WORDS, TIMER_START_WORDS } from '@/core/heat/settings/labels';
import { settableS } from '@/core/heat/settings/start';
import { readRecipeFor, recipeJson, type RecipeFile, type RecipeContents } from '@/core/formats/recipeFile';
import { preparationWords } from '@/core/plan/press/operationWords';
import type { Plan } from '@/core/plan/planShape';
import { sameSettings } from '@/core/shop/heatSettings';
import type { Load } from '@/core/shop/load';
import { isFlatPress, isChamber } from '@/core/shop/press';
import { clockText } from '@/core/units/format';
import { celsius, seconds } from '@/core/message/quantity';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { FileButton } from '@/ui/FileButton';
import { notify, notifyProblem } from '@/ui/notify';
import { useWords } from '@/ui/words';
import { inHeatWorker } from '@/workers/client';
import { saveTextAs } from '../shell/download';
import { useHeatEdit, useJob } from '../job/jobContext';
import { BedDiagram } from './BedDiagram';
import { MOST_TABLE_BYTES, readText } from '@/data/readFile';

/** Opens the recipe of this job as a card: to print, to hand on, and to hold another against. */
export function RecipeButton() {
  const t = useWords();
  const { plan } = useJob();
  const [open, setOpen] = useState(false);
  if (!plan.heat.chosen) return null;
  return (
    <>
      <Button onClick={() => setOpen(true)}>{t('heat.recipeCard')}</Button>
      {open && <RecipeDialog onClose={() => setOpen(false)} />}
    </>
  );
}

function RecipeDialog({ onClose }: { onClose: () => void }) {
  const t = useWords();
  const { plan, job, shop } = useJob();
  const edit = useHeatEdit();
  const [other, setOther] = useState<RecipeFile | null>(null);
  const { chosen, press, load, model } = plan.heat;
  const blank = plan.blank.blank;
  if (!chosen || !press || !blank) return null;
  const save = () =>
    saveTextAs(
      `${blank.name} on ${press.name}.mesarecipe.json`.toLowerCase().replace(/[^a-z0-9.]+/g, '-'),
      recipeJson(fileOf(plan, shop.settings.shopName, t)),
      'application/json',
    );
  const read = async (file: File) => {
    const text = await readText(file, MOST_TABLE_BYTES, say('heat.recipeFileFewKilobytes'));
    const r = text.ok ? readRecipeFor(text.value, blank) : text;
    if (r.ok) setOther(r.value);
    else notifyProblem(r.problem);
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
        ? await inHeatWorker(say('common.heat'), (api) => api.dwellFor(model.subject, here, dose.leastS))
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
        ? t('heat.setSameDoseC', { platen: settings.platenC, dwell: clockText(dwellS) })
        : t('heat.setWasThereTest'),
    );
    onClose();
  };
  return (
    <Dialog open wide onClose={onClose} title={t('heat.recipeCard')} about={t('heat.pinPressHandCompare')}>
      <div className="mb-3 flex flex-wrap gap-2 print:hidden">
        <Button kind="act" onClick={() => window.print()}>
          {t('heat.printCard')}
        </Button>
        <Button onClick={save}>{t('heat.saveFile')}</Button>
        <FileButton label={t('heat.recipeFileOpen')} accept=".json" onFile={(f) => void read(f)}>
          {t('heat.openAnotherRecipe')}
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

const cautionsOf = (plan: Plan): readonly Message[] => [
  ...plan.heat.findings.filter((f) => f.level !== 'info').map((f) => f.text),
  ...(plan.blank.blank?.cautions ?? []).map(verbatim),
  say('heat.glovesBothHandsFan'),
];

const line = (text: string): string => text.trim().slice(0, 160);

function fileOf(plan: Plan, shopName: string, write: Write): RecipeContents {
  const { chosen, press, heater, load, model } = plan.heat;
  const blank = plan.blank.blank;
  if (!chosen || !press || !blank) throw new Error('no recipe');
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
    steps: preparationWords(plan).map((p) => line(write(p))),
    cautions: cautionsOf(plan).map((c) => line(write(c))),
  };
}

const ORIGIN_WORDS = {
  measured: say('heat.setHand'),
  proven: say('common.provenHere2'),
  estimated: say('heat.modelProven'),
  calculated: say('common.calculated'),
} as const;

function Card({ jobName, load }: { jobName: string; load: Load | null }) {
  const { plan } = useJob();
  const t = useWords();
  const { chosen, press, heater, model } = plan.heat;
  const blank = plan.blank.blank;
  if (!chosen || !press || !blank) return null;
  const { settings: s, originOf } = chosen;
  const o = model?.outcome;
  const touch = plan.heat.figures.find((f) => f.id === 'heat.touch');
  const rows: readonly (readonly [string, string, string])[] = [
    [t('common.temperature'), t.quantity(celsius(s.platenC)), t(ORIGIN_WORDS[originOf.platenC])],
    [
      s.passes > 1 ? t('heat.dwellTimePasses', { passes: s.passes }) : t('heat.dwellTime'),
      `${clockText(s.dwellS)}${s.laterDwellS === null ? '' : t('heat.then', { laterDwell: clockText(s.laterDwellS) })}, ${t(TIMER_START_WORDS[s.timerStart])}`,
      t(ORIGIN_WORDS[originOf.dwellS]),
    ],
    [t('heat.pressure2'), t(PRESSURE_NOTES[s.pressure]), t(ORIGIN_WORDS[originOf.pressure])],
    [
      t('heat.peel'),
      `${t(PEEL_NOTES[s.peel].label)}. ${t(PEEL_NOTES[s.peel].risk)}`,
      t(ORIGIN_WORDS[originOf.peel]),
    ],
    ...(load
      ? [
          [
            t('heat.atOnce'),
            t('heat.wasteSheet2', { piecesAtOnce: load.piecesAtOnce, wasteSheets: load.wasteSheets }),
            t('heat.thisLoad'),
          ] as const,
        ]
      : []),
    ...(touch
      ? [
          [
            t('heat.coolTouch'),
            t('heat.atLeast', { quantity: touch.quantity }),
            t('heat.byTheModel'),
          ] as const,
        ]
      : []),
    ...(o
      ? [
          [
            t('heat.dose'),
            t('heat.n200CLeastHeated', { least: seconds(o.least.value) }),
            t('heat.byTheModel'),
          ] as const,
        ]
      : []),
  ];
  return (
    <article>
      <h3 className="font-name text-head leading-tight font-semibold">
        {t('heat.on', { blank: blank.name, press: press.name })}
        {heater && ` (${heater.name})`}
      </h3>
      <p className="text-fine">
        {jobName}
        {chosen.proven
          ? t('heat.provenGoodPieces', { goodPieces: chosen.proven.goodPieces })
          : t('heat.notProvenYetTest')}
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
          <h4 className="font-name font-semibold">{t('heat.beforePressing')}</h4>
          <ol className="list-decimal pl-5 text-fine leading-snug">
            {preparationWords(plan).map((p, i) => (
              <li key={i}>{t(p)}</li>
            ))}
          </ol>
        </section>
        <section>
          <h4 className="font-name font-semibold">{t('blank.cautions')}</h4>
          <ul className="list-disc pl-5 text-fine leading-snug">
            {cautionsOf(plan).map((c, i) => (
              <li key={i}>{t(c)}</li>
            ))}
          </ul>
          {(isFlatPress(press) || isChamber(press)) && (
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
  const t = useWords();
  const { chosen, press, model } = plan.heat;
  if (!chosen || !press) return null;
  const { settings: a } = other;
  const { settings: b } = chosen;
  const dose = (s: number | undefined) => (s === undefined ? t('heat.notKnown') : t.quantity(seconds(s)));
  const rows = [
    [t('art.on'), `${other.blank.name}, ${other.press.name}`, press.name],
    [t('common.temperature'), t.quantity(celsius(a.platenC)), t.quantity(celsius(b.platenC))],
    [
      t('heat.dwellTime'),
      `${clockText(a.dwellS)} × ${a.passes}, ${t(TIMER_START_WORDS[a.timerStart])}`,
      `${clockText(b.dwellS)} × ${b.passes}, ${t(TIMER_START_WORDS[b.timerStart])}`,
    ],
    [t('heat.pressure2'), t(PRESSURE_WORDS[a.pressure]), t(PRESSURE_WORDS[b.pressure])],
    [t('heat.peel'), t(PEEL_NOTES[a.peel].label), t(PEEL_NOTES[b.peel].label)],
    [t('heat.dose200C'), dose(other.dose?.leastS), dose(model?.outcome?.least.value)],
    [t('heat.goodPieces'), String(other.goodPieces), String(chosen.proven?.goodPieces ?? 0)],
  ] as const;
  return (
    <section aria-label={t('heat.compared')} className="mb-4 border-2 border-strata-6 p-3 print:hidden">
      <h3 className="font-name text-lead font-semibold">
        {t('heat.comparedShop', { shopName: other.shopName })}
      </h3>
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
        <Button onClick={use}>{other.dose ? t('heat.useSameDosePress') : t('heat.useSettings')}</Button>
      </div>
    </section>
  );
}

/** Recipes this shop keeps for this blank, on any press. */
function Kept() {
  const { plan, shop } = useJob();
  const t = useWords();
  const blank = plan.blank.blank;
  const kept = shop.recipes.filter((r) => r.blankId === blank?.id);
  if (kept.length === 0) return null;
  const now = plan.heat.chosen?.settings;
  return (
    <section aria-label={t('heat.keptRecipes')} className="mt-4 print:hidden">
      <h3 className="font-name text-lead font-semibold">{t('heat.keptHereBlank')}</h3>
      <ul className="font-label">
        {kept.map((r) => (
          <li key={r.id} className="border-b border-rule py-1">
            {shop.presses.find((p) => p.id === r.pressId)?.name ?? t('heat.pressLongerHere')}:{' '}
            {t.quantity(celsius(r.settings.platenC))} · {clockText(r.settings.dwellS)} × {r.settings.passes}
            {now && sameSettings(now, r.settings) && <strong> {t('heat.setNow')}</strong>}
          </li>
        ))}
      </ul>
    </section>
  );
}
