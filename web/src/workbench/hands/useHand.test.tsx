// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { BrowserRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { nodeView } from '../../testing/samples';
import { treeOf, type Tree } from '../engine/tree';
import { useHand } from './useHand';

const page = nodeView('page', 'page', '');
const nodes = [
  nodeView('map', 'section', 'page'),
  nodeView('title', 'heading', 'map'),
  nodeView('words', 'text', 'map'),
];
const tree = treeOf(page, [{ id: 'map', html: '', nodes }]);
const empty = treeOf(page, []);

function hand(address = '/', shown: Tree = tree) {
  window.history.replaceState(null, '', address);
  const wrapper = ({ children }: { children: ReactNode }) => (
    <BrowserRouter useTransitions={false}>{children}</BrowserRouter>
  );
  return renderHook(({ of }) => useHand(of), { wrapper, initialProps: { of: shown } });
}

function ids({ held }: ReturnType<typeof useHand>) {
  return held.map((node) => node.id);
}

describe('what is in hand', () => {
  it('is what the address says, else the first thing on the page, else the page', () => {
    expect(ids(hand('/?node=words').result.current)).toEqual(['words']);
    expect(ids(hand('/?node=gone').result.current)).toEqual(['map']);
    expect(ids(hand('/', empty).result.current)).toEqual(['page']);
  });

  it('is told at once, also before it is drawn', () => {
    const { result } = hand();
    let between = '';
    act(() => {
      result.current.pick('title');
      between = result.current.now().id;
    });
    expect(between).toBe('title');
    expect(result.current.inHand.id).toBe('title');
  });

  it('is several things, each taken and let go by itself', () => {
    const { result } = hand('/?node=title');
    act(() => {
      result.current.pick('words', true);
    });
    expect(ids(result.current)).toEqual(['title', 'words']);
    act(() => {
      result.current.pick('words', true);
    });
    expect(ids(result.current)).toEqual(['title']);
  });

  it('is one thing again when something is picked, unless it is kept in hand', () => {
    const { result } = hand('/?node=title');
    act(() => {
      result.current.pick('words', true);
    });
    act(() => {
      result.current.pick('map');
    });
    expect(ids(result.current)).toEqual(['map']);
    act(() => {
      result.current.add('map');
    });
    act(() => {
      result.current.pick('words');
    });
    expect(ids(result.current)).toEqual(['words', 'map']);
    let several = false;
    act(() => {
      several = result.current.letGo();
    });
    expect(several).toBe(true);
    expect(ids(result.current)).toEqual(['words']);
  });

  it('goes with a thing that is taken away', () => {
    const { result, rerender } = hand('/?node=words');
    rerender({ of: treeOf(page, [{ id: 'map', html: '', nodes: nodes.slice(0, 2) }]) });
    expect(ids(result.current)).toEqual(['map']);
  });
});

it('remembers the lead frame beside what is in hand', () => {
  const { result } = hand('/?node=words&lead=phone');
  expect(result.current.lead).toBe('phone');
  act(() => {
    result.current.pick('title');
    result.current.onLead('tablet');
  });
  expect(result.current.lead).toBe('tablet');
  expect(result.current.inHand.id).toBe('title');
});
