// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { BrowserRouter } from 'react-router';
import { expect, it } from 'vitest';
import { useAddress } from './useAddress';

const wrapper = ({ children }: { children: ReactNode }) => (
  <BrowserRouter useTransitions={false}>{children}</BrowserRouter>
);

it('keeps what is said one after the other before it is drawn, and takes out what is empty', () => {
  window.history.replaceState(null, '', '/library?kind=header&words=hours');
  const { result } = renderHook(() => useAddress(), { wrapper });
  act(() => {
    result.current.set({ kind: '' });
    result.current.set({ words: '', look: 'tern-valley' });
    result.current.set({ size: 'looking' });
  });
  expect(result.current.params.toString()).toBe('look=tern-valley&size=looking');
  expect(window.location.search).toBe('?look=tern-valley&size=looking');
});
