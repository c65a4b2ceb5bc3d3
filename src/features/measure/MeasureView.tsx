'use client';

import { Plus } from 'lucide-react';
import type { PlaceReadings } from '@/core/readings/readings';
import { nominalProfile, wallOf } from '@/core/shapes/round';
import { profileAt } from '@/core/shapes/profile';
import type { Blank, RoundShape } from '@/core/shop/blank';
import { mm } from '@/core/message/quantity';
import { newId } from '@/data/ids';
import { Badge } from '@/ui/board/Badge';
import { ScaleDrawing, type Fit } from '@/ui/board/Board';
import { BlankShape, shapeBounds } from '@/ui/board/BlankShape';
import { ArrowLine } from '@/ui/board/Dimension';
import { Button } from '@/ui/Button';
import { LengthField } from '@/ui/LengthField';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';
import { NeedsBlank } from '../job/NeedsBlank';
import { CircumferenceTape, StationHandle } from './CircumferenceTape';
import { ReadingBox } from './ReadingBox';

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const letterOf = (i: number): string => LETTERS[i] ?? String(i + 1);

/** The blank with the places it is measured at, lettered; the readings of each beside it. */
export function MeasureView() {
  const t = useWords();
  const { plan } = useJob();
  const { blank } = plan.blank;
  if (!blank) return <NeedsBlank />;
  const { places } = plan.measure;
  return (
    <div className="absolute inset-0 grid content-start overflow-y-auto sm:grid-cols-[minmax(15rem,1fr)_minmax(20rem,26rem)] sm:content-stretch sm:overflow-hidden">
      <div className="relative min-h-80">
        <ScaleDrawing
          interactive
          label={t('measure.placesMeasure', { blank: blank.name })}
          bounds={shapeBounds(blank.shape)}
          room={{ top: 44, right: 60, bottom: 44, left: 104 }}
          draw={(fit) => (
            <>
              <BlankShape fit={fit} blank={blank} />
              {blank.shape.kind === 'round' ? (
                <RoundPlaces fit={fit} shape={blank.shape} places={places} />
              ) : (
                <FlatPlaces fit={fit} blank={blank} places={places} />
              )}
            </>
          )}
        />
      </div>
      <div
        className="grid min-w-0 content-start gap-2 p-3 sm:overflow-y-auto"
        tabIndex={0}
        role="region"
        aria-label={t('measure.readings')}
      >
        <ReadingBoxes />
      </div>
    </div>
  );
}

function ReadingBoxes() {
  const t = useWords();
  const { job, plan, edit } = useJob();
  const { places } = plan.measure;
  const shape = plan.blank.blank?.shape;
  const remove = (id: string) => edit((j) => ({ ...j, stations: j.stations.filter((s) => s.id !== id) }));
  return (
    <>
      {places.map((p, i) => {
        const station = job.stations.find((s) => s.id === p.place.id);
        return (
          <div key={p.place.id} className="grid gap-1">
            <ReadingBox
              section={p}
              letter={letterOf(i)}
              onRemove={station ? () => remove(station.id) : undefined}
            />
            {station && shape?.kind === 'round' && (
              <div className="border-x-2 border-b-2 border-ink bg-sheet px-3 pb-1.5 -mt-2">
                <LengthField
                  label={t('measure.takenFarBelowRim')}
                  valueMm={station.fromRimMm}
                  minMm={wallOf(shape).topMm}
                  maxMm={wallOf(shape).footMm}
                  byHand
                  onValue={(fromRimMm) =>
                    edit(
                      (j) => ({
                        ...j,
                        stations: j.stations.map((s) => (s.id === station.id ? { ...s, fromRimMm } : s)),
                      }),
                      `station-${station.id}`,
                    )
                  }
                />
              </div>
            )}
          </div>
        );
      })}
      {shape?.kind === 'round' && <AddStation shape={shape} />}
    </>
  );
}

/** A circumference at another height: where the catalogue has a belly or a waist first, else in the widest gap between places. */
function AddStation({ shape }: { shape: RoundShape }) {
  const t = useWords();
  const { job, edit } = useJob();
  if (job.stations.length >= 22) return null;
  const wall = wallOf(shape);
  const byHand = [wall.topMm, ...job.stations.map((s) => s.fromRimMm), wall.footMm].sort((a, b) => a - b);
  const free = shape.sections
    .slice(1, -1)
    .map((s) => s.fromRimMm)
    .find((z) => byHand.every((t) => Math.abs(t - z) > 3));
  const gaps = byHand
    .slice(1)
    .map((z, i) => ({ at: (z + (byHand[i] ?? 0)) / 2, size: z - (byHand[i] ?? 0) }));
  const widest = gaps.reduce((a, b) => (b.size > a.size ? b : a), { at: wall.topMm, size: 0 });
  const at = Math.round(free ?? widest.at);
  return (
    <Button
      onClick={() =>
        edit((j) => ({
          ...j,
          stations: [...j.stations, { id: newId('circumference'), fromRimMm: at, readings: [] }],
        }))
      }
      className="justify-self-start"
    >
      <Plus size={16} aria-hidden /> {t('measure.anotherCircumferenceBellyWaist')}
    </Button>
  );
}

interface PlacesProps {
  readonly fit: Fit;
  readonly places: readonly PlaceReadings[];
}

function RoundPlaces({ fit, shape, places }: PlacesProps & { readonly shape: RoundShape }) {
  const { job } = useJob();
  const profile = nominalProfile(shape.sections);
  const wall = wallOf(shape);
  const wallIndex = places.findIndex((p) => p.place.id === 'wall');
  const handleIndex = places.findIndex((p) => p.place.id === 'handle');
  const left = fit.x(-Math.max(...shape.sections.map((s) => s.diameterMm)) / 2) - 26;
  const { handle } = shape;
  return (
    <>
      {places.map((p, i) => {
        if (p.place.atMm === null) return null;
        const r = profileAt(profile, p.place.atMm).r;
        const station = job.stations.find((s) => s.id === p.place.id);
        return (
          <g key={p.place.id}>
            <CircumferenceTape
              fit={fit}
              yMm={p.place.atMm}
              radiusMm={r}
              letter={letterOf(i)}
              value={p.value}
              handled={handle !== null}
            />
            {station && <StationHandle fit={fit} station={station} radiusMm={r} wall={wall} />}
          </g>
        );
      })}
      <Span
        letter={letterOf(wallIndex)}
        x1={left}
        y1={fit.y(wall.topMm)}
        x2={left}
        y2={fit.y(wall.footMm)}
        value={places[wallIndex]?.value?.value ?? null}
      />
      {handle && (
        <Badge
          x={fit.x(profileAt(profile, handle.fromRimMm).r + handle.reachMm * 0.75) + 18}
          y={fit.y(handle.fromRimMm + handle.heightMm / 2)}
          letter={letterOf(handleIndex)}
        />
      )}
    </>
  );
}

function FlatPlaces({ fit, blank, places }: PlacesProps & { readonly blank: Blank }) {
  if (blank.shape.kind !== 'flat') return null;
  const { widthMm: w, heightMm: h } = blank.shape.outline;
  const value = (id: string) => places.find((p) => p.place.id === id)?.value?.value ?? null;
  return (
    <>
      <Span
        letter="A"
        x1={fit.x(0)}
        y1={fit.y(0) - 18}
        x2={fit.x(w)}
        y2={fit.y(0) - 18}
        value={value('width')}
      />
      <Span
        letter="B"
        x1={fit.x(0) - 20}
        y1={fit.y(0)}
        x2={fit.x(0) - 20}
        y2={fit.y(h)}
        value={value('height')}
      />
    </>
  );
}

interface SpanProps {
  readonly letter: string;
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly value: number | null;
}

/** A length between two arrowheads, lettered. */
function Span({ letter, x1, y1, x2, y2, value }: SpanProps) {
  const t = useWords();
  const upright = x1 === x2;
  const [mx, my] = [(x1 + x2) / 2, (y1 + y2) / 2];
  return (
    <g>
      <ArrowLine x1={x1} y1={y1} x2={x2} y2={y2} />
      <Badge x={mx} y={my} letter={letter} />
      {value !== null && (
        <text
          x={upright ? mx - 16 : mx + 18}
          y={upright ? my + 6 : my - 8}
          textAnchor={upright ? 'end' : 'start'}
          fontSize={17}
          fontWeight={600}
          className="font-label"
          fill="#1d2c5e"
          paintOrder="stroke"
          stroke="#e9ede7"
          strokeWidth={4}
        >
          {t.quantity(mm(value))}
        </text>
      )}
    </g>
  );
}
