import type { NamedPiece } from '../../art/names';
import type { ArtBoard, PlacedLayer } from '../../art/placedLayers';
import type { Art } from '../../job/art';
import type { SheetLayout } from '../../sheet/layout';
import type { PageLabel } from '../../sheet/pages';
import type { Pattern } from '../../wrap/pattern';
import type { PanelPlan } from './panels';

/** What the pieces of one job on the sheets are drawn with. */
export interface JobOnSheet {
  readonly art: Art;
  readonly pattern: Pattern;
  readonly board: ArtBoard;
  /** Pieces of the names list; none where all are alike. */
  readonly pieces: readonly NamedPiece[];
  /** The layers of its first piece. */
  readonly placedLayers: readonly PlacedLayer[];
}

/** Everything that sheets are drawn from. */
export interface ToDraw {
  readonly layout: SheetLayout;
  /** In the order of the layout’s parts; the first may be cut into panels. */
  readonly jobs: readonly JobOnSheet[];
  readonly panels: PanelPlan | null;
  readonly label: PageLabel;
}
