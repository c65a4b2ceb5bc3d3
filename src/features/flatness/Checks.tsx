import type { FlatPress } from '@/core/shop/press';
import { fineMm, date } from '@/core/message/quantity';
import { Q, useWords } from '@/ui/words';
import { unevenMm } from './readings';

const SHOWN = 6;

/** How uneven the platen was each time it was read, newest first. */
export function FlatnessHistory({ press }: { press: FlatPress }) {
  const t = useWords();
  const list = press.flatness.slice(-SHOWN).toReversed();
  if (list.length === 0) return <p className="text-soft">{t('flatness.earlierReadingsMeasureAgain')}</p>;
  return (
    <section aria-label={t('flatness.readBefore')}>
      <h2 className="font-name text-lead font-semibold">{t('flatness.readBefore')}</h2>
      <ul>
        {list.map((c) => (
          <li key={c.id} className="border-b border-rule py-1">
            <span className="flex justify-between gap-3">
              <span>
                <Q of={date(c.at, 'moment')} />
              </span>
              <strong>
                <Q of={fineMm(unevenMm(c.points))} />
              </strong>
            </span>
            {c.packedCardMm !== null && (
              <span className="text-soft">
                {t('flatness.thenPackedCard')} <Q of={fineMm(c.packedCardMm)} />
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
