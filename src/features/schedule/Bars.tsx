import { useWords, type Words } from '@/ui/words';
import type { DayPlan } from '@/core/day/dayPlan';
import type { Bar, ScheduleLine } from '@/core/day/lines';
import type { Rect } from '@/core/geometry/plane';
import { barPath, groupsOf, type Range } from './chart';
import { groundOf, kindText, shortName, type Ground } from './dayWords';

interface Props {
  readonly day: DayPlan;
  readonly line: ScheduleLine;
  readonly x: (s: number) => number;
  readonly y: number;
  readonly height: number;
  readonly range: Range;
  readonly chosen: number | null;
  readonly onChoose: (work: number | null) => void;
}

/** Letters are about so wide, px. */
const LETTER_PX = 6.6;
export const fits = (text: string, px: number): boolean => text.length * LETTER_PX + 8 <= px;

function words(day: DayPlan, line: ScheduleLine, b: Bar, px: number, t: Words): string | null {
  const name = b.work === null ? '' : shortName(day.jobs[b.work]?.name ?? '');
  // Loads cool over each other: a word would be cut by the next.
  if (line.kind === 'cooling') return null;
  const tries = line.kind === 'printer' ? [`${name}, ${b.count}`, name] : [t(kindText(b.kind))];
  return tries.find((text) => fits(text, px)) ?? null;
}

interface ShapeProps {
  readonly box: Rect;
  readonly ground: Ground;
  readonly text: string | null;
}

/** A bar with its words in it. */
export const BarShape = ({ box, ground, text }: ShapeProps) => (
  <>
    <path
      d={barPath(box.x, box.y, box.width, box.height)}
      fill={ground.fill}
      className="stroke-ink"
      strokeWidth={box.width > 4 ? 1 : 0.4}
    />
    {text && (
      <text
        x={box.x + 5}
        y={box.y + box.height / 2 + 5}
        fill={ground.ink}
        className="font-label text-fine font-semibold"
      >
        {text}
      </text>
    )}
  </>
);

/** What one resource does, as bars that lean as the steps do. */
export function Bars({ day, line, x, y, height, range, chosen, onChoose }: Props) {
  const t = useWords();
  const past =
    line.kind === 'press' ? (day.past.find((p) => p.press === day.presses[line.index]?.id)?.bars ?? []) : [];
  const bars = [...past, ...line.bars].filter((b) => b.toS > range.fromS && b.fromS < range.toS);
  // A press carries the name of its loads above them.
  const named = line.kind === 'press';
  const [top, tall] = named ? [y + 15, height - 21] : [y + 6, height - 12];
  return (
    <g>
      {bars.map((b, i) => {
        const left = x(Math.max(b.fromS, range.fromS));
        const px = Math.max(1.5, x(Math.min(b.toS, range.toS)) - left);
        const ground = groundOf(b.work);
        const text = named ? null : words(day, line, b, px, t);
        const dim = chosen !== null && b.work !== chosen;
        return (
          <g
            key={i}
            opacity={dim ? 0.25 : b.kind === 'done' ? 0.45 : 1}
            onClick={() => onChoose(b.work)}
            className="cursor-pointer"
          >
            <BarShape
              box={{ x: left, y: top, width: px, height: tall }}
              ground={b.kind === 'warm' ? { ...ground, fill: 'var(--color-warning)' } : ground}
              text={text}
            />
          </g>
        );
      })}
      {named &&
        groupsOf(bars).map((g) => {
          const left = x(Math.max(g.fromS, range.fromS));
          const px = x(Math.min(g.toS, range.toS)) - left;
          const text = `${g.pieces} ${shortName(day.jobs[g.work]?.name ?? '')}`;
          return fits(text, px + 26) ? (
            <text
              key={`${g.work} ${g.fromS}`}
              x={left}
              y={y + 11}
              className="fill-ink font-label text-fine font-medium"
            >
              {text}
            </text>
          ) : null;
        })}
    </g>
  );
}
