// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import { useDraft } from './useDraft';

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
