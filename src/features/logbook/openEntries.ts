import type { LogQuery } from '@/core/log/rows';

/** Opens the entries behind what a chart shows. */
export type Open = (next: Partial<LogQuery>) => void;
