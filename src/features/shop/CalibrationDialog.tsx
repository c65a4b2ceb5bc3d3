'use client';

import { type Message, say } from '@/core/message/message';
import { FileDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { barsFor } from '@/core/calibration/calibration';
import { calibrationPage } from '@/core/sheet/calibrationPage';
import { printerOf } from '@/core/shop/settings';
import type { Paper } from '@/core/shop/paper';
import { mm } from '@/core/message/quantity';
import { savePaper } from '@/data/shop';
import { inWorker, onProgress } from '@/workers/client';
import { Button } from '@/ui/Button';
import { FormField, inputClass } from '@/ui/FormField';
import { Dialog } from '@/ui/Dialog';
import { useUnits } from '@/ui/units';
import { useWords } from '@/ui/words';
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
  const t = useWords();
  const printer = printerOf(shop.settings, null);
  const marginMm = Math.max(...Object.values(printer.marginsMm));
  const bars = barsFor(paper, marginMm);
  const nominal: Readonly<Record<Axis, number>> = { across: bars.acrossMm, along: bars.alongMm };
  const old = paper.calibration;
  const shown = useMemo(() => shownLengths(units), [units]);
  const [texts, setTexts] = useState<BarTexts>(() => barTexts(old, shown));
  const [wrong, setWrong] = useState<Partial<Record<keyof BarTexts, Message>>>({});

  const page = async () => {
    const made = await inWorker(say('shop.calibrationPage'), (api) =>
      api.pdf(
        {
          title: t('shop.calibration', { paper: paper.name }),
          pages: [calibrationPage(paper, marginMm, t)],
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
    const read = readBars(texts, { unit: units.length, nominal, old, shown });
    setWrong(read.wrong);
    if (!read.calibration) return;
    const r = await savePaper({ ...paper, calibration: read.calibration });
    if (!r.ok) notifyProblem(r.problem);
    else {
      notify(t('shop.measuredSheetsCompensateFrom', { paper: paper.name }));
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
      title={t('shop.whatPrinterDoes', { paper: paper.name })}
      about={t('shop.printersNeverExactPaper')}
    >
      <ol className="grid gap-3">
        <li className="flex flex-wrap items-center gap-3">
          <Button onClick={() => void page()}>
            <FileDown size={18} aria-hidden /> {t('shop.calibrationPage')}
          </Button>
          <span className="min-w-48 flex-1 leading-snug">{t('shop.n1Print100Fit')}</span>
        </li>
        <li className="leading-snug">{t('shop.n2MeasureBothBars')}</li>
      </ol>
      <BarFields texts={texts} wrong={wrong} nominal={nominal} onTexts={setTexts} />
      <div className="mt-4 flex flex-wrap justify-end gap-2">
        {old && <Button onClick={() => void forget()}>{t('shop.removeCalibration')}</Button>}
        <Button onClick={onClose}>{t('common.cancel')}</Button>
        <Button kind="act" onClick={() => void save()}>
          {t('shop.saveMeasurements')}
        </Button>
      </div>
    </Dialog>
  );
}

interface FieldsProps {
  readonly texts: BarTexts;
  readonly wrong: Partial<Readonly<Record<keyof BarTexts, Message>>>;
  readonly nominal: Readonly<Record<Axis, number>>;
  readonly onTexts: (texts: BarTexts) => void;
}

function BarFields({ texts, wrong, nominal, onTexts }: FieldsProps) {
  const units = useUnits();
  const t = useWords();
  return (
    <div className="mt-3 grid grid-cols-2 gap-3">
      {AXES.flatMap((axis) =>
        (['printed', 'pressed'] as const).map((when) => {
          const key = `${axis}-${when}` as const;
          return (
            <FormField
              key={key}
              label={`${t(AXIS_WORDS[axis])}, ${when === 'printed' ? t('shop.asPrinted') : t('shop.afterPressing')}, ${units.length}`}
              hint={
                when === 'printed'
                  ? t('shop.shouldBe', { nominal: mm(nominal[axis]) })
                  : t('shop.emptyNotPressed')
              }
              problem={wrong[key] && t(wrong[key])}
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
