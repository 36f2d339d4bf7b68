// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { escaped, linkAround, uncoloured } from './chosenWords';

/** Chooses what stands between two bars in the words. */
function chosen(html: string): { range: Range; words: Element } {
  const words = document.createElement('p');
  words.innerHTML = html;
  const range = document.createRange();
  const texts = document.createTreeWalker(words, NodeFilter.SHOW_TEXT);
  let begun = false;
  for (let text = texts.nextNode() as Text | null; text; text = texts.nextNode() as Text | null) {
    for (let at = text.data.indexOf('|'); at >= 0; at = text.data.indexOf('|')) {
      text.deleteData(at, 1);
      if (begun) range.setEnd(text, at);
      else range.setStart(text, at);
      begun = true;
    }
  }
  return { range, words };
}

describe('what a colour is laid over', () => {
  it.each([
    ['one |two| three', 'two'],
    ['<em>one |two|</em>', '<em>two</em>'],
    ['<a href="/x">one <strong>|two|</strong></a>', '<a href="/x"><strong>two</strong></a>'],
    ['|one <span data-colour="{a}">two</span>| three', 'one two'],
    ['<span data-colour="{a}">one |two|</span>', 'two'],
    ['<span data-colour="{a}"><em>|one</em> two|</span>', '<em>one</em> two'],
  ])('%s', (html, without) => {
    const { range, words } = chosen(html);
    const before = words.innerHTML;
    expect(uncoloured(range, words)).toBe(without);
    expect(words.innerHTML).toBe(before);
  });
});

describe('the link in hand', () => {
  it('is the one around what is chosen', () => {
    expect(linkAround(chosen('<a href="/x">one <em>|two|</em></a>').range)?.outerHTML).toBe(
      '<a href="/x">one <em>two</em></a>',
    );
  });

  it('is none where more than it is chosen, or nothing', () => {
    expect(linkAround(chosen('|one <a href="/x">two|</a>').range)).toBeUndefined();
    expect(linkAround(undefined)).toBeUndefined();
  });
});

describe('plain text', () => {
  it('is HTML with its lines', () => {
    expect(escaped('a < b\n& c')).toBe('a &lt; b<br>&amp; c');
  });
});
