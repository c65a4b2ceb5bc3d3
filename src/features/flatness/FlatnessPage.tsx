'use client';

import { Link } from '@/ui/Link';
import { useMemo, useState } from 'react';
import { packingPages } from '@/core/flatness/packingPages';
import { GAP_METHODS, isFlatPress, type Flatness, type FlatPress, type GapMethod } from '@/core/shop/press';
import { plan } from '@/core/plan/plan';
import { fineMm, mm } from '@/core/units/quantity';
import { newId } from '@/data/ids';
import { newestOnPlaten } from '@/data/log';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { Q, useUnits } from '@/ui/units';
import { notify, notifyProblem, notifyWrong } from '@/ui/notify';
import { Segments } from '@/ui/Segments';
import { saveBytesAs } from '../shell/download';
import { ShopFrame } from '../shell/ShopFrame';
import { useJobRecord, useShop } from '../shell/shopContext';
import { labelFont } from '../logbook/labelFont';
import { PlatenMap } from './PlatenMap';
import { Checks } from './Checks';
import { betterBy, DYE_GAPS_MM, dyeFromMarks, sizeOf, NINE_PLACES, worked } from './readings';
import { part } from '@/core/basics/part';

const METHOD_WORDS: Readonly<Record<GapMethod, string>> = {
  feeler: 'Feeler gauge',
  card: 'Sheets of card',
  dye: 'Dye on a test sheet',
};
const METHOD_HELP: Readonly<Record<GapMethod, string>> = {
  feeler:
    'Press cold and closed on a flat plate. Slide the gauge in from the edge as far as it goes: write the leaf that is just held. In the middle use the card.',
  card: 'Press cold. Close on a stack of card at each place: write how much is just held when a sheet of paper slips out beside it.',
  dye: 'Press a full sheet of one dark colour on a flat plate, then look at the used paper: how much dye is left at each place.',
};
const USUAL_CARD_MM = 0.1;
const NINE = NINE_PLACES.length;

/** The gaps under a platen: read, drawn as a surface, packed out with card, and where to lay the piece meanwhile. */
export function FlatnessPage({ pressId, jobId }: { pressId: string; jobId: string | null }) {
  const { shop } = useShop();
  const press = shop.presses.find((p) => p.id === pressId);
  if (!press || !isFlatPress(press))
    return (
      <ShopFrame title="Platen flatness">
        <p className="p-8 text-lead">
          {press
            ? `${press.name} has no platen: only flat presses are packed.`
            : 'This press is not in this shop.'}{' '}
          <Link href="/presses" className="underline">
            To the presses
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
    notify(
      packedCardMm === null ? 'Readings saved.' : 'Saved as packed. Measure again to see the improvement.',
    );
  };
  const print = async () => {
    if (!found || found.packing.sheets.length === 0) return;
    const font = await labelFont();
    if (!font.ok) return notifyProblem(font.problem);
    const { drawnPdf } = await part(() => import('@/core/formats/drawnPdf'));
    const pages = packingPages(found.packing, sizeOf(press), press.name);
    saveBytesAs(
      'packing.pdf',
      await drawnPdf(`Packing for ${press.name}`, pages, font.value),
      'application/pdf',
    );
  };
  const fromMarks = async () => {
    const dye = dyeFromMarks(await newestOnPlaten(press.id, 200));
    if (dye.every((d) => d === 0))
      return notifyWrong(
        'The log has no marks of faded areas or dye left on this platen yet. Mark them during inspection.',
      );
    setBy('dye');
    setGaps(dye.map((d) => DYE_GAPS_MM[d]));
  };
  return (
    <ShopFrame
      title="Platen flatness"
      about={press.name}
      actions={
        <Link href={jobId ? `/job/${jobId}/look` : '/presses'} className="font-label font-semibold underline">
          {jobId ? 'Back to the inspection' : 'All presses'}
        </Link>
      }
    >
      <div
        tabIndex={0}
        role="region"
        aria-label="Gaps"
        className="grid h-full content-start gap-5 overflow-auto p-4 lg:grid-cols-[minmax(0,1fr)_21rem]"
      >
        <div className="grid content-start gap-3">
          <div className="flex flex-wrap items-end gap-4">
            <Labelled label="Read by">
              <Segments
                label="Read by"
                value={by}
                options={GAP_METHODS.map((m) => ({ value: m, label: METHOD_WORDS[m] }))}
                onChange={setBy}
              />
            </Labelled>
            <Button onClick={() => void fromMarks()}>Use marks from the log</Button>
          </div>
          <p className="max-w-3xl text-soft">
            {METHOD_HELP[by]} Heat off and platen cold: it can pinch and burn.
          </p>
          <PlatenMap
            press={press}
            found={found}
            by={by}
            gaps={gaps}
            onGap={(i, gapMm) => setGaps((g) => g.map((v, k) => (k === i ? gapMm : v)))}
          />
        </div>
        <aside aria-label="Packing" className="grid content-start gap-4">
          <LengthField
            label="Card at hand, a sheet"
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
              Packing to cut, true size, PDF
            </Button>
            <Button onClick={() => void save(cardMm)} disabled={!found || found.packing.sheets.length === 0}>
              Mark as packed
            </Button>
            <Button onClick={() => void save(null)}>Save readings</Button>
          </div>
          {better !== null && (
            <p role="status" className="border-2 border-ink bg-sheet p-3 text-lead">
              {better > 0
                ? `Packing made it ${Math.round(better * 100)} % more even.`
                : 'Packing did not make it more even. Check that the card lies where it should.'}
            </p>
          )}
          <Checks press={press} />
        </aside>
      </div>
    </ShopFrame>
  );
}

/** A gap or a thickness: fractions of an inch would hide it. */
const Fine = ({ mm: value }: { mm: number }) => <Q of={fineMm(value)} />;

const MM2_PER_IN2 = 25.4 * 25.4;
const areaText = (mm2: number, unit: 'mm' | 'in'): string =>
  unit === 'in' ? `${(mm2 / MM2_PER_IN2).toFixed(1)} in²` : `${Math.round(mm2 / 100)} cm²`;

function Result({ found, cardMm }: { found: NonNullable<ReturnType<typeof worked>>; cardMm: number }) {
  const units = useUnits();
  const { packing, place } = found;
  const n = packing.sheets.length;
  return (
    <section aria-label="Result" className="grid gap-1">
      <p className="font-name text-head leading-tight font-semibold">
        Unevenness <Fine mm={packing.nowMm} />
      </p>
      <p className="text-soft">
        Between the readings the gap is known within ± <Fine mm={found.withinMm} />, 19 times in 20.
      </p>
      {n === 0 ? (
        <p>
          Nothing to pack: what stands off is less than half a sheet of <Fine mm={cardMm} />.
        </p>
      ) : (
        <>
          <p className="text-lead">
            {n} {n === 1 ? 'sheet' : 'sheets'} of <Fine mm={cardMm} /> leave{' '}
            <strong>
              <Fine mm={packing.leftMm} />
            </strong>
            .
          </p>
          <ul>
            {packing.sheets.map((s) => (
              <li key={s.number} className="flex justify-between border-b border-rule py-1">
                <span>
                  Sheet {s.number}
                  {s.polygons.length > 1 && `, ${s.polygons.length} pieces`}
                </span>
                <span className="font-label font-semibold">{areaText(s.areaMm2, units.length)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {place && (
        <p className="mt-1">
          Meanwhile lay the piece <Q of={mm(place.xMm)} /> from the left and <Q of={mm(place.yMm)} /> from the
          back
          {place.turned ? ', turned a quarter' : ''}: <Fine mm={place.gapMm} /> across it there.
        </p>
      )}
    </section>
  );
}
