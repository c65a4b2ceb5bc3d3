import type { FlatPress } from '@/core/shop/press';
import { fineMm } from '@/core/units/quantity';
import { momentText } from '@/ui/dates';
import { Q } from '@/ui/units';
import { unevenMm } from './readings';

const SHOWN = 6;

/** How uneven the platen was each time it was read, newest first. */
export function Checks({ press }: { press: FlatPress }) {
  const list = press.flatness.slice(-SHOWN).toReversed();
  if (list.length === 0)
    return (
      <p className="text-soft">No earlier readings. Measure again after packing to see the improvement.</p>
    );
  return (
    <section aria-label="Read before">
      <h2 className="font-name text-lead font-semibold">Read before</h2>
      <ul>
        {list.map((c) => (
          <li key={c.id} className="border-b border-rule py-1">
            <span className="flex justify-between gap-3">
              <span>{momentText(c.at)}</span>
              <strong>
                <Q of={fineMm(unevenMm(c.points))} />
              </strong>
            </span>
            {c.packedCardMm !== null && (
              <span className="text-soft">
                then packed with card of <Q of={fineMm(c.packedCardMm)} />
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
