'use client';

import { FileDown, FileUp } from 'lucide-react';
import { useState } from 'react';
import type { ShopFile } from '@/core/formats/jobFile';
import { fail, ok, problemText } from '@/core/basics/result';
import { HOLDS, SEAM_METHODS, WRAP_KINDS, type Settings } from '@/core/shop/settings';
import { SEAM_METHOD_NOTES } from '@/core/wrap/seamMethods';
import { KIND_WORDS } from '@/core/wrap/startingMethod';
import { checkShopFile, restoreShop, shopFileText } from '@/data/files';
import { Button } from '@/ui/Button';
import { FileButton } from '@/ui/FileButton';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { Select } from '@/ui/Select';
import { Segments } from '@/ui/Segments';
import { Dialog } from '@/ui/Dialog';
import { TypedField } from '@/ui/TypedField';
import { notify, notifyProblem, notifyWrong } from '@/ui/notify';
import { saveTextAs } from '../shell/download';
import { ShopFrame } from '../shell/ShopFrame';
import { useShop } from '../shell/shopContext';
import { CircuitsGroup, DayGroup } from './DaySettings';
import { Group } from './Group';
import { useSettings } from './useSettings';
import { WorkCosts } from './WorkCosts';
import { MOST_WITH_PICTURES_BYTES, readText } from '@/data/readFile';

/** The shop's own ways: tape, money, seam methods; and the whole shop in a file. */
export function SettingsPage() {
  return (
    <ShopFrame title="Settings" about="kept in this browser">
      <div className="grid max-w-4xl divide-y divide-rule px-5">
        <ShopGroup />
        <TapeGroup />
        <MoneyGroup />
        <WorkCosts />
        <DayGroup />
        <CircuitsGroup />
        <DefaultsGroup />
        <WholeShop />
      </div>
    </ShopFrame>
  );
}

function ShopGroup() {
  const { s, put } = useSettings();
  return (
    <Group title="Shop" about="The name is shown at the top of every page.">
      <TypedField
        label="Name"
        text={s.shopName}
        width="w-64"
        parse={(t) =>
          t.trim() === '' ? fail('A name is missing.', 'Name', 'Type any name.') : ok(t.trim().slice(0, 80))
        }
        onValue={(shopName) => put({ shopName })}
      />
      <Labelled label="Sound at the press">
        <Segments
          label="Sound at the press"
          value={s.sound ? 'on' : 'off'}
          onChange={(v) => put({ sound: v === 'on' })}
          options={[
            { value: 'on', label: 'on' },
            { value: 'off', label: 'off' },
          ]}
        />
      </Labelled>
    </Group>
  );
}

function TapeGroup() {
  const { s, put, putTape } = useSettings();
  return (
    <Group
      title="Tape measure"
      about="A tape measure reads along its own middle, so π × its thickness is subtracted. Its finest mark sets how far a reading is trusted."
    >
      <LengthField
        label="Thickness"
        fine
        valueMm={s.tape.thicknessMm}
        minMm={0}
        maxMm={2}
        byHand
        onValue={(thicknessMm) => putTape({ thicknessMm })}
      />
      <LengthField
        label="String thickness"
        fine
        valueMm={s.tape.stringMm}
        minMm={0}
        maxMm={4}
        byHand
        onValue={(stringMm) => putTape({ stringMm })}
      />
      <Labelled label="Smallest inch mark">
        <Select
          label="Smallest inch mark"
          value={String(s.units.inchDenominator)}
          options={[8, 16, 32, 64].map((d) => ({ value: String(d), label: `1/${d} in` }))}
          onChange={(v) =>
            put({
              units: { ...s.units, inchDenominator: Number(v) as Settings['units']['inchDenominator'] },
            })
          }
          className="w-28"
        />
      </Labelled>
      <Labelled label="Smallest metric mark">
        <Segments
          label="Smallest metric mark"
          value={String(s.tape.finestMm)}
          onChange={(v) => putTape({ finestMm: v === '0.5' ? 0.5 : 1 })}
          options={[
            { value: '0.5', label: '½ mm' },
            { value: '1', label: '1 mm' },
          ]}
        />
      </Labelled>
    </Group>
  );
}

function MoneyGroup() {
  const { s, put } = useSettings();
  return (
    <Group title="Money" about="Printers, and what paper and ink cost, are kept under Papers.">
      <TypedField
        label="Currency symbol"
        text={s.currency}
        width="w-16"
        parse={(t) =>
          /^\S{1,4}$/.test(t.trim())
            ? ok(t.trim())
            : fail('A currency symbol has one to four characters.', 'Money', 'For example $, € or kr.')
        }
        onValue={(currency) => put({ currency })}
      />
    </Group>
  );
}

function DefaultsGroup() {
  const { s, putDefaults, putSeamMethod } = useSettings();
  return (
    <Group
      title="Shop defaults"
      about="The seam method and sizes a new wrap starts with, by kind of blank. Each job can differ."
    >
      {WRAP_KINDS.map((kind) => (
        <Labelled key={kind} label={KIND_WORDS[kind].label}>
          <Select
            label={`Seam method, ${KIND_WORDS[kind].label.toLowerCase()}`}
            value={s.defaults.seamMethods[kind]}
            options={SEAM_METHODS.filter((v) => kind !== 'handled' || v !== 'lap').map((v) => ({
              value: v,
              label: SEAM_METHOD_NOTES[v].label,
            }))}
            onChange={(seamMethod) => putSeamMethod(kind, seamMethod)}
            className="w-40"
          />
        </Labelled>
      ))}
      <LengthField
        label="Bleed"
        valueMm={s.defaults.bleedMm}
        minMm={0}
        maxMm={15}
        byHand
        onValue={(bleedMm) => putDefaults({ bleedMm })}
      />
      <LengthField
        label="Safe zone"
        valueMm={s.defaults.safeMm}
        minMm={0}
        maxMm={30}
        byHand
        onValue={(safeMm) => putDefaults({ safeMm })}
      />
      <LengthField
        label="Setback, rim and foot"
        valueMm={s.defaults.setbackMm}
        minMm={0}
        maxMm={30}
        byHand
        onValue={(setbackMm) => putDefaults({ setbackMm })}
      />
      <LengthField
        label="Bleed, flat blanks"
        valueMm={s.defaults.flatBleedMm}
        minMm={0}
        maxMm={15}
        byHand
        onValue={(flatBleedMm) => putDefaults({ flatBleedMm })}
      />
      <Labelled label="Paper held by">
        <Select
          label="Paper held by"
          value={s.defaults.hold}
          options={HOLDS.map((v) => ({ value: v, label: v }))}
          onChange={(hold) => putDefaults({ hold })}
          className="w-44"
        />
      </Labelled>
    </Group>
  );
}

function WholeShop() {
  const { jobs } = useShop();
  const [found, setFound] = useState<ShopFile | null>(null);
  const save = async () => {
    const text = await shopFileText();
    if (text.ok)
      saveTextAs(
        `shop-${new Date().toISOString().slice(0, 10)}.mesashop.json`,
        text.value,
        'application/json',
      );
    else notifyProblem(text.problem);
  };
  const check = async (file: File) => {
    const text = await readText(
      file,
      MOST_WITH_PICTURES_BYTES,
      'A shop file this large cannot be restored here.',
    );
    const r = text.ok ? checkShopFile(text.value) : text;
    if (r.ok) setFound(r.value);
    else notifyProblem(r.problem);
  };
  const restore = async () => {
    if (!found) return;
    const r = await restoreShop(found);
    setFound(null);
    if (r.ok) notify('The shop is restored.');
    else notifyWrong(`${problemText(r.problem)} The shop is as it was.`);
  };
  return (
    <Group
      title="Shop in one file"
      about="Jobs, pictures, blanks, presses, papers, recipes, log, stock and quotes in one JSON file."
    >
      <Button onClick={() => void save()}>
        <FileDown size={18} aria-hidden /> Save shop file
      </Button>
      <FileButton label="Shop file" accept=".json,application/json" onFile={(f) => void check(f)}>
        <FileUp size={18} aria-hidden /> Restore shop file
      </FileButton>
      {found && (
        <Dialog
          open
          onClose={() => setFound(null)}
          title="Replace this shop?"
          about={`“${found.shop.settings.shopName}”: ${found.jobs.length} jobs, ${found.shop.blanks.length} blanks, ${found.shop.log.length} log entries.`}
        >
          <p className="leading-snug">
            Everything in this browser ({jobs.length} {jobs.length === 1 ? 'job' : 'jobs'}) is replaced. Save
            your shop first if it is not in a file.
          </p>
          <div className="mt-4 flex flex-wrap justify-end gap-2">
            <Button onClick={() => void save()}>Save current shop</Button>
            <Button onClick={() => setFound(null)}>Cancel</Button>
            <Button kind="act" onClick={() => void restore()}>
              Replace shop
            </Button>
          </div>
        </Dialog>
      )}
    </Group>
  );
}
