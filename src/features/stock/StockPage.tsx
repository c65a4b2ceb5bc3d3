'use client';

import { count, date } from '@/core/message/quantity';
import { say } from '@/core/message/message';
import { useWords, Q } from '@/ui/words';
import { FileDown, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { ItemForecast } from '@/core/stock/wants';
import { STOCK_KINDS } from '@/core/shop/stock';
import { stockCsv } from '@/core/formats/stockCsv';
import { Button } from '@/ui/Button';
import { isoDay, middayMs } from '@/ui/dates';
import { FileButton } from '@/ui/FileButton';
import { Segments } from '@/ui/Segments';
import { notify, notifyProblem } from '@/ui/notify';
import { importStock, loadItems } from '@/data/stock';
import { newId } from '@/data/ids';
import { stockAndQuotesAside } from '@/data/setAside';
import { useAsideOf } from '../shell/asideStore';
import { saveTextAs } from '../shell/download';
import { ShopFrame } from '../shell/ShopFrame';
import { CountStock } from './CountStock';
import { ItemDialog } from './ItemDialog';
import { OneItem } from './ItemRow';
import { amountOf, STOCK_KIND_WORDS, UNIT_WORDS } from './stockWords';
import { useStock } from './useStock';
import { part } from '@/core/basics/part';
import { MOST_TABLE_BYTES, readText } from '@/data/readFile';

type View = 'shelf' | 'order' | 'count';
const VIEWS = [
  { value: 'shelf', label: say('stock.allItems') },
  { value: 'order', label: say('stock.toOrder') },
  { value: 'count', label: say('stock.count') },
] as const;

async function importFile(file: File): Promise<void> {
  const text = await readText(file, MOST_TABLE_BYTES, say('common.splitTable'));
  if (!text.ok) return notifyProblem(text.problem);
  const { readStockCsv: readShelfCsv } = await part(() => import('@/core/formats/stockCsv'));
  const rows = readShelfCsv(text.value, await loadItems(), () => newId('item'));
  if (!rows.ok) return notifyProblem(rows.problem);
  const done = await importStock(rows.value);
  if (!done.ok) return notifyProblem(done.problem);
  notify(say('stock.doneDoneItem', { done: done.value }));
}

/** What is in stock, allocated and on order, and what to order by when. */
export function StockPage() {
  const t = useWords();
  useAsideOf('books', stockAndQuotesAside);
  const { stock, wantsKnown } = useStock();
  const [view, setView] = useState<View>('shelf');
  const [openId, setOpenId] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const toOrder = stock?.filter((o) => o.cases > 0).length ?? 0;
  const open = stock?.find((o) => o.item.id === openId) ?? null;
  const save = () => {
    if (!stock) return;
    saveTextAs('stock.csv', stockCsv(stock.map((o) => ({ item: o.item, ...o.balance }))), 'text/csv');
  };
  return (
    <ShopFrame
      title={t('common.stock')}
      about={
        stock ? t('stock.itemsToOrder', { items: count(stock.length, 'item'), toOrder }) : t('common.reading')
      }
      actions={
        <>
          <Button onClick={save} disabled={!stock || stock.length === 0}>
            <FileDown size={16} aria-hidden /> {t('stock.csv')}
          </Button>
          <FileButton
            label={t('stock.shelfTable')}
            accept=".csv,text/csv,text/plain"
            onFile={(f) => void importFile(f)}
          >
            {t('stock.openCsv')}
          </FileButton>
          <Button kind="act" onClick={() => setAdding(true)}>
            <Plus size={18} aria-hidden /> {t('stock.addItem')}
          </Button>
        </>
      }
    >
      <div className="flex h-full flex-col">
        <div className="border-b border-rule px-4 py-2">
          <Segments label={t('stock.showStock')} value={view} options={VIEWS} onChange={setView} />
        </div>
        <div
          className="min-h-0 flex-1 overflow-auto"
          tabIndex={0}
          role="region"
          aria-label={t('stock.items')}
        >
          {stock?.length === 0 && <p className="p-8 text-lead">{t('stock.stockYetAddYour')}</p>}
          {stock && stock.length > 0 && view === 'shelf' && (
            <ItemTable stock={stock} wantsKnown={wantsKnown} onOpen={setOpenId} />
          )}
          {stock && stock.length > 0 && view === 'order' && <OrderList stock={stock} onOpen={setOpenId} />}
          {stock && stock.length > 0 && view === 'count' && <CountStock stock={stock} />}
        </div>
      </div>
      {open && <OneItem key={open.item.id} outlook={open} onClose={() => setOpenId(null)} />}
      {adding && <ItemDialog item={null} onClose={() => setAdding(false)} />}
    </ShopFrame>
  );
}

interface TableProps {
  readonly stock: readonly ItemForecast[];
  readonly wantsKnown: boolean;
  readonly onOpen: (id: string) => void;
}

function ItemTable({ stock, wantsKnown, onOpen }: TableProps) {
  const t = useWords();
  const kinds = STOCK_KINDS.filter((k) => stock.some((o) => o.item.kind === k));
  return (
    <table className="w-full max-w-5xl font-label">
      <thead>
        <tr className="border-b-2 border-ink text-fine font-semibold">
          <th className="px-4 py-1.5 text-left">{t('common.what')}</th>
          <th className="px-3 py-1.5 text-right">{t('stock.onHand')}</th>
          <th className="px-3 py-1.5 text-right">{t('stock.allocated')}</th>
          <th className="px-3 py-1.5 text-right">{t('stock.available')}</th>
          <th className="px-3 py-1.5 text-right">{t('stock.onOrder')}</th>
          <th className="px-4 py-1.5 text-left">{t('common.action')}</th>
        </tr>
      </thead>
      {kinds.map((kind) => (
        <tbody key={kind}>
          <tr>
            <th
              colSpan={6}
              scope="rowgroup"
              className="px-4 pt-3 pb-1 text-left font-name text-lead font-semibold"
            >
              {t(STOCK_KIND_WORDS[kind])}
            </th>
          </tr>
          {stock
            .filter((o) => o.item.kind === kind)
            .map((o) => (
              <ItemRow key={o.item.id} outlook={o} wantsKnown={wantsKnown} onOpen={onOpen} />
            ))}
        </tbody>
      ))}
    </table>
  );
}

function ItemRow({
  outlook: o,
  wantsKnown,
  onOpen,
}: {
  outlook: ItemForecast;
  wantsKnown: boolean;
  onOpen: TableProps['onOpen'];
}) {
  const t = useWords();
  const { item, balance } = o;
  const unit = UNIT_WORDS[item.unit];
  return (
    <tr className="border-b border-rule hover:bg-board">
      <td className="px-4">
        <button
          type="button"
          onClick={() => onOpen(item.id)}
          className="min-h-11 w-full text-left text-base hover:underline"
        >
          {item.name}
          {item.lots.some((l) => l.poor && balance.lots.some((b) => b.lot === l.lot)) && (
            <span className="ml-2 text-fine font-semibold text-act-deep">{t('stock.poorLot')}</span>
          )}
        </button>
      </td>
      <td className={`px-3 text-right text-lead font-semibold ${balance.onHand < 0 ? 'text-act-deep' : ''}`}>
        <Q of={amountOf(balance.onHand)} /> <span className="text-fine font-medium text-soft">{t(unit)}</span>
      </td>
      <td className="px-3 text-right">{wantsKnown ? <Q of={amountOf(o.taken)} /> : '…'}</td>
      <td className={`px-3 text-right font-semibold ${o.free < 0 ? 'text-act-deep' : ''}`}>
        {wantsKnown ? <Q of={amountOf(o.free)} /> : '…'}
      </td>
      <td className="px-3 text-right">{balance.onOrder > 0 && <Q of={amountOf(balance.onOrder)} />}</td>
      <td className="px-4 text-left">{wantsKnown ? <Todo outlook={o} /> : ''}</td>
    </tr>
  );
}

/** What an item asks for, in a sentence. */
function Todo({ outlook: o }: { outlook: ItemForecast }) {
  const t = useWords();
  const today = useMemo(() => isoDay(new Date()), []);
  if (o.balance.onHand < 0)
    return <span className="font-semibold text-act-deep">{t('stock.negativeStockCount')}</span>;
  if (o.cases > 0) {
    const late = o.orderBy !== null && o.orderBy < today;
    return (
      <span className={late ? 'font-semibold text-act-deep' : 'font-semibold'}>
        {t('stock.order2', { cases: o.cases })}
        {o.orderBy !== null &&
          t(late ? 'stock.shouldHaveBeenBy' : 'stock.byDay', { day: date(middayMs(o.orderBy), 'day') })}
      </span>
    );
  }
  if (o.shortFor !== null)
    return (
      <span className="font-semibold text-act-deep">
        {t('stock.arrivesTooLate', { shortFor: o.shortFor })}
      </span>
    );
  const [coming] = o.balance.orders;
  if (coming)
    return (
      <span>
        {t('stock.onTheWay2', { left: amountOf(coming.left) })}
        {coming.expectedOn && t('stock.onDay', { day: date(middayMs(coming.expectedOn), 'day') })}
      </span>
    );
  return null;
}

function OrderList({ stock, onOpen }: { stock: readonly ItemForecast[]; onOpen: (id: string) => void }) {
  const t = useWords();
  const list = stock
    .filter((o) => o.cases > 0 || o.shortFor !== null)
    .sort((a, b) => (a.orderBy ?? '9999').localeCompare(b.orderBy ?? '9999'));
  if (list.length === 0) return <p className="p-8 text-lead">{t('stock.nothingOrderStockCovers')}</p>;
  return (
    <ul className="max-w-5xl">
      {list.map((o) => (
        <li key={o.item.id} className="border-b border-rule">
          <button
            type="button"
            onClick={() => onOpen(o.item.id)}
            className="grid w-full gap-0.5 px-4 py-2.5 text-left hover:bg-board"
          >
            <span className="flex flex-wrap items-baseline justify-between gap-x-4">
              <span className="font-name text-name font-semibold">{o.item.name}</span>
              <span className="font-label text-lead">
                <Todo outlook={o} />
              </span>
            </span>
            <span className="font-label text-fine font-medium text-soft">
              {t('stock.handTaken', {
                onHand: amountOf(o.balance.onHand),
                taken: amountOf(o.taken),
                value: o.wants.length === 0 ? say('stock.noJob') : o.wants.map((w) => w.jobName).join(', '),
              })}
              {o.balance.onOrder > 0 && t('stock.onOrder2', { onOrder: amountOf(o.balance.onOrder) })}
              {t('stock.caseTakesDays', { caseSize: amountOf(o.item.caseSize), leadDays: o.item.leadDays })}
              {o.item.lowAt > 0 && t('stock.areToStay', { lowAt: amountOf(o.item.lowAt) })}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
