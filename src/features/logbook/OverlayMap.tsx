'use client';

import { count } from '@/core/message/quantity';
import { say, type Message } from '@/core/message/message';
import { useWords } from '@/ui/words';
import type { LogQuery } from '@/core/log/rows';
import {
  cellWords,
  LEAST_MARKS,
  MAP_CELLS,
  type Gathering,
  type LaidMark,
  type Overlay,
} from '@/core/inspect/overlay';
import { faultLabel } from '@/core/inspect/faults';
import { useShop } from '../shell/shopContext';
import { useOverlay, type LogIndex } from './useLogIndex';

const SIZE = 300;
const ROOM = 22;

const chanceWords = (chance: number): Message =>
  chance <= 0.001
    ? say('logbook.lessThan11')
    : chance < 0.1
      ? say('logbook.n1In', { chance: Math.round(1 / chance) })
      : say('logbook.in100', { chance: Math.round(chance * 100) });

const FOLLOWS: Readonly<Record<Overlay['follows'], Message>> = {
  press: say('logbook.faultsFollowPressThey'),
  blank: say('logbook.faultsFollowBlankThey'),
  both: say('logbook.faultsClusterButAll'),
  neither: say('logbook.faultsSpreadRandomPlace'),
  'too-few': say('logbook.tooFewMarksPlace', { leastMarks: LEAST_MARKS }),
};

/** Marks of many pieces in the coordinates of the blank and of the press. */
export function OverlayMap({ query, index }: { query: LogQuery; index: LogIndex }) {
  const t = useWords();
  const { shop } = useShop();
  const found = useOverlay(query, index);
  if (!found) return <p className="p-8 text-lead">{t('logbook.reading')}</p>;
  // A corner of one press is none of another.
  const placed = found.marks.filter((m) => m.onPress !== null && m.pressId === found.pressId);
  const counts = new Map<string, number>();
  for (const m of found.marks)
    counts.set(t(faultLabel(m.fault)), (counts.get(t(faultLabel(m.fault))) ?? 0) + 1);
  return (
    <div
      tabIndex={0}
      role="region"
      aria-label={t('logbook.overlaidMarks')}
      className="h-full overflow-auto p-4"
    >
      <p className="max-w-3xl text-lead leading-snug" role="status">
        {t(FOLLOWS[found.follows])}
      </p>
      <div className="mt-3 flex flex-wrap gap-8">
        <MarkMap
          title={t('common.onTheBlank')}
          corners={[t('common.top'), t('common.foot')]}
          marks={found.marks}
          at={(m) => m.onFace}
          gathering={found.onFace}
          on="face"
        />
        {placed.length > 0 && (
          <MarkMap
            title={t('logbook.inThePress', {
              presses: shop.presses.find((p) => p.id === found.pressId)?.name ?? say('press.pressNoLonger'),
            })}
            corners={[t('logbook.backPlatenTopMat'), t('common.front')]}
            marks={placed}
            at={(m) => m.onPress ?? m.onFace}
            gathering={found.onPress}
            on="press"
          />
        )}
        <section aria-label={t('logbook.whatOverlaid')} className="min-w-56">
          <h2 className="font-name text-lead font-semibold">
            {t('logbook.marks', { marks: found.marks.length })}
          </h2>
          <ul className="mt-1">
            {[...counts]
              .sort((a, b) => b[1] - a[1])
              .map(([label, n]) => (
                <li key={label} className="flex justify-between gap-4 border-b border-rule py-1">
                  <span>{label}</span>
                  <strong>{n}</strong>
                </li>
              ))}
          </ul>
          <p className="mt-2 max-w-64 text-soft">{t('logbook.filterFaultPressBlank')}</p>
        </section>
      </div>
    </div>
  );
}

interface MapProps {
  readonly title: string;
  readonly corners: readonly [string, string];
  readonly marks: readonly LaidMark[];
  readonly at: (m: LaidMark) => { readonly x: number; readonly y: number };
  readonly gathering: Gathering | null;
  readonly on: 'press' | 'face';
}

function MarkMap({ title, corners, marks, at, gathering, on }: MapProps) {
  const t = useWords();
  const cell = SIZE / MAP_CELLS;
  const x = (v: number) => ROOM + Math.min(1, Math.max(0, v)) * SIZE;
  const y = (v: number) => ROOM + Math.min(1, Math.max(0, v)) * SIZE;
  const most = gathering?.most;
  return (
    <figure>
      <figcaption className="font-name text-lead font-semibold">{title}</figcaption>
      <svg
        width={SIZE + 2 * ROOM}
        height={SIZE + 2 * ROOM}
        role="img"
        aria-label={t('logbook.titleMarks', { title, marks: count(marks.length, 'mark') })}
      >
        <rect x={ROOM} y={ROOM} width={SIZE} height={SIZE} fill="#f8faf6" stroke="#14211f" strokeWidth={2} />
        {most && gathering.chance < 0.05 && (
          <rect
            x={ROOM + most.column * cell}
            y={ROOM + most.row * cell}
            width={cell}
            height={cell}
            fill="#d08a3e"
            fillOpacity={0.35}
          />
        )}
        {[1, 2, 3].map((i) => (
          <g key={i} stroke="#dfe5dd">
            <line x1={ROOM + i * cell} x2={ROOM + i * cell} y1={ROOM} y2={ROOM + SIZE} />
            <line y1={ROOM + i * cell} y2={ROOM + i * cell} x1={ROOM} x2={ROOM + SIZE} />
          </g>
        ))}
        {marks.map((m, i) => {
          const p = at(m);
          return (
            <circle
              key={i}
              cx={x(p.x)}
              cy={y(p.y)}
              r={3 + 1.5 * m.severity}
              fill="#c8371b"
              fillOpacity={0.45}
            />
          );
        })}
        <text x={ROOM + SIZE / 2} y={ROOM - 7} textAnchor="middle" fontSize={13} className="font-label">
          {corners[0]}
        </text>
        <text
          x={ROOM + SIZE / 2}
          y={ROOM + SIZE + 16}
          textAnchor="middle"
          fontSize={13}
          className="font-label"
        >
          {corners[1]}
        </text>
      </svg>
      {gathering && (
        <p className="max-w-80">
          {gathering.chance < 0.05
            ? t('logbook.lieChanceTheyWould', {
                share: Math.round(gathering.most.share * 100),
                cellWords: cellWords(gathering.most, on),
                chance: chanceWords(gathering.chance),
              })
            : t('logbook.placeStandsOutChance', { chance: chanceWords(gathering.chance) })}
        </p>
      )}
    </figure>
  );
}
