import { moneyOf } from '@/core/message/quantity';
import { say, type Message, verbatim } from '@/core/message/message';
import { useWords, Q } from '@/ui/words';
import type { JobCost } from '@/core/cost/jobCost';

const sizeText = (pieces: number, cost: JobCost): Message => {
  if (pieces === 1) return say('pricing.one');
  const caseSize = cost.given.item?.caseSize;
  const what = [
    ...(pieces === 12 ? [say('pricing.aDozen')] : []),
    ...(pieces === caseSize ? [say('pricing.aCase')] : []),
    ...(pieces === cost.pieces ? [say('pricing.thisOrder')] : []),
  ];
  return what.length > 0 ? say('pricing.piecesWhat', { pieces, what }) : verbatim(String(pieces));
};

/** The calculated price of one, a dozen, a case and the order, with the lowest that still pays the work. */
export function PriceLadder({ cost, currency }: { cost: JobCost; currency: string }) {
  const t = useWords();
  const priced = (cents: number) => moneyOf(currency, cents);
  return (
    <table className="w-full max-w-2xl font-label">
      <thead>
        <tr className="border-b-2 border-ink text-left text-fine font-semibold">
          <th className="py-1">{t('common.pieces')}</th>
          <th className="py-1 text-right">{t('pricing.costPerPiece')}</th>
          <th className="py-1 text-right">{t('pricing.pricePerPiece')}</th>
          <th className="py-1 text-right">{t('pricing.breakEvenPrice')}</th>
          <th className="py-1 text-right">{t('pricing.earnedPerHour')}</th>
        </tr>
      </thead>
      <tbody>
        {cost.ladder.map((p) => (
          <tr key={p.pieces} className={`border-b border-rule ${p.pieces === cost.pieces ? 'bg-board' : ''}`}>
            <td className="py-1.5">{t(sizeText(p.pieces, cost))}</td>
            <td className="py-1.5 text-right">
              <Q of={priced(p.cost.eachCents)} />
            </td>
            <td className="py-1.5 text-right text-lead font-semibold">
              <Q of={priced(p.eachCents)} />
            </td>
            <td className="py-1.5 text-right">
              <Q of={priced(p.lowestCents)} />
            </td>
            <td className="py-1.5 text-right">
              <Q of={priced(p.hourCents)} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
