'use client';

import { Checkbox } from 'radix-ui';
import { Check, Plus } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import { formOf, wallOf, widestMm } from '@/core/shapes/round';
import type { Blank, FlatShape, RoundShape } from '@/core/shop/blank';
import { mm } from '@/core/units/quantity';
import { Board, type Fit } from '@/ui/board/Board';
import { BlankIcon, BlankShape, shapeBounds } from '@/ui/board/BlankShape';
import { Dimension } from '@/ui/board/Dimension';
import { Button } from '@/ui/Button';
import { useSay } from '@/ui/units';
import { useJob } from '../job/jobContext';
import { BlankDialog } from './BlankDialog';
import { BlankSearch } from './BlankSearch';
import { findBlanks, sizeWords, type BlankFilter } from './findBlanks';

/** A long list is drawn in part until it is asked for: the rest is found by typing. */
const FIRST_SHOWN = 16;

/** Choose the blank: drawn to scale, what to take off, and the shop's other blanks beside it. */
export function BlankView() {
  const { shop, job, edit } = useJob();
  const [adding, setAdding] = useState(false);
  const [filter, setFilter] = useState<BlankFilter>({ text: '', family: null });
  const [shown, setShown] = useState(FIRST_SHOWN);
  const found = useMemo(() => findBlanks(shop.blanks, filter), [shop.blanks, filter]);
  // What is chosen stands first: in a long list it would be out of sight.
  const listed = useMemo(
    () => [...found].sort((a, b) => Number(b.id === job.blankId) - Number(a.id === job.blankId)),
    [found, job.blankId],
  );
  const choose = (b: Blank) => edit((j) => (j.blankId === b.id ? j : { ...j, blankId: b.id, prepared: [] }));
  return (
    <div className="absolute inset-0 grid grid-rows-[minmax(18rem,1fr)_auto] overflow-y-auto md:grid-cols-[1fr_21rem] md:grid-rows-1 md:overflow-hidden">
      <div className="relative">
        <ChosenBlank />
      </div>
      <div className="flex min-h-0 flex-col border-l-2 border-ink bg-sheet">
        <div className="flex items-center justify-between px-4 pt-2">
          <h2 className="font-name text-lead font-semibold" id="blanks-heading">
            Blanks of the shop
          </h2>
          <Button onClick={() => setAdding(true)}>
            <Plus size={16} aria-hidden /> Add blank
          </Button>
        </div>
        <BlankSearch blanks={shop.blanks} filter={filter} onFilter={setFilter} found={found.length} />
        <ul aria-labelledby="blanks-heading" className="min-h-0 flex-1 overflow-y-auto border-t border-rule">
          {listed.slice(0, shown).map((b) => (
            <li key={b.id} className="border-b border-rule">
              <BlankRow blank={b} chosen={b.id === job.blankId} onChoose={choose} />
            </li>
          ))}
          {found.length > shown && (
            <li className="p-3">
              <Button onClick={() => setShown(Infinity)}>Show the other {found.length - shown}</Button>
            </li>
          )}
          {found.length === 0 && (
            <li className="p-4 text-soft">No blank matches. Clear the search or add a blank.</li>
          )}
        </ul>
        <Preparations />
      </div>
      <BlankDialog open={adding} onClose={() => setAdding(false)} onSaved={choose} />
    </div>
  );
}

interface RowProps {
  readonly blank: Blank;
  readonly chosen: boolean;
  readonly onChoose: (b: Blank) => void;
}

const BlankRow = memo(
  function BlankRow({ blank, chosen, onChoose }: RowProps) {
    const say = useSay();
    return (
      <button
        type="button"
        aria-pressed={chosen}
        onClick={() => onChoose(blank)}
        className={`flex min-h-14 w-full items-center gap-3 px-4 py-1.5 text-left ${chosen ? 'bg-strata-1 text-pale' : 'hover:bg-board'}`}
      >
        <BlankIcon blank={blank} line={chosen ? '#f4f5f0' : '#14211f'} />
        <span className="leading-tight">
          <span className="block font-label text-lead font-semibold">{blank.name}</span>
          <span className={`font-label text-fine ${chosen ? 'text-mist' : 'text-soft'}`}>
            {say([...sizeWords(blank), ' · ', blank.material, ', ', blank.coating.finish])}
          </span>
        </span>
      </button>
    );
  },
  (a, b) => a.blank === b.blank && a.chosen === b.chosen,
);

function ChosenBlank() {
  const { plan } = useJob();
  const { blank } = plan.blank;
  if (!blank) {
    return (
      <div className="absolute inset-0 grid place-content-center p-8 text-center">
        <p className="max-w-72 font-name text-head leading-tight font-medium">
          Choose the blank you are about to press.
        </p>
        <p className="mt-2 max-w-72 text-soft">It is drawn here to scale, hatched where dye cannot go.</p>
      </div>
    );
  }
  const { shape } = blank;
  return (
    <Board
      label={`${blank.name} ${shape.kind === 'round' ? 'from the side' : 'from the front'}, to scale`}
      bounds={shapeBounds(shape)}
      room={{ top: 56, right: 130, bottom: 44, left: 60 }}
      draw={(fit) => (
        <>
          <BlankShape fit={fit} blank={blank} />
          {shape.kind === 'round' ? (
            <RoundDimensions fit={fit} shape={shape} />
          ) : (
            <FlatDimensions fit={fit} shape={shape} thickMm={blank.wallMm} />
          )}
        </>
      )}
    />
  );
}

function RoundDimensions({ fit, shape }: { fit: Fit; shape: RoundShape }) {
  const say = useSay();
  const { x, y } = fit;
  const wall = wallOf(shape);
  const half = widestMm(shape) / 2;
  const right = x(half + (shape.handle?.reachMm ?? 0));
  const form = formOf(shape);
  const first = shape.sections[0];
  const last = shape.sections.at(-1);
  const middle = y((wall.topMm + wall.footMm) / 2);
  return (
    <>
      {first && (
        <Dimension x1={x(-first.diameterMm / 2)} x2={x(first.diameterMm / 2)} y1={y(0) - 18} y2={y(0) - 18}>
          {say([mm(first.diameterMm)])}
        </Dimension>
      )}
      {last && form !== 'straight' && (
        <Dimension
          x1={x(-last.diameterMm / 2)}
          x2={x(last.diameterMm / 2)}
          y1={y(shape.heightMm) + 12}
          y2={y(shape.heightMm) + 12}
          side="below"
        >
          {say([mm(last.diameterMm)])}
        </Dimension>
      )}
      <Dimension x1={right + 22} x2={right + 22} y1={y(wall.topMm)} y2={y(wall.footMm)} side="right">
        {say([mm(wall.footMm - wall.topMm)])}
      </Dimension>
      <Note x={right + 30} y={middle + 24}>
        {form === 'shaped' ? 'coated wall' : form === 'tapered' ? 'tapering wall' : 'straight wall'}
      </Note>
      <text
        x={x(0)}
        y={middle}
        textAnchor="middle"
        fontSize={15}
        fontWeight={600}
        className="font-label"
        fill="#14211f"
      >
        {form === 'shaped' ? 'curves both ways' : 'lies flat'}
      </text>
      {shape.exclusionZones.map((c) => (
        <text
          key={c.what}
          x={x(-half) - 8}
          y={y(c.fromRimMm + c.heightMm / 2) + 4}
          fontSize={13}
          fontWeight={600}
          textAnchor="end"
          className="font-label"
          fill="#a62c14"
        >
          {c.what}
          {Math.abs(c.atDeg) > 90 ? ', behind' : ''}
        </text>
      ))}
      {form === 'straight' && !shape.openEnds && (
        <Note x={x(0)} y={y(shape.heightMm) + 26} anchor="middle">
          hatched: lip and rounded foot, no dye
        </Note>
      )}
      {shape.openEnds && (
        <Note x={x(0)} y={y(shape.heightMm) + 26} anchor="middle">
          open at both ends
        </Note>
      )}
    </>
  );
}

const Note = ({
  x,
  y,
  anchor = 'start',
  children,
}: {
  x: number;
  y: number;
  anchor?: 'start' | 'middle';
  children: string;
}) => (
  <text x={x} y={y} textAnchor={anchor} fontSize={13} className="font-label" fill="#14211f">
    {children}
  </text>
);

const EDGE_WORDS: Readonly<Record<FlatShape['edge'], string>> = {
  plain: 'bare edge',
  coated: 'coated edge',
  rough: 'rough edge',
};

function FlatDimensions({ fit, shape, thickMm }: { fit: Fit; shape: FlatShape; thickMm: number }) {
  const say = useSay();
  const { x, y } = fit;
  const { widthMm: w, heightMm: h } = shape.outline;
  return (
    <>
      <Dimension x1={x(0)} x2={x(w)} y1={y(0) - 18} y2={y(0) - 18}>
        {say([mm(w)])}
      </Dimension>
      <Dimension x1={x(w) + 22} x2={x(w) + 22} y1={y(0)} y2={y(h)} side="right">
        {say([mm(h)])}
      </Dimension>
      <Note x={x(w / 2)} y={y(h) + 26} anchor="middle">
        {`${say([mm(thickMm)])} thick, ${EDGE_WORDS[shape.edge]}, ${shape.faces === 2 ? 'printed on both faces' : 'one face'}`}
      </Note>
    </>
  );
}

/** Parts to take off and film to peel, ticked as they are done. */
function Preparations() {
  const { plan, job, edit } = useJob();
  const { toPrepare } = plan.blank;
  if (toPrepare.length === 0) return null;
  const toggle = (what: string, done: boolean) =>
    edit((j) => ({
      ...j,
      prepared: done ? [...j.prepared.filter((p) => p !== what), what] : j.prepared.filter((p) => p !== what),
    }));
  return (
    <fieldset className="border-t-2 border-ink px-4 py-2">
      <legend className="sr-only">Before measuring</legend>
      <p aria-hidden className="font-label text-fine font-semibold">
        Before measuring
      </p>
      {toPrepare.map((what) => (
        <label key={what} className="flex min-h-9 items-center gap-3">
          <Checkbox.Root
            checked={job.prepared.includes(what)}
            onCheckedChange={(v) => toggle(what, v === true)}
            className="grid size-6 shrink-0 place-items-center border-2 border-ink bg-white data-[state=checked]:bg-strata-3 data-[state=checked]:text-white"
          >
            <Checkbox.Indicator>
              <Check size={16} strokeWidth={3} aria-hidden />
            </Checkbox.Indicator>
          </Checkbox.Root>
          {what}
        </label>
      ))}
    </fieldset>
  );
}
