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

/**
 * The same function, remembering its last answer while every input is the very same value: what did not change is not made again, and keeps
 * its identity. For pure functions of immutable inputs.
 */
export function memoizeOne<I extends object, R>(f: (inputs: I) => R): (inputs: I) => R {
  let last: { readonly inputs: I; readonly answer: R } | null = null;
  return (inputs) => {
    if (!last || !sameInputs(last.inputs, inputs)) last = { inputs, answer: f(inputs) };
    return last.answer;
  };
}

function sameInputs<I extends object>(a: I, b: I): boolean {
  const keys = Object.keys(a) as (keyof I)[];
  return keys.length === Object.keys(b).length && keys.every((k) => Object.is(a[k], b[k]));
}
