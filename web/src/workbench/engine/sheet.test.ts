// @vitest-environment jsdom
import { beforeEach, expect, it } from 'vitest';
import { bringSheetUp, sheetHtml } from './sheet';

const places = '<style>.section:empty{}</style>';
const before = ':root{--a:1px}\n.g1{color:red}\n.g3{color:blue}\n';

beforeEach(() => {
  document.head.innerHTML = sheetHtml(before) + places;
});

function lines(): (string | null)[] {
  return [...document.head.querySelectorAll('style')].map((style) => style.textContent);
}

it('has one style element for each line, and none for empty ones', () => {
  expect(lines()).toEqual([
    ':root{--a:1px}',
    '.g1{color:red}',
    '.g3{color:blue}',
    '.section:empty{}',
  ]);
});

it('touches no line that stays, so that the browser resolves nothing anew', () => {
  const [, one, three, rest] = document.head.querySelectorAll('style');
  bringSheetUp(document, ':root{--a:2px}\n.g1{color:red}\n.g2{color:green}\n.g3{color:blue}\n');
  expect(lines()).toEqual([
    ':root{--a:2px}',
    '.g1{color:red}',
    '.g2{color:green}',
    '.g3{color:blue}',
    '.section:empty{}',
  ]);
  const now = [...document.head.querySelectorAll('style')];
  expect(now[1]).toBe(one);
  expect(now[3]).toBe(three);
  expect(now[4]).toBe(rest);
});

it('takes away what is not used any more', () => {
  bringSheetUp(document, '.g3{color:blue}\n');
  expect(lines()).toEqual(['.g3{color:blue}', '.section:empty{}']);
});
