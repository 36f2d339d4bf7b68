import type { AroundView, Block } from './source';

/** What a frame draws: the same HTML and CSS that is published, with node ids. */
export type Drawing = {
  language: string;
  css: string;
  open: string;
  blocks: readonly Block[];
  /** What stands around the content of the page. */
  around: AroundView;
};

/** A drawn document: where things stand in it, in px of its own viewport. */
export type Canvas = {
  doc: Document;
  element: (node: string) => HTMLElement | null;
  /** Notes that the block of an element no longer stands as it was drawn. */
  stray: (element: Element) => void;
  /** Draws what strayed as it was. */
  putBack: () => void;
};
