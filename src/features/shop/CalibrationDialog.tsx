'use client';

import { FileDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { barsFor, SCALE_BELIEVED } from '@/core/calibration/calibration';
import { calibrationPage } from '@/core/sheet/calibrationPage';
import { problemText } from '@/core/basics/result';
import { printerOf } from '@/core/shop/settings';
import type { Calibration, Paper } from '@/core/shop/paper';
import { parseLength } from '@/core/units/parse';
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
import { shownLengths } from './shopForm';

type Axis = 'across' | 'along';
type When = 'printed' | 'pressed';
type Texts = Readonly<Record<`${Axis}-${When}`, string>>;

const AXES: readonly Axis[] = ['across', 'along'];
const AXIS_WORDS: Readonly<Record<Axis, string>> = { across: 'Across the sheet', along: 'Along the feed' };

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
  const text = (key: string, v: number | null | undefined) => (v == null ? '' : shown.show(key, v, true));
  const [texts, setTexts] = useState<Texts>({
    'across-printed': text('across-printed', old?.across.printedMm),
    'along-printed': text('along-printed', old?.along.printedMm),
    'across-pressed': text('across-pressed', old?.across.pressedMm),
    'along-pressed': text('along-pressed', old?.along.pressedMm),
  });
  const [wrong, setWrong] = useState<Partial<Record<keyof Texts, string>>>({});

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
    const found: Partial<Record<keyof Texts, string>> = {};
    const read = (axis: Axis, when: When): number | null => {
      const key = `${axis}-${when}` as const;
      if (texts[key].trim() === '' && when === 'pressed') return null;
      const kept = shown.stored(key, texts[key]);
      if (kept !== null) return kept;
      const parsed = parseLength(texts[key], units.length, AXIS_WORDS[axis]);
      if (!parsed.ok) found[key] = problemText(parsed.problem);
      else if (Math.abs(parsed.value.valueMm / nominal[axis] - 1) > SCALE_BELIEVED)
        found[key] =
          `The bar is ${say([mm(nominal[axis])])}; this is more than 3 % off. Look for “fit to page” in the driver, or measure again.`;
      return parsed.ok ? parsed.value.valueMm : null;
    };
    // Bars not measured again are those of the page that was measured then.
    const measuredThen = (axis: Axis) => shown.stored(`${axis}-printed`, texts[`${axis}-printed`]) !== null;
    const bar = (axis: Axis) => ({
      nominalMm: (measuredThen(axis) ? old?.[axis].nominalMm : null) ?? nominal[axis],
      printedMm: read(axis, 'printed') ?? nominal[axis],
      pressedMm: read(axis, 'pressed'),
    });
    const calibration: Calibration = { across: bar('across'), along: bar('along') };
    setWrong(found);
    if (Object.keys(found).length > 0) return;
    const r = await savePaper({ ...paper, calibration });
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
      about="No printer is true to a hair, and paper shrinks in the heat. Sheets compensate for both once they are known."
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
                    onChange={(e) => setTexts({ ...texts, [key]: e.target.value })}
                  />
                )}
              </FormField>
            );
          }),
        )}
      </div>
      <div className="mt-4 flex flex-wrap justify-end gap-2">
        {old && <Button onClick={() => void forget()}>Remove calibration</Button>}
        <Button onClick={onClose}>Cancel</Button>
        <Button kind="act" onClick={() => void save()}>
          Keep these
        </Button>
      </div>
    </Dialog>
  );
}
