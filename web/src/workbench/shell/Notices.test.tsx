// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '../../api/client';
import { nodeView, workbenchAnswer } from '../../testing/samples';
import { History, Others, SavingState } from './BarParts';
import { Notices } from './Notices';
import { merged } from '../engine/source';
import type { Again, Saving } from '../engine/useWorkbench';

afterEach(cleanup);

function show(saving: Saving, meanwhile: readonly string[] = []) {
  const said = { onDismiss: vi.fn(), onReload: vi.fn(), onKeep: vi.fn(), onLetGo: vi.fn() };
  const view = render(<Notices saving={saving} meanwhile={meanwhile} note="" {...said} />);
  const press = (name: string) => {
    fireEvent.click(screen.getByRole('button', { name }));
  };
  return { ...said, ...view, press };
}

const mine: Again = { edit: { type: 'RENAME', node: 'map', value: 'mine' }, every: false };
const asksFirst = new Problem(409, 'The library', 'Changed since', 'urn:good-bones:asks-first');
const sameNode = new Problem(409, 'Both changed', 'Tom changed it', 'urn:good-bones:same-node');
const stale = new Problem(409, 'Changed meanwhile', 'It was changed', 'urn:good-bones:stale');
const refused = new Problem(422, 'Refused', 'A row has 1 to 12 columns');

describe('what has to be said of an edit', () => {
  it('is nothing where all is kept', () => {
    show({ state: 'saved' });
    expect(screen.queryByRole('alert')).toBeNull();
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('is the whole reason of a refusal, until it is closed; the next one is said again', () => {
    const { press, rerender, onDismiss, onReload, onKeep, onLetGo } = show({
      state: 'failed',
      problem: refused,
      again: mine,
    });
    expect(screen.getByRole('alert').textContent).toContain('A row has 1 to 12 columns');
    press('Close');
    expect(screen.queryByRole('alert')).toBeNull();
    rerender(
      <Notices
        saving={{ state: 'failed', problem: refused, again: mine }}
        meanwhile={[]}
        note=""
        onDismiss={onDismiss}
        onReload={onReload}
        onKeep={onKeep}
        onLetGo={onLetGo}
      />,
    );
    expect(screen.getByRole('alert')).toBeTruthy();
  });

  it('asks whose change holds where both changed the same, and cannot be closed before', () => {
    const { press, onKeep, onReload } = show({ state: 'failed', problem: sameNode, again: mine });
    expect(screen.queryByRole('button', { name: 'Close' })).toBeNull();
    press('Keep mine');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith(mine);
    press('Take theirs');
    expect(onReload).toHaveBeenCalledTimes(1);
  });

  it('asks first before it brings back what the library changed since', () => {
    const back: Again = { turn: 'undo' };
    const { press, onKeep, onLetGo } = show({ state: 'failed', problem: asksFirst, again: back });
    expect(screen.queryByRole('button', { name: 'Load the newest state' })).toBeNull();
    press('Bring mine back');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith(back);
    press('Leave the library’s');
    expect(onLetGo).toHaveBeenCalledExactlyOnceWith(back);
  });

  it('offers the newest state where an edit cannot be put on it', () => {
    const { press, onReload } = show({ state: 'failed', problem: stale, again: mine });
    expect(screen.queryByRole('button', { name: 'Keep mine' })).toBeNull();
    press('Load the newest state');
    expect(onReload).toHaveBeenCalledTimes(1);
  });

  it('tells what others changed meanwhile', () => {
    const { press, onDismiss } = show({ state: 'saved' }, ['tom: add row', 'tom: move row']);
    expect(screen.getByRole('status').textContent).toContain('Both kept. tom: move row');
    press('Close');
    expect(onDismiss).toHaveBeenCalledTimes(1);
  });
});

describe('the bar', () => {
  it('says whether what is seen is kept', () => {
    const { rerender } = render(<SavingState saving={{ state: 'saved' }} />);
    expect(screen.getByRole('status').textContent).toBe('Saved');
    rerender(<SavingState saving={{ state: 'saving' }} />);
    expect(screen.getByRole('status').textContent).toBe('Saving…');
    rerender(<SavingState saving={{ state: 'failed', problem: refused, again: mine }} />);
    expect(screen.getByRole('status').textContent).toBe('Not saved');
  });

  it('names who else is here, and where', () => {
    const tree = new Map([['map', { ...nodeView('map', 'section', 'page'), title: 'The map' }]]);
    const iris = { who: 'iris', node: 'map' };
    const { rerender } = render(<Others others={[]} tree={tree} />);
    expect(screen.queryByRole('status')).toBeNull();
    rerender(<Others others={[iris]} tree={tree} />);
    expect(screen.getByRole('status').textContent).toBe('Also open: iris at “The map”');
    rerender(<Others others={[{ who: 'tom', node: 'gone' }, iris]} tree={tree} />);
    expect(screen.getByRole('status').textContent).toBe('Also open: tom and 1 more');
  });

  it('undoes by name, and only what can be undone', () => {
    const undo = vi.fn();
    const redo = vi.fn();
    const view = merged(undefined, workbenchAnswer({ undo: 'add text' }));
    render(<History view={view} undo={undo} redo={redo} />);
    fireEvent.click(screen.getByRole('button', { name: 'Undo: add text' }));
    expect(undo).toHaveBeenCalledTimes(1);
    expect(screen.getByRole('button', { name: 'Redo' })).toHaveProperty('disabled', true);
  });
});
