/** Plain text as HTML, its lines kept. */
export function escaped(text: string): string {
  const holder = document.createElement('div');
  holder.textContent = text;
  return holder.innerHTML.replace(/\n/g, '<br>');
}

/** The link that the caret or the chosen words stand in. */
export function linkAround(range: Range | undefined): Element | undefined {
  return (range && elementOf(range.commonAncestorContainer)?.closest('a[href]')) ?? undefined;
}

/** All links that the caret or the chosen words stand in or touch. */
export function linksIn(range: Range | undefined): Element[] {
  if (!range) return [];
  const around = linkAround(range);
  if (around) return [around];
  const links = elementOf(range.commonAncestorContainer)?.querySelectorAll('a[href]') ?? [];
  return [...links].filter((link) => range.intersectsNode(link));
}

/** The element that something of a document is or stands in. */
export function elementOf(node: Node): Element | null {
  return node.nodeType === Node.ELEMENT_NODE ? (node as Element) : node.parentElement;
}

/** What a range holds, with the marks around it, but in no colour of its own. */
export function uncoloured(range: Range, words: Element): string {
  const holder = words.ownerDocument.createElement('div');
  holder.append(range.cloneContents());
  let around = elementOf(range.commonAncestorContainer);
  while (around && around !== words) {
    if (around.matches('a, b, strong, i, em')) {
      const mark = around.cloneNode() as Element;
      mark.append(...holder.childNodes);
      holder.append(mark);
    }
    around = around.parentElement;
  }
  for (const painted of holder.querySelectorAll('[data-colour]')) {
    painted.replaceWith(...painted.childNodes);
  }
  return holder.innerHTML;
}
