import { forwardRef, type ButtonHTMLAttributes } from 'react';

type Kind = 'act' | 'plain' | 'quiet' | 'night';

const KINDS: Readonly<Record<Kind, string>> = {
  act: 'bg-act text-white border-2 border-act hover:bg-act-deep hover:border-act-deep disabled:bg-rule disabled:border-rule disabled:text-ink',
  plain: 'bg-sheet text-ink border-2 border-ink hover:bg-board disabled:border-rule disabled:text-soft',
  quiet: 'bg-transparent text-ink border-2 border-transparent underline underline-offset-4 hover:bg-board',
  night: 'bg-transparent text-pale border-2 border-mist hover:bg-strata-2',
};

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly kind?: Kind;
}

export const Button = forwardRef<HTMLButtonElement, Props>(function Button(
  { kind = 'plain', className = '', type = 'button', ...rest },
  ref,
) {
  return (
    <button
      ref={ref}
      type={type}
      className={`inline-flex min-h-10 items-center justify-center gap-2 px-3 py-1.5 font-label text-base leading-none font-semibold ${KINDS[kind]} ${className}`}
      {...rest}
    />
  );
});
