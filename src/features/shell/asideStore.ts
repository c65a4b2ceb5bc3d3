import { useEffect } from 'react';
import { create } from 'zustand';
import type { SetAside } from '@/data/setAside';

/** What was found unreadable in tables that only some pages read. */
const useFoundAside = create<Readonly<Record<string, readonly SetAside[]>>>()(() => ({}));

/** Looks through the tables a page has just read, once, and says what cannot be read there. */
export function useAsideOf(of: string, look: () => Promise<readonly SetAside[]>, ready = true): void {
  useEffect(() => {
    if (!ready || of in useFoundAside.getState()) return;
    void look().then(
      (aside) => useFoundAside.setState({ [of]: aside }),
      () => undefined,
    );
  }, [of, look, ready]);
}

/** Forgets what was found, so that it is looked for again. */
export const forgetAside = (): void => useFoundAside.setState({}, true);

export const useSetAside = (): readonly SetAside[] => Object.values(useFoundAside((s) => s)).flat();
