import type { JobCost } from '@/core/cost/jobCost';
import { moneyText } from '@/core/money/money';

const sizeText = (pieces: number, cost: JobCost): string => {
  if (pieces === 1) return 'One';
  const caseSize = cost.given.item?.caseSize;
  const what = [
    ...(pieces === 12 ? ['a dozen'] : []),
    ...(pieces === caseSize ? ['a case'] : []),
    ...(pieces === cost.pieces ? ['this order'] : []),
  ];
  return what.length > 0 ? `${pieces}, ${what.join(', ')}` : String(pieces);
};

/** The calculated price of one, a dozen, a case and the order, with the lowest that still pays the work. */
export function Ladder({ cost, currency }: { cost: JobCost; currency: string }) {
  const money = (cents: number) => moneyText(currency, cents);
  return (
    <table className="w-full max-w-2xl font-label">
      <thead>
        <tr className="border-b-2 border-ink text-left text-fine font-semibold">
          <th className="py-1">Pieces</th>
          <th className="py-1 text-right">Cost per piece</th>
          <th className="py-1 text-right">Price per piece</th>
          <th className="py-1 text-right">Break-even price</th>
          <th className="py-1 text-right">Earned per hour</th>
        </tr>
      </thead>
      <tbody>
        {cost.ladder.map((p) => (
          <tr key={p.pieces} className={`border-b border-rule ${p.pieces === cost.pieces ? 'bg-board' : ''}`}>
            <td className="py-1.5">{sizeText(p.pieces, cost)}</td>
            <td className="py-1.5 text-right">{money(p.cost.eachCents)}</td>
            <td className="py-1.5 text-right text-lead font-semibold">{money(p.eachCents)}</td>
            <td className="py-1.5 text-right">{money(p.lowestCents)}</td>
            <td className="py-1.5 text-right">{money(p.hourCents)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
