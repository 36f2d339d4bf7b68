import type { AroundView } from './source';

type Around = readonly AroundView[];

function of(around: Around, region: string): string {
  return around
    .filter((part) => part.region === region)
    .map((part) => `<div class="around" data-part="${part.part}">${part.html}</div>`)
    .join('');
}

function wrapped(tag: string, html: string): string {
  return html === '' ? '' : `<${tag} class="around">${html}</${tag}>`;
}

/** The inside of a body: the content of a page with what stands around it, as it is published. */
export function bodyOf(around: Around, content: string): string {
  const header = of(around, 'header');
  const side = of(around, 'side');
  const main = `<main>${of(around, 'band-above')}${content}${of(around, 'band-below')}</main>`;
  const tag = header === '' ? 'header' : 'aside';
  return (
    wrapped('header', header) +
    (side === '' ? main : `<div class="beside">${wrapped(tag, side)}${main}</div>`) +
    wrapped('footer', of(around, 'footer'))
  );
}

/** The shared part in which an element stands; empty if it is the page's own. */
export function partOf(element: Element | null): string {
  return element?.closest('[data-part]')?.getAttribute('data-part') ?? '';
}
