import { useEffect, useState, type RefObject } from 'react';

/** How wide and high an element is, px; 0 until it is there. */
export function useSize(of: RefObject<HTMLElement | null>): {
  readonly width: number;
  readonly height: number;
} {
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const el = of.current;
    if (!el) return;
    const watch = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    watch.observe(el);
    return () => watch.disconnect();
  }, [of]);
  return size;
}
