/** The first element of some HTML, not standing anywhere yet; null if there is none. */
export function fragmentOf(doc: Document, html: string): Element | null {
  const template = doc.createElement('template');
  template.innerHTML = html;
  return template.content.firstElementChild;
}
