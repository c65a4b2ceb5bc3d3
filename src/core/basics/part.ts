/** A part of the program that could not be fetched, and how to try it again. */
interface Missing {
  readonly tryAgain: () => void;
}

let missing: readonly Missing[] = [];
const listeners = new Set<() => void>();

function put(next: readonly Missing[]): void {
  missing = next;
  listeners.forEach((f) => f());
}

/**
 * Fetches a part of the program when it is first wanted. Where it cannot be fetched (the connection is gone, the server holds a newer version)
 * the page reports it, and the caller continues as soon as another attempt succeeds.
 */
export async function part<M>(fetchIt: () => Promise<M>): Promise<M> {
  for (;;)
    try {
      return await fetchIt();
    } catch {
      await new Promise<void>((resolve) => {
        const mine: Missing = {
          tryAgain: () => {
            put(missing.filter((m) => m !== mine));
            resolve();
          },
        };
        put([...missing, mine]);
      });
    }
}

export const subscribeToMissingParts = (f: () => void): (() => void) => {
  listeners.add(f);
  return () => listeners.delete(f);
};

export const isPartMissing = (): boolean => missing.length > 0;

export const tryPartsAgain = (): void => missing.forEach((m) => m.tryAgain());
