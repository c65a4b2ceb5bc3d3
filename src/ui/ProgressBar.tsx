interface Props {
  readonly label: string;
  readonly value: number;
  readonly max: number;
  readonly className?: string;
}

/** How far something is, in the colours of the application. */
export const ProgressBar = ({ label, value, max, className = 'w-28' }: Props) => (
  <progress
    aria-label={label}
    value={value}
    max={max}
    className={`h-3.5 appearance-none border-2 border-ink bg-board [&::-moz-progress-bar]:bg-strata-3 [&::-webkit-progress-bar]:bg-board [&::-webkit-progress-value]:bg-strata-3 ${className}`}
  />
);
