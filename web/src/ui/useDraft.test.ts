// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import { createElement, type ReactNode } from 'react';
import { Typing, useDraft } from './useDraft';

function draft(save: (typed: string) => Promise<Problem | undefined>) {
  return renderHook(({ value }) => useDraft(value, save), { initialProps: { value: '8px' } });
}

it('shows what is typed until it is saved, and then the document’s', async () => {
  const save = vi.fn(() => Promise.resolve(undefined));
  const { result, rerender } = draft(save);
  act(() => {
    result.current.typed('12px');
  });
  expect(result.current).toMatchObject({ text: '12px', dirty: true });
  await act(() => result.current.leave());
  expect(save).toHaveBeenCalledExactlyOnceWith('12px');
  rerender({ value: '12px' });
  expect(result.current).toMatchObject({ text: '12px', dirty: false });
});

it('saves nothing where nothing changed', async () => {
  const save = vi.fn(() => Promise.resolve(undefined));
  const { result } = draft(save);
  act(() => {
    result.current.typed('8px');
  });
  await act(() => result.current.leave());
  expect(save).not.toHaveBeenCalled();
  expect(result.current.dirty).toBe(false);
});

it('keeps what was refused, tries it again only when asked, and lets go of it', async () => {
  const problem = new Problem(422, 'Refused', 'There is no token “nope”');
  const save = vi.fn(() => Promise.resolve(problem));
  const { result, rerender } = draft(save);
  act(() => {
    result.current.typed('{nope}');
  });
  await act(() => result.current.leave());
  await act(() => result.current.leave());
  expect(save).toHaveBeenCalledTimes(1);
  rerender({ value: '9px' });
  expect(result.current).toMatchObject({ text: '{nope}', problem });
  await act(() => result.current.commit());
  expect(save).toHaveBeenCalledTimes(2);
  act(() => {
    result.current.drop();
  });
  expect(result.current).toMatchObject({ text: '9px', dirty: false, problem: undefined });
});

it('gives way when it was decided whose change holds, but only if another’s stood against it', async () => {
  for (const status of [409, 422]) {
    let times = 0;
    const hold = () => () => undefined;
    const problem = new Problem(status, 'Both changed the same', 'Tom changed it meanwhile');
    const wrapper = ({ children }: { children: ReactNode }) =>
      createElement(Typing, { value: { settled: times, hold } }, children);
    const { result, rerender } = renderHook(() => useDraft('8px', () => Promise.resolve(problem)), {
      wrapper,
    });
    act(() => {
      result.current.typed('12px');
    });
    await act(() => result.current.leave());
    expect(result.current.text).toBe('12px');
    times += 1;
    rerender();
    expect(result.current.text).toBe(status === 409 ? '8px' : '12px');
  }
});

it('holds back what others save from the first letter until it is saved or given up', async () => {
  let held = 0;
  const hold = () => {
    held += 1;
    return () => {
      held -= 1;
    };
  };
  const wrapper = ({ children }: { children: ReactNode }) =>
    createElement(Typing, { value: { settled: 0, hold } }, children);
  const save = vi.fn(() => Promise.resolve(undefined));
  const { result, unmount } = renderHook(() => useDraft('8px', save), { wrapper });
  expect(held).toBe(0);
  act(() => {
    result.current.typed('12px');
  });
  act(() => {
    result.current.typed('120px');
  });
  expect(held).toBe(1);
  await act(() => result.current.leave());
  expect(held).toBe(0);
  act(() => {
    result.current.typed('9px');
  });
  act(() => {
    result.current.drop();
  });
  expect(held).toBe(0);
  act(() => {
    result.current.typed('9px');
  });
  unmount();
  expect(held).toBe(0);
});
