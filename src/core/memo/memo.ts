/** A map that keeps the newest `most` entries, used ones counting as new; what it lets go is handed to `onDrop`. */
export interface Lru<K, V> {
  readonly get: (key: K) => V | undefined;
  readonly set: (key: K, value: V) => void;
  readonly delete: (key: K) => void;
}

export function createLru<K, V>(most: number, onDrop: (value: V) => void = () => undefined): Lru<K, V> {
  const kept = new Map<K, V>();
  return {
    get: (key) => {
      const value = kept.get(key);
      if (value === undefined) return undefined;
      kept.delete(key);
      kept.set(key, value);
      return value;
    },
    set: (key, value) => {
      kept.delete(key);
      kept.set(key, value);
      for (const [oldest, dropped] of kept) {
        if (kept.size <= most) break;
        kept.delete(oldest);
        onDrop(dropped);
      }
    },
    delete: (key) => void kept.delete(key),
  };
}

/**
 * The same function, remembering its last answer: asked again for what says the same, it does not calculate it again. For pure
 * functions of plain data only.
 */
export function memoizeLast<A extends readonly unknown[], R>(f: (...args: A) => R): (...args: A) => R {
  let key: string | null = null;
  let answer: R;
  return (...args) => {
    const asked = JSON.stringify(args);
    if (asked !== key) {
      answer = f(...args);
      key = asked;
    }
    return answer;
  };
}
