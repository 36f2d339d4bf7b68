export type Level =
  'page' | 'section' | 'row' | 'column' | 'box' | 'placement' | 'item' | 'element';

/** The level that a kind of node stands on. */
export function levelOf(kind: string): Level {
  return kind === 'page' ||
    kind === 'section' ||
    kind === 'row' ||
    kind === 'column' ||
    kind === 'box' ||
    kind === 'placement' ||
    kind === 'item'
    ? kind
    : 'element';
}

/** Whether other things stand in it. */
export function holdsOthers(kind: string): boolean {
  return levelOf(kind) !== 'element' && kind !== 'placement' && kind !== 'item';
}

/** The same line in the outline, on the ladder's rungs and on the canvas. */
export const lineClass: Record<Level, string> = {
  page: 'line-page',
  section: 'line-section',
  row: 'line-row',
  column: 'line-column',
  box: 'line-box',
  placement: 'line-placement',
  item: 'line-item',
  element: 'line-element',
};

/** Dashes of the frame around a node on the canvas, in px of the screen; width 0 draws nothing. */
export const stroke: Record<Level, { width: number; dash: string }> = {
  page: { width: 0, dash: '' },
  section: { width: 4, dash: '' },
  row: { width: 2, dash: '14 4 2 4' },
  column: { width: 2, dash: '7 5' },
  box: { width: 2, dash: '2 4' },
  placement: { width: 1, dash: '' },
  item: { width: 1.5, dash: '10 3 2 3 2 3' },
  element: { width: 1.5, dash: '' },
};
