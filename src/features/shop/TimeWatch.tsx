'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { useEffect, useRef, useState } from 'react';
import type { PressFaults, SimulatedRun } from '@/core/heat/press/pressSimulator';
import { timedOf } from '@/core/plan/heat/subject';
import type { Press, PressTiming } from '@/core/shop/press';
import { clockText } from '@/core/units/format';
import { celsius } from '@/core/message/quantity';
import { Button } from '@/ui/Button';
import { notifyProblem } from '@/ui/notify';
import { useUnits } from '@/ui/units';
import { inHeatWorker } from '@/workers/client';

/** A simulated press runs so many times faster than a real one. */
export const FASTER = 12;
const ROOM_C = 22;

interface WatchProps {
  readonly press: Press;
  readonly timing: PressTiming | null;
  readonly faults: PressFaults | null;
  readonly onLowest: (c: number) => void;
  readonly onBack: (s: number) => void;
}

/** A stopwatch for the two taps; beside a simulated press also its display, running faster than life. */
export function TimeWatch({ press, timing, faults, onLowest, onBack }: WatchProps) {
  const t = useWords();
  const [startedAt, setStartedAt] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const [run, setRun] = useState<SimulatedRun | null>(null);
  const units = useUnits();
  const speed = faults ? FASTER : 1;
  const elapsed = startedAt === null ? 0 : ((now - startedAt) / 1000) * speed;
  const reads = run && startedAt !== null ? readingAt(run, elapsed) : null;
  const lowest = useRef(Infinity);
  useEffect(() => {
    if (startedAt === null) return;
    const t = setInterval(() => setNow(Date.now()), 100);
    return () => clearInterval(t);
  }, [startedAt]);
  useEffect(() => {
    if (reads !== null) lowest.current = Math.min(lowest.current, reads);
  }, [reads]);
  const close = async () => {
    lowest.current = Infinity;
    if (faults && timing) {
      const { load, settings } = timedOf(timing, press);
      const r = await inHeatWorker(say('common.heat'), (api) =>
        api.simulated(faults, load, { ...settings, dwellS: 900 }),
      );
      if (!r.ok) return notifyProblem(r.problem);
      setRun(r.value);
    }
    setStartedAt(Date.now());
    setNow(Date.now());
  };
  return (
    <div className="flex flex-wrap items-center gap-3 border-2 border-ink bg-night p-3 text-pale">
      <span className="min-w-28 font-name text-big leading-none font-semibold" aria-live="off">
        {clockText(elapsed)}
      </span>
      {reads !== null && (
        <output
          aria-label={t('shop.display')}
          className="font-name text-big leading-none font-semibold text-strata-5"
        >
          {t.parts(celsius(reads)).number} °{units.temperature}
        </output>
      )}
      {startedAt === null ? (
        <Button kind="act" onClick={() => void close()}>
          {t('common.closed')}
        </Button>
      ) : (
        <>
          {faults && (
            <Button onClick={() => Number.isFinite(lowest.current) && onLowest(lowest.current)}>
              {t('common.lowestRead')}
            </Button>
          )}
          <Button onClick={() => onBack(Math.round(elapsed))}>{t('common.backTemperature')}</Button>
          <Button onClick={() => setStartedAt(null)}>{t('shop.startOver')}</Button>
        </>
      )}
      {faults && <span className="text-fine">{t('shop.timesFasterThanLife', { faster: FASTER })}</span>}
    </div>
  );
}

/** What the display reads so long after closing, °C. */
export function readingAt(run: SimulatedRun, atS: number): number {
  const i = run.display.findIndex((d) => d.atS > atS);
  return (i < 0 ? run.display[run.display.length - 1] : run.display[Math.max(0, i - 1)])?.readsC ?? ROOM_C;
}
