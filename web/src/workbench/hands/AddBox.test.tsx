// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { freshViews, nodeView, workbenchAnswer } from '../../testing/samples';
import { withQueries } from '../../testing/withQueries';
import { AddBox } from './AddBox';
import { Problem } from '../../api/client';
import { merged, type AskedEdit } from '../engine/source';
import { treeOf } from '../engine/tree';

const view = merged(undefined, workbenchAnswer());
const tree = treeOf(view.page, view.blocks);
const may = new Map([['page', ['section', 'text', 'row']]]);

function open(onEdit: (edit: AskedEdit) => Promise<unknown> = () => Promise.resolve(undefined)) {
  const edit = vi.fn(onEdit);
  const onClose = vi.fn();
  render(
    <AddBox
      tree={tree}
      may={may}
      fresh={freshViews}
      node={nodeView('notice', 'text', 'page')}
      at={{ x: 0, y: 0 }}
      spot={undefined}
      site="s"
      itself=""
      onEdit={edit}
      onTry={vi.fn()}
      onClose={onClose}
    />,
    { wrapper: withQueries() },
  );
  return { edit, onClose, input: screen.getByLabelText('What to add') };
}

afterEach(cleanup);

describe('adding by name', () => {
  it('finds what has all the words, in any order', () => {
    const { input } = open();
    fireEvent.change(input, { target: { value: '3 row' } });
    expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual([
      'Row of 3equal',
    ]);
    fireEvent.change(input, { target: { value: 'nothing like it' } });
    expect(screen.queryAllByRole('option')).toHaveLength(0);
    expect(screen.getByText('nothing goes by that name')).toBeTruthy();
  });

  it('puts what begins with the name before what only speaks of it', () => {
    const { input } = open();
    fireEvent.change(input, { target: { value: 'row' } });
    expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual([
      'Row of 3equal',
      'Columnone more in a row',
    ]);
  });

  it('chooses with the arrows, around the ends, and adds after the thing in hand', async () => {
    const { input, edit, onClose } = open();
    fireEvent.keyDown(input, { key: 'ArrowUp' });
    expect(screen.getByRole('option', { selected: true }).textContent).toContain('Row of 3');
    fireEvent.keyDown(input, { key: 'ArrowDown' });
    fireEvent.keyDown(input, { key: 'Enter' });
    expect(edit).toHaveBeenCalledExactlyOnceWith({
      type: 'ADD',
      node: 'page',
      before: '',
      kind: 'text',
    });
    await waitFor(() => {
      expect(onClose).toHaveBeenCalled();
    });
  });

  it('adds once, however often Enter is pressed while the server is asked', async () => {
    const { input, edit, onClose } = open(
      () => new Promise((answered) => setTimeout(answered, 20)),
    );
    fireEvent.keyDown(input, { key: 'Enter' });
    fireEvent.keyDown(input, { key: 'Enter' });
    await waitFor(() => {
      expect(onClose).toHaveBeenCalled();
    });
    expect(edit).toHaveBeenCalledTimes(1);
  });

  it('puts it beside instead, by Tab', () => {
    const { input, edit } = open();
    fireEvent.keyDown(input, { key: 'Tab' });
    expect(screen.getByText('beside “notice”')).toBeTruthy();
    fireEvent.keyDown(input, { key: 'Enter' });
    expect(edit).toHaveBeenCalledWith(
      expect.objectContaining({ type: 'ADD_BESIDE', node: 'notice' }),
    );
  });

  it('says why it was refused, and stays open with what was typed', async () => {
    const { input, onClose } = open(() =>
      Promise.resolve(new Problem(422, 'Refused', 'A row has 1 to 12 columns')),
    );
    fireEvent.change(input, { target: { value: 'row' } });
    fireEvent.keyDown(input, { key: 'Enter' });
    expect((await screen.findByRole('alert')).textContent).toBe('A row has 1 to 12 columns');
    expect((input as HTMLInputElement).value).toBe('row');
    expect(onClose).not.toHaveBeenCalled();
  });

  it('closes by Escape and by a press elsewhere', () => {
    const { input, onClose } = open();
    fireEvent.keyDown(input, { key: 'Escape' });
    fireEvent.pointerDown(input);
    expect(onClose).toHaveBeenCalledTimes(1);
    fireEvent.pointerDown(document.body);
    expect(onClose).toHaveBeenCalledTimes(2);
  });
});
