'use client';

import { FileDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { barsFor } from '@/core/calibration/calibration';
import { calibrationPage } from '@/core/sheet/calibrationPage';
import { printerOf } from '@/core/shop/settings';
import type { Paper } from '@/core/shop/paper';
import { mm } from '@/core/units/quantity';
import { savePaper } from '@/data/shop';
import { inWorker, onProgress } from '@/workers/client';
import { Button } from '@/ui/Button';
import { FormField, inputClass } from '@/ui/FormField';
import { Dialog } from '@/ui/Dialog';
import { useSay, useUnits } from '@/ui/units';
import { notify, notifyProblem } from '@/ui/notify';
import { saveBytesAs } from '../shell/download';
import { useShop } from '../shell/shopContext';
import { AXES, AXIS_WORDS, barTexts, readBars, type Axis, type BarTexts } from './calibrationForm';
import { shownLengths } from './shopForm';

interface Props {
  readonly paper: Paper;
  readonly onClose: () => void;
}

/** Print two bars, measure them, type them in; press the page and measure again. */
export function CalibrationDialog({ paper, onClose }: Props) {
  const { shop } = useShop();
  const units = useUnits();
  const say = useSay();
  const printer = printerOf(shop.settings, null);
  const marginMm = Math.max(...Object.values(printer.marginsMm));
  const bars = barsFor(paper, marginMm);
  const nominal: Readonly<Record<Axis, number>> = { across: bars.acrossMm, along: bars.alongMm };
  const old = paper.calibration;
  const shown = useMemo(() => shownLengths(units), [units]);
  const [texts, setTexts] = useState<BarTexts>(() => barTexts(old, shown));
  const [wrong, setWrong] = useState<Partial<Record<keyof BarTexts, string>>>({});

  const page = async () => {
    const made = await inWorker('Calibration page', (api) =>
      api.pdf(
        {
          title: `Calibration, ${paper.name}`,
          pages: [calibrationPage(paper, marginMm)],
          sources: {},
          pictures: [],
          ppi: printer.ppi,
        },
        onProgress(() => undefined),
      ),
    );
    if (made.ok) saveBytesAs(`calibration-${paper.id}.pdf`, made.value, 'application/pdf');
    else notifyProblem(made.problem);
  };

  const save = async () => {
    const read = readBars(texts, { unit: units.length, nominal, old, shown }, (v) => say([mm(v)]));
    setWrong(read.wrong);
    if (!read.calibration) return;
    const r = await savePaper({ ...paper, calibration: read.calibration });
    if (!r.ok) notifyProblem(r.problem);
    else {
      notify(`${paper.name} is measured. Sheets compensate for it from now on.`);
      onClose();
    }
  };

  const forget = async () => {
    const r = await savePaper({ ...paper, calibration: null });
    if (r.ok) onClose();
    else notifyProblem(r.problem);
  };

  return (
    <Dialog
      open
      onClose={onClose}
      title={`What the printer does on ${paper.name}`}
      about="Printers are never exact, and paper shrinks in the heat. Sheets compensate for both once they are measured."
    >
      <ol className="grid gap-3">
        <li className="flex flex-wrap items-center gap-3">
          <Button onClick={() => void page()}>
            <FileDown size={18} aria-hidden /> Calibration page
          </Button>
          <span className="min-w-48 flex-1 leading-snug">
            1. Print it at 100 %, no “fit to page”, as you print your work.
          </span>
        </li>
        <li className="leading-snug">
          2. Measure both bars from stroke to stroke with a steel rule. Press the bare page as usual, and
          measure again.
        </li>
      </ol>
      <BarFields texts={texts} wrong={wrong} nominal={nominal} onTexts={setTexts} />
      <div className="mt-4 flex flex-wrap justify-end gap-2">
        {old && <Button onClick={() => void forget()}>Remove calibration</Button>}
        <Button onClick={onClose}>Cancel</Button>
        <Button kind="act" onClick={() => void save()}>
          Save measurements
        </Button>
      </div>
    </Dialog>
  );
}

interface FieldsProps {
  readonly texts: BarTexts;
  readonly wrong: Partial<Readonly<Record<keyof BarTexts, string>>>;
  readonly nominal: Readonly<Record<Axis, number>>;
  readonly onTexts: (texts: BarTexts) => void;
}

function BarFields({ texts, wrong, nominal, onTexts }: FieldsProps) {
  const units = useUnits();
  const say = useSay();
  return (
    <div className="mt-3 grid grid-cols-2 gap-3">
      {AXES.flatMap((axis) =>
        (['printed', 'pressed'] as const).map((when) => {
          const key = `${axis}-${when}` as const;
          return (
            <FormField
              key={key}
              label={`${AXIS_WORDS[axis]}, ${when === 'printed' ? 'as printed' : 'after pressing'}, ${units.length}`}
              hint={when === 'printed' ? `should be ${say([mm(nominal[axis])])}` : 'empty: not pressed yet'}
              problem={wrong[key]}
            >
              {(p) => (
                <input
                  {...p}
                  autoComplete="off"
                  className={inputClass}
                  value={texts[key]}
                  onChange={(e) => onTexts({ ...texts, [key]: e.target.value })}
                />
              )}
            </FormField>
          );
        }),
      )}
    </div>
  );
}
