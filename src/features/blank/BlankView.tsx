'use client';

import { FINISH_WORDS, MATERIAL_WORDS } from '@/core/shop/kindWords';
import { say, type Message } from '@/core/message/message';
import { Checkbox } from 'radix-ui';
import { Check, Plus } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import { formOf, wallOf, widestMm } from '@/core/shapes/round';
import type { Blank, FlatShape, RoundShape } from '@/core/shop/blank';
import { mm } from '@/core/message/quantity';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { BlankIcon, BlankShape, shapeBounds } from '@/ui/board/BlankShape';
import { Dimension } from '@/ui/board/Dimension';
import { Button } from '@/ui/Button';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { BlankDialog } from './BlankDialog';
import { BlankSearch } from './BlankSearch';
import { findBlanks, nearestBlanks, sizeWords, type BlankFilter } from './findBlanks';
import { NothingFound, useCommonNames } from './NothingFound';

const NONE: readonly Blank[] = [];

/** A long list is drawn in part until it is asked for: the rest is found by typing. */
const FIRST_SHOWN = 16;

/** Choose the blank: drawn to scale, what to take off, and the shop's other blanks beside it. */
export function BlankView() {
  const t = useWords();
  const { shop, job, edit } = useJob();
  const [adding, setAdding] = useState(false);
  const [filter, setFilter] = useState<BlankFilter>({ text: '', family: null });
  const [shown, setShown] = useState(FIRST_SHOWN);
  const names = useCommonNames();
  const found = useMemo(() => findBlanks(shop.blanks, filter, t, names), [shop.blanks, filter, t, names]);
  const nearest = useMemo(
    () => (found.length === 0 ? nearestBlanks(shop.blanks, filter.text, t, names) : NONE),
    [found, shop.blanks, filter.text, t, names],
  );
  // What is chosen stands first: in a long list it would be out of sight.
  const listed = useMemo(
    () => [...found, ...nearest].sort((a, b) => Number(b.id === job.blankId) - Number(a.id === job.blankId)),
    [found, nearest, job.blankId],
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
            {t('blank.blanksShop')}
          </h2>
          <Button onClick={() => setAdding(true)}>
            <Plus size={16} aria-hidden /> {t('blank.addBlank')}
          </Button>
        </div>
        <BlankSearch blanks={shop.blanks} filter={filter} onFilter={setFilter} found={found.length} />
        <ul aria-labelledby="blanks-heading" className="min-h-0 flex-1 overflow-y-auto border-t border-rule">
          {found.length === 0 && (
            <li className="p-4">
              <NothingFound text={filter.text} nearest={nearest.length} onAdd={() => setAdding(true)} />
            </li>
          )}
          {listed.slice(0, shown).map((b) => (
            <li key={b.id} className="border-b border-rule">
              <BlankRow blank={b} chosen={b.id === job.blankId} onChoose={choose} />
            </li>
          ))}
          {found.length > shown && (
            <li className="p-3">
              <Button onClick={() => setShown(Infinity)}>
                {t('common.showOther', { found: found.length - shown })}
              </Button>
            </li>
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
    const t = useWords();
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
            {t('blank.sizeMaterialFinish', {
              size: sizeWords(blank),
              material: MATERIAL_WORDS[blank.material],
              finish: FINISH_WORDS[blank.coating.finish],
            })}
          </span>
        </span>
      </button>
    );
  },
  (a, b) => a.blank === b.blank && a.chosen === b.chosen,
);

function ChosenBlank() {
  const t = useWords();
  const { plan } = useJob();
  const { blank } = plan.blank;
  if (!blank) {
    return (
      <div className="absolute inset-0 grid place-content-center p-8 text-center">
        <p className="max-w-72 font-name text-head leading-tight font-medium">
          {t('blank.chooseBlankYouAbout')}
        </p>
        <p className="mt-2 max-w-72 text-soft">{t('blank.drawnHereScaleHatched')}</p>
      </div>
    );
  }
  const { shape } = blank;
  return (
    <ScaleDrawing
      label={t('blank.blankFromFrom', {
        blank: blank.name,
        which: shape.kind === 'round' ? 'fromSide' : 'other',
      })}
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
  const t = useWords();
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
          {t.quantity(mm(first.diameterMm))}
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
          {t.quantity(mm(last.diameterMm))}
        </Dimension>
      )}
      <Dimension x1={right + 22} x2={right + 22} y1={y(wall.topMm)} y2={y(wall.footMm)} side="right">
        {t.quantity(mm(wall.footMm - wall.topMm))}
      </Dimension>
      <Note x={right + 30} y={middle + 24}>
        {form === 'shaped'
          ? t('blank.coatedWall2')
          : form === 'tapered'
            ? t('blank.taperingWall')
            : t('blank.straightWall2')}
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
        {form === 'shaped' ? t('blank.curvesBothWays') : t('blank.liesFlat')}
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
          {Math.abs(c.atDeg) > 90 ? t('blank.behind') : ''}
        </text>
      ))}
      {form === 'straight' && !shape.openEnds && (
        <Note x={x(0)} y={y(shape.heightMm) + 26} anchor="middle">
          {t('blank.hatchedLipRoundedFoot')}
        </Note>
      )}
      {shape.openEnds && (
        <Note x={x(0)} y={y(shape.heightMm) + 26} anchor="middle">
          {t('blank.openBothEnds')}
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

const EDGE_WORDS: Readonly<Record<FlatShape['edge'], Message>> = {
  plain: say('blank.bareEdge'),
  coated: say('blank.coatedEdge'),
  rough: say('blank.roughEdge'),
};

function FlatDimensions({ fit, shape, thickMm }: { fit: Fit; shape: FlatShape; thickMm: number }) {
  const t = useWords();
  const { x, y } = fit;
  const { widthMm: w, heightMm: h } = shape.outline;
  return (
    <>
      <Dimension x1={x(0)} x2={x(w)} y1={y(0) - 18} y2={y(0) - 18}>
        {t.quantity(mm(w))}
      </Dimension>
      <Dimension x1={x(w) + 22} x2={x(w) + 22} y1={y(0)} y2={y(h)} side="right">
        {t.quantity(mm(h))}
      </Dimension>
      <Note x={x(w / 2)} y={y(h) + 26} anchor="middle">
        {t('blank.thick', {
          thick: mm(thickMm),
          edgeWords: EDGE_WORDS[shape.edge],
          which: shape.faces === 2 ? 'printedBothFac' : 'other',
        })}
      </Note>
    </>
  );
}

/** Parts to take off and film to peel, ticked as they are done. */
function Preparations() {
  const t = useWords();
  const { plan, job, edit } = useJob();
  const { toPrepare } = plan.blank;
  if (toPrepare.length === 0) return null;
  const toggle = (id: string, done: boolean) =>
    edit((j) => ({
      ...j,
      prepared: done ? [...j.prepared.filter((p) => p !== id), id] : j.prepared.filter((p) => p !== id),
    }));
  return (
    <fieldset className="border-t-2 border-ink px-4 py-2">
      <legend className="sr-only">{t('blank.beforeMeasuring')}</legend>
      <p aria-hidden className="font-label text-fine font-semibold">
        {t('blank.beforeMeasuring')}
      </p>
      {toPrepare.map(({ id, text }) => (
        <label key={id} className="flex min-h-9 items-center gap-3">
          <Checkbox.Root
            checked={job.prepared.includes(id)}
            onCheckedChange={(v) => toggle(id, v === true)}
            className="grid size-6 shrink-0 place-items-center border-2 border-ink bg-white data-[state=checked]:bg-strata-3 data-[state=checked]:text-white"
          >
            <Checkbox.Indicator>
              <Check size={16} strokeWidth={3} aria-hidden />
            </Checkbox.Indicator>
          </Checkbox.Root>
          {t(text)}
        </label>
      ))}
    </fieldset>
  );
}
