/** Lengths a drawing has a dimension line for. */
export type Dim =
  | 'rim'
  | 'foot'
  | 'height'
  | 'lip'
  | 'below'
  | 'handleWidth'
  | 'handleFrom'
  | 'handleHeight'
  | 'handleReach'
  | 'width'
  | 'corner';
