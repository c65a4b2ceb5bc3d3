import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';

/**
 * Watches something in the database once it is `ready`; asked again for another `key`. Read once more beside the live query: where the first
 * reading of a live query is broken off, it says nothing, not even that it failed, until something changes.
 */
export function useQueried<T>(look: () => Promise<T>, ready: boolean, key = ''): T | undefined {
  const live = useLiveQuery(() => (ready ? look() : undefined), [ready, key]);
  const [first, setFirst] = useState<{ readonly value: T } | null>(null);
  useEffect(() => {
    if (!ready) return;
    let gone = false;
    look().then(
      (value) => {
        if (!gone) setFirst({ value });
      },
      // The live query reports what went wrong.
      () => undefined,
    );
    return () => {
      gone = true;
    };
    // `key` stands for what is looked for.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ready, key]);
  return live ?? first?.value;
}
