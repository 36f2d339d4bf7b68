import { describe, expect, it } from 'vitest';
import { byTitle, lots, stepped, toggled, withLot } from './shownPages';

const pages = [
  { id: 'home', title: 'Home', kind: 'home', parent: '' },
  { id: 'services', title: 'Services', kind: 'services', parent: '' },
  { id: 'a', title: 'A', kind: 'service', parent: 'services' },
  { id: 'b', title: 'B', kind: 'service', parent: 'services' },
  { id: 'c', title: 'C', kind: 'page', parent: 'a' },
];
const kinds = [
  { word: 'page', title: 'Page' },
  { word: 'home', title: 'Home' },
  { word: 'services', title: 'Services' },
  { word: 'service', title: 'One service' },
];

describe('the pages of a list', () => {
  it('are chosen by kind and by what they are filed under, where that is more than one', () => {
    expect(lots(pages, kinds)).toEqual([
      { link: 'role:service', title: 'of the kind one service', pages: ['a', 'b'] },
      { link: 'page:services', title: 'under Services', pages: ['a', 'b'] },
    ]);
  });

  it('are added at the end and taken out again', () => {
    expect(toggled(['a'], 'b')).toEqual(['a', 'b']);
    expect(toggled(['a', 'b'], 'a')).toEqual(['b']);
    expect(withLot(['c', 'b'], { pages: ['a', 'b'] })).toEqual(['c', 'b', 'a']);
  });

  it('are put in the order of their titles', () => {
    expect(byTitle(['c', 'services', 'a'], pages)).toEqual(['a', 'c', 'services']);
  });

  it('go one place up or down, and stay at the ends', () => {
    expect(stepped(['a', 'b', 'c'], 'c', -1)).toEqual(['a', 'c', 'b']);
    expect(stepped(['a', 'b', 'c'], 'a', 1)).toEqual(['b', 'a', 'c']);
    expect(stepped(['a', 'b'], 'a', -1)).toEqual(['a', 'b']);
    expect(stepped(['a', 'b'], 'b', 1)).toEqual(['a', 'b']);
    expect(stepped(['a', 'b'], 'z', 1)).toEqual(['a', 'b']);
  });
});
