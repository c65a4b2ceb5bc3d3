import { moneyOf } from '@/core/message/quantity';
import { useWords, Q } from '@/ui/words';
import { scaleLinear } from 'd3-scale';
import type { CostPart, Price } from '@/core/cost/cost';
import { PART_WORDS } from '@/core/cost/costFigures';
import { shared } from '@/core/money/money';

const FILLS: Readonly<Record<CostPart, readonly [string, boolean]>> = {
  blanks: ['var(--color-strata-1)', false],
  paper: ['var(--color-strata-2)', false],
  ink: ['var(--color-strata-3)', false],
  tape: ['var(--color-strata-4)', true],
  energy: ['var(--color-strata-5)', true],
  labour: ['var(--color-strata-6)', true],
  machine: ['var(--color-strata-7)', false],
  packing: ['var(--color-strata-8)', false],
  spoilage: ['var(--color-act)', false],
};

const W = 560;
const H = 330;
const TOP = 14;
const LEFT = 8;
const STACK_W = 190;
const LEAST_LABEL_PX = 15;

interface Stratum {
  readonly label: string;
  readonly cents: number;
  readonly fill: string;
  readonly light: boolean;
}

/** Labels beside the strata, pushed apart so that none covers another. */
function placed(wanted: readonly number[], least: number, most: number): readonly number[] {
  const at = [...wanted];
  for (let i = 1; i < at.length; i += 1) at[i] = Math.max(at[i] ?? 0, (at[i - 1] ?? 0) + LEAST_LABEL_PX);
  let over = (at.at(-1) ?? 0) - most;
  for (let i = at.length - 1; i >= 0 && over > 0; i -= 1) {
    at[i] = Math.max(least + i * LEAST_LABEL_PX, (at[i] ?? 0) - over);
    over = i > 0 ? (at[i - 1] ?? 0) + LEAST_LABEL_PX - (at[i] ?? 0) : 0;
  }
  return at;
}

/** The price of one piece as strata: what it costs from the foot up, the fee, and what is left on top. */
export function CostStack({ price, currency }: { price: Price; currency: string }) {
  const t = useWords();
  const { cost } = price;
  const [costEach = 0, feeEach = 0, leftEach = 0] = shared(price.eachCents, [
    cost.totalCents,
    price.feeCents,
    Math.max(0, price.earnedCents),
  ]);
  const parts = shared(
    price.earnedCents < 0 ? cost.eachCents : costEach,
    cost.lines.map((l) => l.cents),
  );
  const strata: readonly Stratum[] = [
    ...cost.lines.map((l, i) => ({
      label: t(PART_WORDS[l.part]),
      cents: parts[i] ?? 0,
      fill: FILLS[l.part][0],
      light: FILLS[l.part][1],
    })),
    {
      label: t('pricing.fee'),
      cents: price.earnedCents < 0 ? 0 : feeEach,
      fill: 'var(--color-soft)',
      light: false,
    },
    {
      label: t('common.margin'),
      cents: price.earnedCents < 0 ? 0 : leftEach,
      fill: 'var(--color-sheet)',
      light: true,
    },
  ].filter((s) => s.cents > 0);
  const total = strata.reduce((s, x) => s + x.cents, 0);
  const y = scaleLinear([0, Math.max(1, total)], [H - 8, TOP]);
  const tops = strata.map((_, i) => strata.slice(0, i + 1).reduce((a, x) => a + x.cents, 0));
  // From the top down, so that labels are pushed the way they are read.
  const order = strata.map((_, i) => strata.length - 1 - i);
  const labels = placed(
    order.map((i) => (y(tops[i] ?? 0) + y((tops[i] ?? 0) - (strata[i]?.cents ?? 0))) / 2 + 5),
    TOP + 8,
    H - 4,
  );
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      role="img"
      aria-label={t('pricing.priceOnePiece', {
        moneyText: moneyOf(currency, price.eachCents),
        strata: strata.map((s) => `${s.label} ${t.quantity(moneyOf(currency, s.cents))}`),
      })}
      className="w-full max-w-2xl"
    >
      {order.map((i, k) => {
        const s = strata[i];
        const top = tops[i] ?? 0;
        if (!s) return null;
        const [y0, y1] = [y(top), y(top - s.cents)];
        const lean = (v: number) => ((H - v) / H) * 34;
        const labelY = labels[k] ?? 0;
        return (
          <g key={s.label}>
            <path
              d={`M${LEFT + lean(y0)} ${y0}H${LEFT + STACK_W - lean(y0)}L${LEFT + STACK_W - lean(y1)} ${y1}H${LEFT + lean(y1)}Z`}
              fill={s.fill}
              className="stroke-ink"
              strokeWidth={1.5}
            />
            <path
              d={`M${LEFT + STACK_W - lean((y0 + y1) / 2)} ${(y0 + y1) / 2}L${LEFT + STACK_W + 24} ${labelY - 5}H${LEFT + STACK_W + 34}`}
              fill="none"
              className="stroke-rule"
            />
            <text x={LEFT + STACK_W + 40} y={labelY} className="fill-ink font-label text-base font-medium">
              {s.label}
            </text>
            <text
              x={W - 90}
              y={labelY}
              textAnchor="end"
              className="fill-ink font-label text-base font-semibold"
            >
              <Q of={moneyOf(currency, s.cents)} />
            </text>
          </g>
        );
      })}
    </svg>
  );
}
