'use client';

import { useWords } from '@/ui/words';
import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from '@/ui/Link';
import { useId } from 'react';
import { nextLot, poorLot } from '@/core/stock/ledger';
import { loadStock } from '@/data/stock';
import { useJob } from '../job/jobContext';

/** The lot the blanks are of: those in stock are offered, and what is known against one is said. */
export function LotField({ className }: { className: string }) {
  const t = useWords();
  const { job, edit } = useJob();
  const list = useId();
  const { lot } = job.inspection;
  const held = useLiveQuery(
    async () =>
      (await loadStock()).find((x) => x.item.kind === 'blank' && x.item.ofId === job.blankId) ?? null,
    [job.blankId],
  );
  const next = held ? nextLot(held.balance) : '';
  const asked = lot === '' ? next : lot;
  const poor = held && asked !== '' ? poorLot(held.item, asked) : null;
  return (
    <div className="w-36">
      <label className="block font-label text-fine font-medium text-soft">
        {t('inspect.lotBlanks')}
        <input
          value={lot}
          maxLength={40}
          list={list}
          placeholder={next}
          onChange={(e) =>
            edit((j) => ({ ...j, inspection: { ...j.inspection, lot: e.target.value } }), 'lot')
          }
          className={className}
        />
      </label>
      <datalist id={list}>
        {held?.balance.lots
          .filter((l) => l.lot !== '')
          .map((l) => (
            <option key={l.lot} value={l.lot} />
          ))}
      </datalist>
      {poor && (
        <p role="status" className="text-fine leading-tight font-medium text-act-deep">
          {t('inspect.poorLot', { asked })}
          {poor.note !== '' && `: ${poor.note}`}{' '}
          <Link href="/stock" className="underline">
            {t('common.stock')}
          </Link>
        </p>
      )}
    </div>
  );
}
