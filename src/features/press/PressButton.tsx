import type { ComponentPropsWithRef } from 'react';

const LOOK = {
  act: 'bg-act text-white',
  call: 'bg-pale text-ink',
  plain: 'border-2 border-mist text-pale hover:bg-strata-2',
} as const;

/** A button for a gloved hand: 64 px high at the least. Touched, it does not keep the focus: space stays the next step. */
export function PressButton({
  look = 'plain',
  className = '',
  onClick,
  ...rest
}: ComponentPropsWithRef<'button'> & { readonly look?: keyof typeof LOOK }) {
  return (
    <button
      type="button"
      {...rest}
      onClick={(e) => {
        if (e.detail > 0) e.currentTarget.blur();
        onClick?.(e);
      }}
      className={`min-h-16 min-w-16 px-5 font-label text-name font-semibold ${LOOK[look]} ${className}`}
    />
  );
}
