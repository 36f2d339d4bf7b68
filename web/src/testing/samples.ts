import type { FreshView, NodeView, WorkbenchAnswer } from '../workbench/engine/source';

/** A node as a workbench is told of it, for tests. */
export function nodeView(id: string, kind: string, parent: string): NodeView {
  return {
    id,
    kind,
    parent,
    name: '',
    title: id,
    placement: '',
    percent: [],
    locals: 0,
    hiddenOn: [],
  };
}

/** What can be added, for tests. */
export const freshViews: readonly FreshView[] = [
  { title: 'Text', kind: 'text', value: '', count: 0, html: '<p></p>' },
  { title: 'Column', kind: 'column', value: '', count: 0, html: '<div></div>' },
  { title: 'Row of 3', kind: 'row', value: 'equal', count: 3, html: '<div></div>' },
];

/** A page with one notice on it, as a workbench is told of it by one who has its style sheet, for tests. */
export function workbenchAnswer(more: Partial<WorkbenchAnswer> = {}): WorkbenchAnswer {
  return {
    id: 'page',
    title: 'Plots',
    siteId: 's',
    siteName: 'S',
    language: 'en',
    version: 1,
    stamp: 0,
    undo: '',
    redo: '',
    drawing: 'd1',
    open: '<body>',
    page: nodeView('page', 'page', ''),
    blocks: [{ id: 'notice', html: '<p></p>', nodes: [nodeView('notice', 'text', 'page')] }],
    placements: [],
    lists: [],
    parts: [],
    merged: [],
    made: [],
    standIns: [],
    unfit: [],
    note: '',
    ...more,
  };
}
