import type { Mime } from '../job/art';

export interface PictureFacts {
  readonly mime: Mime;
  /** Stored size, before any orientation in the file is applied. */
  readonly widthPx: number;
  readonly heightPx: number;
  /** Resolution the file says; absent where it says none, or one that cannot be meant. */
  readonly ppi?: number;
}

/** Resolutions outside this are not meant, pixels to the inch. */
const MEANT_PPI = [20, 5000] as const;

/** A resolution as a file says it, as a field of its facts: to a hundredth, since files keep whole pixels to the metre or centimetre. */
export const ppiFact = (ppi: number | null): { readonly ppi?: number } =>
  ppi !== null && ppi >= MEANT_PPI[0] && ppi <= MEANT_PPI[1] ? { ppi: Math.round(ppi * 100) / 100 } : {};
