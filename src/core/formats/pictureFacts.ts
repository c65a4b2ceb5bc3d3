import type { Mime } from '../job/art';

export interface PictureFacts {
  readonly mime: Mime;
  /** Stored size, before any orientation in the file is applied. */
  readonly widthPx: number;
  readonly heightPx: number;
}
