'use client';

import { useWords } from '@/ui/words';
import { useState } from 'react';
import type { ItemForecast } from '@/core/stock/wants';
import { countItem } from '@/data/stock';
import { Button } from '@/ui/Button';
import { notify, notifyProblem } from '@/ui/notify';
import { amountOf, UNIT_WORDS } from './stockWords';

/** The stock for counting, tablet in hand: one item a line, large keys, written when it is said. */
export function CountStock({ stock }: { stock: readonly ItemForecast[] }) {
  const t = useWords();
  const [done, setDone] = useState<Readonly<Record<string, number>>>({});
  return (
    <div className="max-w-4xl">
      <p className="px-4 py-2 text-soft">
        {t('stock.countStockEnterLedgers', { object: Object.keys(done).length, items: stock.length })}
      </p>
      <ul>
        {stock.map((o) => (
          <CountLine
            key={o.item.id}
            outlook={o}
            off={done[o.item.id]}
            onDone={(off) => setDone((d) => ({ ...d, [o.item.id]: off }))}
          />
        ))}
      </ul>
    </div>
  );
}

interface LineProps {
  readonly outlook: ItemForecast;
  /** By how much the ledger was off; absent while it is not counted. */
  readonly off: number | undefined;
  readonly onDone: (off: number) => void;
}

function CountLine({ outlook: { item, balance }, off, onDone }: LineProps) {
  const t = useWords();
  const [text, setText] = useState('');
  const had = balance.onHand;
  const typed = text.trim() === '' ? Math.max(0, had) : Number(text.replace(',', '.'));
  const say = async () => {
    const r = await countItem(item.id, typed, null);
    if (!r.ok) return notifyProblem(r.problem);
    setText('');
    onDone(r.value);
    if (r.value !== 0) notify(t('stock.ledgerDiffered', { item: item.name, r: amountOf(r.value) }));
  };
  const step = (by: number) => setText(String(Math.max(0, (Number.isFinite(typed) ? typed : 0) + by)));
  return (
    <li
      className={`flex flex-wrap items-center gap-3 border-b border-rule px-4 py-2 ${off === undefined ? '' : 'bg-board'}`}
    >
      <span className="min-w-52 flex-1">
        <span className="block text-lead leading-tight font-semibold">{item.name}</span>
        <span className="font-label text-fine font-medium text-soft">
          {off === undefined
            ? t('stock.ledgerHas', {
                had: amountOf(had),
                value: UNIT_WORDS[item.unit],
              })
            : off === 0
              ? t('stock.countedRight')
              : t('stock.countedDifference', { off: amountOf(off) })}
        </span>
      </span>
      <Button
        className="min-h-14 min-w-14 text-name"
        aria-label={t('stock.oneLess', { item: item.name })}
        onClick={() => step(-1)}
      >
        −
      </Button>
      <input
        aria-label={t('stock.countedOf', { item: item.name })}
        inputMode="decimal"
        value={text}
        placeholder={t.quantity(amountOf(Math.max(0, had)))}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Enter') void say();
        }}
        className="min-h-14 w-24 border-2 border-ink bg-white text-center font-name text-head font-semibold text-measured placeholder:text-soft"
      />
      <Button
        className="min-h-14 min-w-14 text-name"
        aria-label={t('stock.oneMore', { item: item.name })}
        onClick={() => step(1)}
      >
        +
      </Button>
      <Button className="min-h-14 min-w-28 text-lead" onClick={() => void say()}>
        {off === undefined ? t('stock.saveCount') : t('stock.again')}
      </Button>
    </li>
  );
}
