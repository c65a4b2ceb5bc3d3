'use client';

import { say } from '@/core/message/message';
import { offsetMap, newestOf } from '@/core/heat/press/pressModel';
import type { BedPlan, BedPlacement } from '@/core/heat/press/bed';
import { boundsOfContour, contourPath, flatten } from '@/core/geometry/contour';
import { isFlatPress, isChamber, type FlatPress, type Chamber } from '@/core/shop/press';
import { mm } from '@/core/message/quantity';
import { mainFace } from '@/core/wrap/pattern';
import { useUnits } from '@/ui/units';
import { useWords } from '@/ui/words';
import { useJob } from '../job/jobContext';

const OUTLINE_TOLERANCE_MM = 0.2;

/** A flat press or an oven from above: the bed to scale, its cooler edges, and the pieces of a load where to lay them. */
export function BedDiagram({ press, print = false }: { press: FlatPress | Chamber; print?: boolean }) {
  const { plan } = useJob();
  const t = useWords();
  const { load } = plan.heat;
  const bed = load?.bed ?? null;
  const [w, h] = isFlatPress(press)
    ? [press.platenWidthMm, press.platenHeightMm]
    : [bed?.widthMm ?? 380, bed?.heightMm ?? 320];
  const margin = bed?.marginMm ?? 30;
  const line = Math.max(w, h) / 180;
  const pieces = load?.load.piecesAtOnce ?? 1;
  const tray = press.kind === 'vacuum';
  const what = tray ? say('kinds.tray') : isChamber(press) ? say('heat.rack') : say('heat.platen');
  return (
    <figure className="flex h-full min-h-0 flex-col p-2">
      <figcaption className="font-name text-lead font-semibold">
        {tray ? t('heat.trayFromAbove') : isChamber(press) ? t('heat.rackFromAbove') : t('heat.bedFromAbove')}
      </figcaption>
      <svg
        viewBox={`${-line} ${-line} ${w + 2 * line} ${h + 2 * line}`}
        className={print ? 'w-full' : 'min-h-0 w-full flex-1'}
        role="img"
        aria-label={t('heat.atOnceOnA', {
          pieces,
          what,
          size: say('common.size', { width: mm(w), height: mm(h) }),
        })}
      >
        <rect x={0} y={0} width={w} height={h} fill="#dccfa9" stroke="#14211f" strokeWidth={line} />
        <rect
          x={margin}
          y={margin}
          width={Math.max(0, w - 2 * margin)}
          height={Math.max(0, h - 2 * margin)}
          fill="#ebdcb4"
          stroke="#14211f"
          strokeWidth={line / 2}
          strokeDasharray={`${line * 2} ${line * 2}`}
        />
        {isFlatPress(press) && <ColdSpot press={press} w={w} h={h} />}
        {bed?.placements.map((l, i) => (
          <PieceOn key={i} at={l} n={i + 1} line={line} round={isChamber(press)} />
        ))}
        {bed && !isChamber(press) && <Cross bed={bed} line={line} />}
      </svg>
      <BedWords press={press} bed={bed} />
    </figure>
  );
}

function PieceOn({ at, n, line, round }: { at: BedPlacement; n: number; line: number; round: boolean }) {
  const t = useWords();
  const { plan } = useJob();
  const { pattern } = plan.wrap;
  const flat = plan.blank.blank?.shape.kind === 'flat';
  const trim = flat && pattern ? mainFace(pattern).trim : null;
  const box = trim && boundsOfContour(trim);
  const size = Math.min(at.widthMm, at.heightMm, 200) * 0.42;
  const square = Math.abs(at.widthMm - at.heightMm) < 2;
  return (
    <g transform={`translate(${at.xMm} ${at.yMm})`}>
      {trim && box ? (
        <path
          transform={
            at.turned
              ? `translate(${at.widthMm} 0) rotate(90) translate(${-box.x} ${-box.y})`
              : `translate(${-box.x} ${-box.y})`
          }
          d={contourPath(flatten(trim, OUTLINE_TOLERANCE_MM))}
          fill={at.dummy ? 'none' : '#f8faf6'}
          stroke="#14211f"
          strokeWidth={line}
          strokeDasharray={at.dummy ? `${line * 3} ${line * 2}` : undefined}
        />
      ) : (
        <rect
          width={at.widthMm}
          height={at.heightMm}
          rx={round && square ? at.widthMm / 2 : 0}
          fill="#f8faf6"
          stroke="#14211f"
          strokeWidth={line}
        />
      )}
      <text
        x={at.widthMm / 2}
        y={at.heightMm / 2 + size * 0.36}
        textAnchor="middle"
        fontSize={size}
        fontWeight={600}
        className="font-label"
        fill="#14211f"
      >
        {at.dummy ? t('heat.dummy') : n}
      </text>
    </g>
  );
}

const Cross = ({ bed, line }: { bed: BedPlan; line: number }) => {
  const { xMm, yMm } = bed.pressure;
  const r = line * 5;
  return (
    <path
      d={`M ${xMm - r} ${yMm} h ${2 * r} M ${xMm} ${yMm - r} v ${2 * r}`}
      stroke="#c8371b"
      strokeWidth={line * 1.4}
      fill="none"
    />
  );
};

/** The coolest place that was read, where it is worth a word. */
function ColdSpot({ press, w, h }: { press: FlatPress; w: number; h: number }) {
  const t = useWords();
  const units = useUnits();
  const check = newestOf(press.checks);
  const map = offsetMap(check);
  const coldest = check?.points.reduce((a, b) => (b.readC < a.readC ? b : a));
  if (!check || !coldest || map.coldestK === null || map.coldestK > -3) return null;
  const low = units.temperature === 'F' ? -map.coldestK * 1.8 : -map.coldestK;
  const [cx, cy] = [coldest.x * w, coldest.y * h];
  return (
    <g>
      <ellipse cx={cx} cy={cy} rx={w / 5} ry={h / 5} fill="#7f9468" fillOpacity={0.6} />
      <text
        x={cx}
        y={cy}
        textAnchor="middle"
        fontSize={Math.max(w, h) / 16}
        className="font-label"
        fill="#14211f"
      >
        {t('heat.low', { low: Math.round(low), temperature: units.temperature })}
      </text>
    </g>
  );
}

function BedWords({ press, bed }: { press: FlatPress | Chamber; bed: BedPlan | null }) {
  const { plan } = useJob();
  const t = useWords();
  const { load, model } = plan.heat;
  const more = model?.loads.find((l) => l.pieces === load?.most);
  const fits =
    load && load.most > 0
      ? `${t('heat.piecesFit', { most: load.most })}${more && load.most > load.load.piecesAtOnce ? t('heat.wouldTake', { value: { kind: 'duration', value: more.dwellS } }) : ''}`
      : t('heat.doesFit');
  return (
    <p className="mt-1 text-fine leading-snug">
      {bed && !isChamber(press) && <>{t('heat.crossMiddleLoadFrom', { off: mm(bed.pressure.offMm) })} </>}
      {t('heat.dashed', {
        which: isChamber(press) ? 'keepClearWalls' : 'other',
        margin: mm(bed?.marginMm ?? 30),
      })}{' '}
      <strong>{fits}</strong>
    </p>
  );
}
