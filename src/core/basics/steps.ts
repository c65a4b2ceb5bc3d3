/** A calculation that can be left between its steps, and what it comes to. */
export type Steps<T> = Generator<void, T, void>;

/** Goes through all steps at once. */
export function finish<T>(steps: Steps<T>): T {
  for (;;) {
    const at = steps.next();
    if (at.done) return at.value;
  }
}
