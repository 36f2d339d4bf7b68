import { describe, expect, it } from 'vitest';
import { itemAround, itemNodes } from './items';
import type { ListView } from './source';

const own: ListView = {
  node: 'fares',
  own: true,
  lot: '',
  items: [
    { id: 'i1', page: '', node: 'i1/fare' },
    { id: 'i2', page: '', node: 'i2/fare' },
  ],
};
const placed: ListView = {
  node: 'p/fares',
  own: false,
  lot: '',
  items: [{ id: 'p/i1', page: '', node: 'p/i1/fare' }],
};

describe('items of lists', () => {
  it('finds the item around a node, not one that only begins alike', () => {
    expect(itemAround([own], 'i2/price')?.at).toBe(1);
    expect(itemAround([own], 'i2')).toBeUndefined();
    expect(itemAround([own], 'i22/price')).toBeUndefined();
    expect(itemAround([own, placed], 'p/i1/price')?.list).toBe(placed);
  });

  it('takes the innermost where a list stands in an item', () => {
    const inner: ListView = {
      node: 'i1/in',
      own: false,
      lot: '',
      items: [{ id: 'i1/j', page: '', node: 'i1/j/x' }],
    };
    expect(itemAround([inner, own], 'i1/j/x')?.id).toBe('i1/j');
  });

  it('knows the outermost node of every item', () => {
    expect([...itemNodes([own, placed])]).toEqual(['i1/fare', 'i2/fare', 'p/i1/fare']);
  });
});
