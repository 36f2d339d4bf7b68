// @vitest-environment jsdom
import { act, renderHook, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '../../api/client';
import { workbenchAnswer } from '../../testing/samples';
import { withQueries } from '../../testing/withQueries';
import type { EditRequest, Source, WorkbenchAnswer } from './source';
import { useWorkbench } from './useWorkbench';

/** A request that the test answers when it likes. */
type Held = {
  request: EditRequest;
  give: (answer: WorkbenchAnswer) => void;
  refuse: (problem: unknown) => void;
};

let held: Held[];
let source: Source;
beforeEach(() => {
  held = [];
  source = {
    key: ['workbench', 'page', 'page'],
    load: vi.fn(() => Promise.resolve(workbenchAnswer())),
    edit: (request: EditRequest) =>
      new Promise<WorkbenchAnswer>((give, refuse) => {
        held.push({ request, give, refuse });
      }),
    undo: vi.fn(() => Promise.resolve(workbenchAnswer({ version: 9, made: ['back'] }))),
    redo: vi.fn(() => Promise.reject(new Error('down'))),
  } as unknown as Source;
});

async function bench() {
  const { result } = renderHook(() => useWorkbench(source), { wrapper: withQueries() });
  await waitFor(() => {
    expect(result.current.view).toBeDefined();
  });
  return result;
}

/** The workbench of a page that was worked on before, and is at another version by now. */
function visitedAgain() {
  const wrapper = withQueries();
  const first = renderHook(() => useWorkbench(source), { wrapper });
  return { first, wrapper };
}

const rename = (value: string) => ({ type: 'RENAME' as const, node: 'notice', value });

describe('edits', () => {
  it('wait until what is known from an earlier visit is as it is now', async () => {
    const { first, wrapper } = visitedAgain();
    await waitFor(() => {
      expect(first.result.current.view?.version).toBe(1);
    });
    first.unmount();
    source.load = vi.fn(() => Promise.resolve(workbenchAnswer({ version: 4, drawing: 'd4' })));
    const { result } = renderHook(() => useWorkbench(source), { wrapper });
    expect(result.current.view?.version).toBe(1);
    act(() => {
      void result.current.edit(rename('one'));
    });
    await waitFor(() => {
      expect(held).toHaveLength(1);
    });
    expect(held[0]?.request).toMatchObject({ version: 4, drawing: 'd4' });
  });

  it('are made one after the other, each on the version and the drawing that the one before gave', async () => {
    const result = await bench();
    let second: Promise<Problem | undefined> | undefined;
    act(() => {
      void result.current.edit(rename('one'));
      second = result.current.edit(rename('two'));
    });
    await waitFor(() => {
      expect(held).toHaveLength(1);
    });
    expect(held[0]?.request).toMatchObject({ edit: { value: 'one' }, version: 1, drawing: 'd1' });
    expect(result.current.saving.state).toBe('saving');
    expect(result.current.idle()).toBe(false);
    await act(async () => {
      held[0]?.give(workbenchAnswer({ version: 2, drawing: 'd2', title: 'one' }));
      await Promise.resolve();
    });
    await waitFor(() => {
      expect(held).toHaveLength(2);
    });
    expect(held[1]?.request).toMatchObject({ edit: { value: 'two' }, version: 2, drawing: 'd2' });
    await act(async () => {
      held[1]?.give(workbenchAnswer({ version: 3, drawing: 'd3', made: ['new'] }));
      expect(await second).toBeUndefined();
    });
    expect(result.current.saving.state).toBe('saved');
    expect(result.current.idle()).toBe(true);
    expect(result.current.made().made).toEqual(['new']);
  });

  it('that are refused are said, keep what is there, and can be made again', async () => {
    const result = await bench();
    const problem = new Problem(409, 'Changed', 'Tom changed it', 'urn:good-bones:same-node');
    await act(async () => {
      const edit = result.current.edit(rename('one'));
      await vi.waitFor(() => {
        expect(held).toHaveLength(1);
      });
      held[0]?.refuse(problem);
      expect(await edit).toBe(problem);
    });
    expect(result.current.saving).toEqual({
      state: 'failed',
      problem,
      again: { edit: rename('one'), every: false },
    });
    expect(result.current.view?.version).toBe(1);
    expect(problem.sameNode).toBe(true);
  });

  it('are made over another’s change when it is said so, and that counts as settled', async () => {
    const result = await bench();
    await act(async () => {
      const kept = result.current.keep({ edit: rename('mine'), every: false });
      await vi.waitFor(() => {
        expect(held).toHaveLength(1);
      });
      held[0]?.give(workbenchAnswer({ version: 3 }));
      await kept;
    });
    expect(held[0]?.request).toMatchObject({ edit: { value: 'mine' }, over: true });
    expect(result.current.typing.settled).toBe(1);
    await act(() => result.current.reload());
    expect(result.current.typing.settled).toBe(2);
  });

  it('go on after one was refused', async () => {
    const result = await bench();
    await act(async () => {
      const first = result.current.edit(rename('one'));
      const second = result.current.edit(rename('two'));
      await vi.waitFor(() => {
        expect(held).toHaveLength(1);
      });
      held[0]?.refuse(new TypeError('no network'));
      expect(await first).toMatchObject({ title: 'Not saved' });
      await vi.waitFor(() => {
        expect(held).toHaveLength(2);
      });
      held[1]?.give(workbenchAnswer({ version: 2, merged: ['tom: move row'] }));
      expect(await second).toBeUndefined();
    });
    expect(result.current.meanwhile).toEqual(['tom: move row']);
    act(() => {
      result.current.dismiss();
    });
    expect(result.current.meanwhile).toEqual([]);
  });
});

it('undoes on what is there, and says when that fails', async () => {
  const result = await bench();
  await act(async () => {
    expect(await result.current.undo()).toBeUndefined();
  });
  expect(source.undo).toHaveBeenCalledWith(expect.objectContaining({ version: 1, drawing: 'd1' }));
  expect(result.current.view?.version).toBe(9);
  expect(result.current.made().made).toEqual(['back']);
  await act(async () => {
    expect(await result.current.redo()).toBeInstanceOf(Problem);
  });
  expect(result.current.saving.state).toBe('failed');
});

it('fetches what others saved only if it is newer and nothing of one’s own is on its way', async () => {
  const result = await bench();
  await act(() => result.current.catchUp(1, 0));
  expect(source.load).toHaveBeenCalledTimes(1);
  act(() => {
    void result.current.edit(rename('one'));
  });
  await act(() => result.current.catchUp(5, 0));
  expect(source.load).toHaveBeenCalledTimes(1);
  await waitFor(() => {
    expect(held).toHaveLength(1);
  });
  await act(async () => {
    held[0]?.give(workbenchAnswer({ version: 2 }));
    await Promise.resolve();
  });
  await waitFor(() => {
    expect(result.current.idle()).toBe(true);
  });
  await act(() => result.current.catchUp(5, 0));
  expect(source.load).toHaveBeenCalledTimes(2);
});

it('holds back what others saved while something is being typed, also what was asked for before', async () => {
  const result = await bench();
  const release = result.current.typing.hold();
  await act(() => result.current.catchUp(5, 0));
  expect(source.load).toHaveBeenCalledTimes(1);
  release();
  let arrive: (answer: WorkbenchAnswer) => void = () => undefined;
  vi.mocked(source.load).mockImplementation(() => new Promise((give) => (arrive = give)));
  const caughtUp = result.current.catchUp(5, 0);
  await waitFor(() => {
    expect(source.load).toHaveBeenCalledTimes(2);
  });
  await act(async () => {
    result.current.typing.hold();
    arrive(workbenchAnswer({ version: 5 }));
    await caughtUp;
  });
  expect(result.current.view?.version).toBe(1);
});
