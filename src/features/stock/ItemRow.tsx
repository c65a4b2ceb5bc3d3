'use client';

import { date, moneyOf } from '@/core/message/quantity';
import { useWords, Q } from '@/ui/words';
import { addDays } from 'date-fns';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { eachCents, type ItemForecast } from '@/core/stock/wants';
import type { StockItem } from '@/core/shop/stock';
import {
  cancelOrder,
  itemLines,
  orderCases,
  receiveOrder,
  removeItem,
  restoreItem,
  saveItem,
} from '@/data/stock';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { isoDay, middayMs } from '@/ui/dates';
import { NumberField } from '@/ui/NumberField';
import { notify, notifyProblem, notifyUndo } from '@/ui/notify';
import { TypedField } from '@/ui/TypedField';
import { ok } from '@/core/basics/result';
import { useShop } from '../shell/shopContext';
import { ItemDialog } from './ItemDialog';
import { amountOf, MOVEMENT_WORDS, UNIT_WORDS } from './stockWords';

const NEWEST = 40;

/** One item: its lots, its orders, and every line of its ledger. */
export function OneItem({ outlook: o, onClose }: { outlook: ItemForecast; onClose: () => void }) {
  const t = useWords();
  const { shop } = useShop();
  const [changing, setChanging] = useState(false);
  const { item, balance } = o;
  const unit = UNIT_WORDS[item.unit];
  const remove = async () => {
    const r = await removeItem(item.id);
    if (!r.ok) return notifyProblem(r.problem);
    const gone = r.value;
    onClose();
    if (gone) notifyUndo(t('stock.removedFromStock', { item: item.name }), () => restoreItem(gone));
  };
  if (changing) return <ItemDialog item={item} onClose={() => setChanging(false)} />;
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={item.name}
      about={t('stock.handCaseEachCarriage', {
        onHand: amountOf(balance.onHand),
        unit,
        caseSize: amountOf(item.caseSize),
        moneyText: moneyOf(shop.settings.currency, item.caseCents),
        moneyText2: moneyOf(shop.settings.currency, Math.round(eachCents(item))),
      })}
    >
      <div className="grid gap-5 md:grid-cols-2">
        <div className="grid content-start gap-4">
          <Orders outlook={o} />
          <Lots item={item} outlook={o} />
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => setChanging(true)}>{t('stock.editPurchasing')}</Button>
            <Button kind="quiet" onClick={() => void remove()}>
              {t('common.takeFromStock')}
            </Button>
          </div>
        </div>
        <Ledger item={item} jobs={new Map(o.wants.map((w) => [w.jobId, w.jobName]))} />
      </div>
    </Dialog>
  );
}

function Orders({ outlook: o }: { outlook: ItemForecast }) {
  const t = useWords();
  const { item, balance } = o;
  const [cases, setCases] = useState(Math.max(1, o.cases));
  const [expected, setExpected] = useState(() => isoDay(addDays(Date.now(), item.leadDays)));
  const unit = UNIT_WORDS[item.unit];
  const order = async () => {
    const r = await orderCases(item, cases, /^\d{4}-\d{2}-\d{2}$/.test(expected) ? expected : null);
    if (r.ok) notify(t('stock.casesCasesCase', { cases, item: item.name }));
    else notifyProblem(r.problem);
  };
  return (
    <section aria-label={t('stock.orders')} className="grid gap-2">
      <h3 className="font-name text-lead font-semibold">{t('stock.orders')}</h3>
      <div className="flex flex-wrap items-end gap-3">
        <NumberField label={t('stock.cases')} value={cases} min={1} max={1000} whole onValue={setCases} />
        <label className="grid font-label text-fine font-medium text-soft">
          {t('stock.expectedOn')}
          <input
            type="date"
            value={expected}
            onChange={(e) => setExpected(e.target.value)}
            className="min-h-9 border-2 border-ink bg-white px-2 text-base text-ink"
          />
        </label>
        <Button onClick={() => void order()}>
          {t('stock.order', { cases: amountOf(cases * item.caseSize), unit })}
        </Button>
      </div>
      {o.cases > 0 && (
        <p className="text-soft">
          {t('stock.casesCasesCase2', { cases: o.cases })}
          {o.orderBy && t('stock.byDay', { day: date(middayMs(o.orderBy), 'day') })}
          {o.shortFor && t('stock.for', { shortFor: o.shortFor })}.
        </p>
      )}
      <ul>
        {balance.orders.map((order) => (
          <OpenOrder key={order.orderId} item={item} order={order} />
        ))}
      </ul>
    </section>
  );
}

function OpenOrder({ item, order }: { item: StockItem; order: ItemForecast['balance']['orders'][number] }) {
  const t = useWords();
  const [came, setCame] = useState(order.left);
  const [lot, setLot] = useState('');
  const said = (r: Awaited<ReturnType<typeof receiveOrder>>) => {
    if (!r.ok) notifyProblem(r.problem);
  };
  return (
    <li className="grid gap-2 border-b border-rule py-2">
      <span className="font-label font-semibold">
        {t('stock.onTheWay', { left: amountOf(order.left), unitWords: UNIT_WORDS[item.unit] })}
        {order.expectedOn && t('stock.expected', { expectedOn: date(middayMs(order.expectedOn), 'day') })}
      </span>
      <span className="flex flex-wrap items-end gap-3">
        <NumberField label={t('stock.received')} value={came} min={0.001} max={1_000_000} onValue={setCame} />
        <TypedField
          label={t('stock.lot')}
          text={lot}
          width="w-28"
          parse={(t) => ok(t.trim().slice(0, 40))}
          onValue={setLot}
        />
        <Button onClick={() => void receiveOrder(item.id, order.orderId, came, lot).then(said)}>
          {t('stock.markReceived')}
        </Button>
        <Button kind="quiet" onClick={() => void cancelOrder(item.id, order.orderId, order.left).then(said)}>
          {t('stock.cancelRemaining')}
        </Button>
      </span>
    </li>
  );
}

/** Lots that lie there; a poor coating is said here, and the inspection of every piece of that lot says it again. */
function Lots({ item, outlook }: { item: StockItem; outlook: ItemForecast }) {
  const t = useWords();
  const lots = outlook.balance.lots.filter((l) => l.lot !== '');
  const known = [...new Set([...lots.map((l) => l.lot), ...item.lots.map((l) => l.lot)])];
  if (known.length === 0) return null;
  const set = (lot: string, poor: boolean, note: string) => {
    const rest = item.lots.filter((l) => l.lot !== lot);
    void saveItem({ ...item, lots: poor || note !== '' ? [...rest, { lot, poor, note }] : rest }).then(
      (r) => {
        if (!r.ok) notifyProblem(r.problem);
      },
    );
  };
  return (
    <section aria-label={t('stock.lots')} className="grid gap-1">
      <h3 className="font-name text-lead font-semibold">{t('stock.lots')}</h3>
      <ul>
        {known.map((lot) => {
          const said = item.lots.find((l) => l.lot === lot);
          const count = lots.find((l) => l.lot === lot)?.count ?? 0;
          return (
            <li key={lot} className="flex flex-wrap items-end gap-3 border-b border-rule py-1.5">
              <span className="min-w-32 font-label font-semibold">
                {lot}: <Q of={amountOf(count)} />
              </span>
              <label className="flex min-h-9 items-center gap-2 font-label">
                <input
                  type="checkbox"
                  checked={said?.poor ?? false}
                  onChange={(e) => set(lot, e.target.checked, said?.note ?? '')}
                  className="size-5"
                />
                {t('stock.poorCoating')}
              </label>
              <TypedField
                label={t('stock.whatKnown', { lot })}
                hideLabel
                text={said?.note ?? ''}
                width="w-56"
                parse={(t) => ok(t.trim().slice(0, 200))}
                onValue={(note) => set(lot, said?.poor ?? false, note)}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Ledger({ item, jobs }: { item: StockItem; jobs: ReadonlyMap<string, string> }) {
  const t = useWords();
  const lines = useLiveQuery(() => itemLines(item.id), [item.id]);
  const { jobs: all } = useShop();
  const nameOf = (id: string) => jobs.get(id) ?? all.find((j) => j.id === id)?.job.name ?? t('stock.jobGone');
  return (
    <section aria-label={t('stock.ledger')}>
      <h3 className="font-name text-lead font-semibold">{t('stock.ledger')}</h3>
      <ul className="font-label">
        {lines?.slice(0, NEWEST).map((l) => (
          <li key={l.id} className="flex justify-between gap-3 border-b border-rule py-1">
            <span>
              {t(MOVEMENT_WORDS[l.kind])}
              {l.jobId && `, ${nameOf(l.jobId)}`}
              {l.lot !== '' && t('stock.lot2', { lot: l.lot })}
              <span className="block text-fine font-medium text-soft">
                <Q of={date(l.at, 'moment')} />
                {l.by && ` · ${l.by}`}
                {l.kind === 'counted' && l.note !== '' && ` · ${l.note}`}
              </span>
            </span>
            <span className="shrink-0 text-lead font-semibold">
              {l.change > 0 ? '+' : ''}
              <Q of={amountOf(l.change)} />
            </span>
          </li>
        ))}
      </ul>
      {lines && lines.length > NEWEST && (
        <p className="text-soft">{t('stock.linesBefore', { lines: lines.length - NEWEST })}</p>
      )}
    </section>
  );
}
