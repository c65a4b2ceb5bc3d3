'use client';

import { say, type Message } from '@/core/message/message';
import { Link } from '@/ui/Link';
import { useMemo, useState } from 'react';
import { packingPages } from '@/core/flatness/packingPages';
import { GAP_METHODS, isFlatPress, type Flatness, type FlatPress, type GapMethod } from '@/core/shop/press';
import { plan } from '@/core/plan/plan';
import { fineMm, mm, decimal } from '@/core/message/quantity';
import { newId } from '@/data/ids';
import { newestOnPlaten } from '@/data/log';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { useUnits } from '@/ui/units';
import { Q, useWords } from '@/ui/words';
import { notify, notifyProblem, notifyWrong } from '@/ui/notify';
import { Segments } from '@/ui/Segments';
import { saveBytesAs } from '../shell/download';
import { ShopFrame } from '../shell/ShopFrame';
import { useJobRecord, useShop } from '../shell/shopContext';
import { labelFont } from '../logbook/labelFont';
import { PlatenMap } from './PlatenMap';
import { FlatnessHistory } from './Checks';
import { betterBy, DYE_GAPS_MM, dyeFromMarks, sizeOf, NINE_PLACES, worked } from './readings';
import { part } from '@/core/basics/part';

const METHOD_WORDS: Readonly<Record<GapMethod, Message>> = {
  feeler: say('flatness.feelerGauge'),
  card: say('flatness.sheetsCard'),
  dye: say('flatness.dyeTestSheet'),
};
const METHOD_HELP: Readonly<Record<GapMethod, Message>> = {
  feeler: say('flatness.pressColdClosedFlat'),
  card: say('flatness.pressColdCloseStack'),
  dye: say('flatness.pressFullSheetOne'),
};
const USUAL_CARD_MM = 0.1;
const NINE = NINE_PLACES.length;

/** The gaps under a platen: read, drawn as a surface, packed out with card, and where to lay the piece meanwhile. */
export function FlatnessPage({ pressId, jobId }: { pressId: string; jobId: string | null }) {
  const t = useWords();
  const { shop } = useShop();
  const press = shop.presses.find((p) => p.id === pressId);
  if (!press || !isFlatPress(press))
    return (
      <ShopFrame title={t('common.platenFlatness')}>
        <p className="p-8 text-lead">
          {press ? t('flatness.hasPlatenOnlyFlat', { press: press.name }) : t('flatness.pressShop')}{' '}
          <Link href="/presses" className="underline">
            {t('flatness.toThePresses')}
          </Link>
        </p>
      </ShopFrame>
    );
  return <Platen key={press.id} press={press} jobId={jobId} />;
}

/** Size of the piece of a job, for where to lay it. */
function usePiece(jobId: string | null) {
  const { shop } = useShop();
  const job = useJobRecord(jobId ?? '')?.job;
  return useMemo(() => {
    const load = job && plan(job, shop).heat.load;
    return load ? { widthMm: load.piece.widthMm, heightMm: load.piece.heightMm } : null;
  }, [job, shop]);
}

function Platen({ press, jobId }: { press: FlatPress; jobId: string | null }) {
  const t = useWords();
  const last = press.flatness.at(-1);
  const [by, setBy] = useState<GapMethod>(last?.by ?? 'feeler');
  const [gaps, setGaps] = useState<readonly number[]>(() =>
    last && last.points.length === NINE ? last.points.map((p) => p.gapMm) : NINE_PLACES.map(() => 0),
  );
  const [cardMm, setCardMm] = useState(last?.packedCardMm ?? USUAL_CARD_MM);
  const piece = usePiece(jobId);
  const points = useMemo(() => NINE_PLACES.map((s, i) => ({ ...s, gapMm: gaps[i] ?? 0 })), [gaps]);
  const found = useMemo(() => worked(points, by, press, cardMm, piece), [points, by, press, cardMm, piece]);
  const better = betterBy(press.flatness);
  const save = async (packedCardMm: number | null) => {
    const check: Flatness = { id: newId('gaps'), at: Date.now(), by, points, packedCardMm };
    const r = await savePress({ ...press, flatness: [...press.flatness, check].slice(-40) });
    if (!r.ok) return notifyProblem(r.problem);
    notify(packedCardMm === null ? t('flatness.readingsSaved') : t('flatness.savedPackedMeasureAgain'));
  };
  const print = async () => {
    if (!found || found.packing.sheets.length === 0) return;
    const font = await labelFont();
    if (!font.ok) return notifyProblem(font.problem);
    const { drawnPdf } = await part(() => import('@/core/formats/drawnPdf'));
    const pages = packingPages(found.packing, sizeOf(press), press.name, t);
    saveBytesAs(
      'packing.pdf',
      await drawnPdf(t('flatness.packingFor', { press: press.name }), pages, font.value),
      'application/pdf',
    );
  };
  const fromMarks = async () => {
    const dye = dyeFromMarks(await newestOnPlaten(press.id, 200));
    if (dye.every((d) => d === 0)) return notifyWrong(t('flatness.logHasMarksFaded'));
    setBy('dye');
    setGaps(dye.map((d) => DYE_GAPS_MM[d]));
  };
  return (
    <ShopFrame
      title={t('common.platenFlatness')}
      about={press.name}
      actions={
        <Link
          href={jobId ? `/job/${jobId}/inspect` : '/presses'}
          className="font-label font-semibold underline"
        >
          {jobId ? t('common.backInspection') : t('common.allPresses')}
        </Link>
      }
    >
      <div
        tabIndex={0}
        role="region"
        aria-label={t('flatness.gaps')}
        className="grid h-full content-start gap-5 overflow-auto p-4 lg:grid-cols-[minmax(0,1fr)_21rem]"
      >
        <div className="grid content-start gap-3">
          <div className="flex flex-wrap items-end gap-4">
            <Labelled label={t('flatness.readBy')}>
              <Segments
                label={t('flatness.readBy')}
                value={by}
                options={GAP_METHODS.map((m) => ({ value: m, label: t(METHOD_WORDS[m]) }))}
                onChange={setBy}
              />
            </Labelled>
            <Button onClick={() => void fromMarks()}>{t('flatness.useMarksFromLog')}</Button>
          </div>
          <p className="max-w-3xl text-soft">
            {t('flatness.heatOffPlatenCold', { methodHelp: METHOD_HELP[by] })}
          </p>
          <PlatenMap
            press={press}
            found={found}
            by={by}
            gaps={gaps}
            onGap={(i, gapMm) => setGaps((g) => g.map((v, k) => (k === i ? gapMm : v)))}
          />
        </div>
        <aside aria-label={t('common.packing')} className="grid content-start gap-4">
          <LengthField
            label={t('flatness.cardHandSheet')}
            valueMm={cardMm}
            minMm={0.02}
            maxMm={2}
            fine
            width="w-20"
            byHand
            onValue={setCardMm}
          />
          {found && <Result found={found} cardMm={cardMm} />}
          <div className="grid gap-2">
            <Button
              kind="act"
              disabled={!found || found.packing.sheets.length === 0}
              onClick={() => void print()}
            >
              {t('flatness.packingCutTrueSize')}
            </Button>
            <Button onClick={() => void save(cardMm)} disabled={!found || found.packing.sheets.length === 0}>
              {t('flatness.markPacked')}
            </Button>
            <Button onClick={() => void save(null)}>{t('flatness.saveReadings')}</Button>
          </div>
          {better !== null && (
            <p role="status" className="border-2 border-ink bg-sheet p-3 text-lead">
              {better > 0
                ? t('flatness.packingMadeMoreEven', { better: Math.round(better * 100) })
                : t('flatness.packingDidMakeMore')}
            </p>
          )}
          <FlatnessHistory press={press} />
        </aside>
      </div>
    </ShopFrame>
  );
}

/** A gap or a thickness: fractions of an inch would hide it. */
const Fine = ({ mm: value }: { mm: number }) => <Q of={fineMm(value)} />;

const MM2_PER_IN2 = 25.4 * 25.4;
const areaText = (mm2: number, unit: 'mm' | 'in'): Message =>
  unit === 'in'
    ? say('flatness.squareInches', { area: decimal(mm2 / MM2_PER_IN2, 1) })
    : say('common.squareCentimetres', { area: Math.round(mm2 / 100) });

function Result({ found, cardMm }: { found: NonNullable<ReturnType<typeof worked>>; cardMm: number }) {
  const t = useWords();
  const units = useUnits();
  const { packing, place } = found;
  const n = packing.sheets.length;
  return (
    <section aria-label={t('flatness.result')} className="grid gap-1">
      <p className="font-name text-head leading-tight font-semibold">
        {t('flatness.unevenness')} <Fine mm={packing.nowMm} />
      </p>
      <p className="text-soft">
        {t('flatness.betweenReadingsGapKnown')} <Fine mm={found.withinMm} />
        {t('flatness.n19Times20')}
      </p>
      {n === 0 ? (
        <p>
          {t('flatness.nothingPackWhatStands')} <Fine mm={cardMm} />.
        </p>
      ) : (
        <>
          <p className="text-lead">
            {t('flatness.nNSheet', { n })} <Fine mm={cardMm} /> {t('flatness.leave')}{' '}
            <strong>
              <Fine mm={packing.leftMm} />
            </strong>
            .
          </p>
          <ul>
            {packing.sheets.map((s) => (
              <li key={s.number} className="flex justify-between border-b border-rule py-1">
                <span>
                  {t('flatness.sheet', { number: s.number })}
                  {s.polygons.length > 1 && t('flatness.pieces', { polygons: s.polygons.length })}
                </span>
                <span className="font-label font-semibold">{t(areaText(s.areaMm2, units.length))}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {place && (
        <p className="mt-1">
          {t('flatness.meanwhileLayPiece')} <Q of={mm(place.xMm)} /> {t('flatness.fromLeft')}{' '}
          <Q of={mm(place.yMm)} />{' '}
          {t('flatness.fromBack', { which: place.turned ? 'turnedQuarter' : 'other' })}{' '}
          <Fine mm={place.gapMm} /> {t('flatness.acrossThere')}
        </p>
      )}
    </section>
  );
}
