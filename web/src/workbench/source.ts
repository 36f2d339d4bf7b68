import { api, answer, type Schemas } from '../api/client';
import type { DeviceKey } from './devices';

export type WorkbenchView = Schemas['Workbench'];
export type NodeView = Schemas['NodeView'];
export type PlacementView = Schemas['PlacementView'];
export type LadderView = Schemas['Ladder'];
export type StyleView = Schemas['StyleView'];
export type FieldView = Schemas['FieldView'];
export type EditRequest = Schemas['EditRequest'];
export type EditBody = Omit<EditRequest, 'version'>;

/** Where a workbench's document comes from: a page, or a piece in a client's look. */
export type Source = {
  key: readonly string[];
  load: () => Promise<WorkbenchView>;
  ladder: (node: string, device: DeviceKey, state: string) => Promise<LadderView>;
  edit: (edit: EditRequest) => Promise<WorkbenchView>;
  undo: (version: number) => Promise<WorkbenchView>;
  redo: (version: number) => Promise<WorkbenchView>;
};

export function pageSource(id: string): Source {
  const path = { id };
  return {
    key: ['workbench', 'page', id],
    load: () => answer(api.GET('/api/pages/{id}/workbench', { params: { path } })),
    ladder: (node, device, state) =>
      answer(
        api.GET('/api/pages/{id}/ladder', { params: { path, query: { node, device, state } } }),
      ),
    edit: (body) => answer(api.POST('/api/pages/{id}/edits', { params: { path }, body })),
    undo: (version) =>
      answer(api.POST('/api/pages/{id}/undo', { params: { path }, body: { version } })),
    redo: (version) =>
      answer(api.POST('/api/pages/{id}/redo', { params: { path }, body: { version } })),
  };
}

export function pieceSource(id: string, site: string): Source {
  const path = { id };
  const query = { site };
  return {
    key: ['workbench', 'piece', id, site],
    load: () => answer(api.GET('/api/pieces/{id}/workbench', { params: { path, query } })),
    ladder: (node, device, state) =>
      answer(
        api.GET('/api/pieces/{id}/ladder', {
          params: { path, query: { site, node, device, state } },
        }),
      ),
    edit: (body) => answer(api.POST('/api/pieces/{id}/edits', { params: { path, query }, body })),
    undo: (version) =>
      answer(api.POST('/api/pieces/{id}/undo', { params: { path, query }, body: { version } })),
    redo: (version) =>
      answer(api.POST('/api/pieces/{id}/redo', { params: { path, query }, body: { version } })),
  };
}
