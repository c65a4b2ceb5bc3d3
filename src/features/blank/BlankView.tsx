'use client';

import { Checkbox } from 'radix-ui';
import { Check, Plus } from 'lucide-react';
import { useState } from 'react';
import { sideOutline } from '@/core/shapes/straight';
import type { Blank } from '@/core/shop/blank';
import { mm } from '@/core/units/quantity';
import { Board } from '@/ui/board/Board';
import { Dimension } from '@/ui/board/Dimension';
import { SideView } from '@/ui/board/SideView';
import { Button } from '@/ui/Button';
import { Say, useSay } from '@/ui/units';
import { useJob } from '../job/jobContext';
import { BlankDialog } from './BlankDialog';

/** Choose the blank: its side view to scale, what to take off, and the shop's other blanks beside it. */
export function BlankView() {
  const { shop, job, edit } = useJob();
  const [adding, setAdding] = useState(false);
  const choose = (b: Blank) => edit((j) => (j.blankId === b.id ? j : { ...j, blankId: b.id, prepared: [] }));
  return (
    <div className="absolute inset-0 grid grid-rows-[minmax(18rem,1fr)_auto] overflow-y-auto md:grid-cols-[1fr_21rem] md:grid-rows-1 md:overflow-hidden">
      <div className="relative">
        <ChosenBlank />
      </div>
      <div className="flex min-h-0 flex-col border-l-2 border-ink bg-sheet">
        <div className="flex items-center justify-between px-4 py-2">
          <h2 className="font-name text-lead font-semibold" id="blanks-heading">
            The shop’s blanks
          </h2>
          <Button onClick={() => setAdding(true)}>
            <Plus size={16} aria-hidden /> Type a new one in
          </Button>
        </div>
        <ul aria-labelledby="blanks-heading" className="min-h-0 flex-1 overflow-y-auto border-t border-rule">
          {shop.blanks.map((b) => (
            <li key={b.id} className="border-b border-rule">
              <BlankRow blank={b} chosen={b.id === job.blankId} onChoose={() => choose(b)} />
            </li>
          ))}
        </ul>
        <Preparations />
      </div>
      <BlankDialog open={adding} onClose={() => setAdding(false)} onSaved={choose} />
    </div>
  );
}

function BlankRow({ blank, chosen, onChoose }: { blank: Blank; chosen: boolean; onChoose: () => void }) {
  const { shape } = blank;
  const k = 44 / 270;
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={onChoose}
      className={`flex min-h-14 w-full items-center gap-3 px-4 py-1.5 text-left ${chosen ? 'bg-strata-1 text-pale' : 'hover:bg-board'}`}
    >
      <svg width={36} height={46} aria-hidden>
        <path
          d={sideOutline(shape)}
          transform={`translate(18 ${45 - shape.heightMm * k}) scale(${k})`}
          fill={blank.coating.colour}
          stroke={chosen ? '#f4f5f0' : '#14211f'}
          strokeWidth={1.5 / k}
        />
      </svg>
      <span className="leading-tight">
        <span className="block font-label text-lead font-semibold">{blank.name}</span>
        <span className={`font-label text-fine ${chosen ? 'text-mist' : 'text-soft'}`}>
          <Say
            phrase={[
              mm(shape.diameterMm),
              ' across · ',
              mm(shape.heightMm),
              ' tall · ',
              blank.material,
              ', ',
              blank.coating.finish,
            ]}
          />
        </span>
      </span>
    </button>
  );
}

function ChosenBlank() {
  const { plan } = useJob();
  const say = useSay();
  const { blank, zones, outline } = plan.blank;
  if (!blank || !zones || !outline) {
    return (
      <div className="absolute inset-0 grid place-content-center p-8 text-center">
        <p className="max-w-72 font-name text-head leading-tight font-medium">
          Choose the blank you are about to press.
        </p>
        <p className="mt-2 max-w-72 text-soft">
          Its side view stands here, hatched where paper cannot lie flat.
        </p>
      </div>
    );
  }
  const { shape } = blank;
  const { wall } = zones;
  return (
    <Board
      label={`${blank.name} from the side, to scale`}
      bounds={{ x: -shape.diameterMm / 2, y: 0, width: shape.diameterMm, height: shape.heightMm }}
      room={{ top: 56, right: 130, bottom: 44, left: 60 }}
      draw={(fit) => {
        const { x, y } = fit;
        const right = x(shape.diameterMm / 2);
        return (
          <>
            <SideView
              fit={fit}
              outline={outline}
              zones={zones}
              colour={blank.coating.colour}
              clear={blank.keepClear}
            />
            <Dimension x1={x(-shape.diameterMm / 2)} x2={right} y1={y(0) - 18} y2={y(0) - 18} side="above">
              {say([mm(shape.diameterMm)])}
            </Dimension>
            <Dimension
              x1={right + 22}
              x2={right + 22}
              y1={y(wall.y)}
              y2={y(wall.y + wall.height)}
              side="right"
            >
              {say([mm(wall.height)])}
            </Dimension>
            <text
              x={right + 30}
              y={y(wall.y + wall.height / 2) + 24}
              fontSize={13}
              className="font-label"
              fill="#14211f"
            >
              straight wall
            </text>
            <text
              x={x(0)}
              y={y(wall.y + wall.height / 2)}
              textAnchor="middle"
              fontSize={15}
              fontWeight={600}
              className="font-label"
              fill="#14211f"
            >
              lies flat
            </text>
            {blank.keepClear.map((c) => (
              <text
                key={c.what}
                x={right + 30}
                y={y(wall.y + c.fromTopMm + c.heightMm / 2) + 4}
                fontSize={13}
                fontWeight={600}
                className="font-label"
                fill="#a62c14"
              >
                {c.what}
              </text>
            ))}
            <text
              x={x(0)}
              y={y(shape.heightMm) + 26}
              textAnchor="middle"
              fontSize={13}
              className="font-label"
              fill="#14211f"
            >
              hatched: lip and rounded foot, no dye
            </text>
          </>
        );
      }}
    />
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
