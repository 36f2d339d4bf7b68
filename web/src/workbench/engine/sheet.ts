import { putInOrder } from './order';

/**
 * A drawing's style sheet, one style element for each of its lines. A browser that is given a whole
 * sheet anew resolves every element's styles again; a rule more or less costs next to nothing.
 */
function linesOf(css: string): readonly string[] {
  return css.split('\n').filter((line) => line !== '');
}

/** The sheet as the head of a document has it. */
export function sheetHtml(css: string): string {
  return linesOf(css)
    .map((line) => `<style data-line>${line}</style>`)
    .join('');
}

/** Brings a document's sheet up to what it is now; lines that stay are not touched. */
export function bringSheetUp(doc: Document, css: string) {
  const head = [...doc.head.children];
  const known = new Map(
    head.filter((style) => style.matches('[data-line]')).map((style) => [style.textContent, style]),
  );
  const styles = linesOf(css).map((line) => known.get(line) ?? styleOf(doc, line));
  const rest = head.filter((element) => !element.matches('[data-line]'));
  putInOrder(doc.head, [...styles, ...rest]);
}

function styleOf(doc: Document, line: string): Element {
  const style = doc.createElement('style');
  style.dataset.line = '';
  style.textContent = line;
  return style;
}
