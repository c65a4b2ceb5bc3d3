import * as z from 'zod/mini';

/** Money as written, to hundredths. */
export const moneyText = z.pipe(
  z.string(),
  z.transform((text, ctx) => {
    const clean = text.trim().replace(',', '.');
    if (!/^\d{1,5}(?:\.\d{1,2})?$/.test(clean)) {
      ctx.issues.push({ code: 'custom', message: 'Write an amount such as 0.36.', input: text });
      return z.NEVER;
    }
    return Math.round(Number(clean) * 100);
  }),
);

export const shortText = z.pipe(
  z.string().check(z.maxLength(160, 'Keep it under 160 letters.')),
  z.transform((t) => t.trim()),
);

/** A whole number as written, within a range. */
export const wholeText = (label: string, min: number, max: number) =>
  z.pipe(
    z.string(),
    z.transform((text, ctx) => {
      const n = Number(text.trim());
      if (!/^\d{1,6}$/.test(text.trim()) || n < min || n > max) {
        ctx.issues.push({
          code: 'custom',
          message: `${label}: a whole number from ${min} to ${max}.`,
          input: text,
        });
        return z.NEVER;
      }
      return n;
    }),
  );
