import { useEffect } from 'react';

/** The page's title in the language chosen: the server, which does not know it, sends only the product's name. */
export function usePageTitle(title: string): void {
  useEffect(() => {
    document.title = title === '' ? 'Mesa Drift' : `${title} · Mesa Drift`;
  }, [title]);
}
