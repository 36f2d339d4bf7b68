import { api, answer, type Schemas } from '../../api/client';
import type { DeviceKey } from './devices';

export type WorkbenchAnswer = Schemas['Workbench'];
export type NodeView = Schemas['NodeView'];
export type PlacementView = Schemas['PlacementView'];
export type ListView = Schemas['ListView'];
export type PartView = Schemas['PartView'];
export type LadderView = Schemas['Ladder'];
export type StyleView = Schemas['StyleView'];
export type FieldView = Schemas['FieldView'];
export type FreshView = Schemas['FreshView'];
export type AroundView = Schemas['AroundView'];
export type StandingView = Schemas['StandingView'];
export type FitView = Schemas['FitView'];
/** Something that the survey finds on the page that is worked on, and by which rule. */
export type FindingHere = Schemas['FindingView'] & { rule: string };
export type Pulse = Schemas['Pulse'];
export type ClipView = Schemas['ClipView'];
export type Guessed = Schemas['Guessed'];
export type TieView = Schemas['TieView'];
export type EditRequest = Schemas['EditRequest'];
export type AskedEdit = Schemas['AskedEdit'];
/** The edits of some types. */
export type Asked<Type extends AskedEdit['type']> = Extract<AskedEdit, { type: Type }>;
export type Setting = Schemas['Setting'];

/** One thing that stands straight on the page. */
export type Block = { id: string; html: string; nodes: readonly NodeView[] };

/** A document on the workbench, whole. */
export type WorkbenchView = Omit<WorkbenchAnswer, 'css' | 'blocks' | 'fresh' | 'around'> & {
  css: string;
  blocks: readonly Block[];
  fresh: readonly FreshView[];
  around: AroundView;
};

const nothing: AroundView = {
  before: '<main><div class="own">',
  after: '</div></main>',
  parts: [],
};

/** An answer put together with what was there before; blocks that did not change stay the same objects. */
export function merged(before: WorkbenchView | undefined, now: WorkbenchAnswer): WorkbenchView {
  const had = new Map(before?.blocks.map((block) => [block.id, block]));
  return {
    ...now,
    css: now.css ?? before?.css ?? '',
    fresh: now.fresh ?? before?.fresh ?? [],
    around: now.around ?? before?.around ?? nothing,
    blocks: now.blocks.flatMap((block) => {
      if (typeof block.html === 'string' && Array.isArray(block.nodes)) {
        return { id: block.id, html: block.html, nodes: block.nodes };
      }
      return had.get(block.id) ?? [];
    }),
  };
}

type Turn = Schemas['TurnRequest'];
type Words = Record<string, Record<string, number[]>>;
export type FitAsked = { nodes: string[]; screens: Record<string, number[]>; words: Words };
type Here = { tab: string; node: string; leaving: boolean };

/** Where a workbench's document comes from: a page, or a piece in a client's look. */
export type Source = {
  key: readonly string[];
  load: () => Promise<WorkbenchAnswer>;
  ladder: (nodes: readonly string[], device: DeviceKey, state: string) => Promise<LadderView>;
  edit: (edit: EditRequest) => Promise<WorkbenchAnswer>;
  /** What an edit would come to; nothing is kept. */
  tried: (edit: EditRequest) => Promise<WorkbenchAnswer>;
  undo: (turn: Turn) => Promise<WorkbenchAnswer>;
  redo: (turn: Turn) => Promise<WorkbenchAnswer>;
  /** Leaving is told even while the tab closes. */
  here: (here: Here) => Promise<Pulse>;
  fit: (asked: FitAsked) => Promise<FitView[]>;
  clip: (nodes: readonly string[]) => Promise<ClipView>;
  /** What is guessed of a thing that might be kept as a piece. */
  guess: (node: string) => Promise<Guessed>;
  /** The pieces that a copy could be tied to, those that fit best first. */
  ties: (node: string) => Promise<TieView[]>;
};

export function pageSource(id: string): Source {
  const path = { id };
  return {
    key: ['workbench', 'page', id],
    load: () => answer(api.GET('/api/pages/{id}/workbench', { params: { path } })),
    ladder: (nodes, device, state) =>
      answer(
        api.GET('/api/pages/{id}/ladder', {
          params: { path, query: { node: [...nodes], device, state } },
        }),
      ),
    edit: (body) => answer(api.POST('/api/pages/{id}/edits', { params: { path }, body })),
    tried: (body) => answer(api.POST('/api/pages/{id}/tried', { params: { path }, body })),
    undo: (body) => answer(api.POST('/api/pages/{id}/undo', { params: { path }, body })),
    redo: (body) => answer(api.POST('/api/pages/{id}/redo', { params: { path }, body })),
    here: (body) =>
      answer(api.POST('/api/pages/{id}/here', { params: { path }, body, keepalive: body.leaving })),
    fit: (body) => answer(api.POST('/api/pages/{id}/fit', { params: { path }, body })),
    clip: (nodes) =>
      answer(api.GET('/api/pages/{id}/clip', { params: { path, query: { node: [...nodes] } } })),
    guess: (node) =>
      answer(api.GET('/api/pages/{id}/guess', { params: { path, query: { node } } })),
    ties: (node) => answer(api.GET('/api/pages/{id}/ties', { params: { path, query: { node } } })),
  };
}

/** The variant is empty for the piece itself. */
export function pieceSource(id: string, site: string, variant = ''): Source {
  const path = { id };
  const query = variant === '' ? { site } : { site, variant };
  return {
    key: ['workbench', 'piece', id, site, ...(variant === '' ? [] : [variant])],
    load: () => answer(api.GET('/api/pieces/{id}/workbench', { params: { path, query } })),
    ladder: (nodes, device, state) =>
      answer(
        api.GET('/api/pieces/{id}/ladder', {
          params: { path, query: { ...query, node: [...nodes], device, state } },
        }),
      ),
    edit: (body) => answer(api.POST('/api/pieces/{id}/edits', { params: { path, query }, body })),
    tried: (body) => answer(api.POST('/api/pieces/{id}/tried', { params: { path, query }, body })),
    undo: (body) => answer(api.POST('/api/pieces/{id}/undo', { params: { path, query }, body })),
    redo: (body) => answer(api.POST('/api/pieces/{id}/redo', { params: { path, query }, body })),
    here: (body) =>
      answer(
        api.POST('/api/pieces/{id}/here', {
          params: { path, query },
          body,
          keepalive: body.leaving,
        }),
      ),
    fit: (body) => answer(api.POST('/api/pieces/{id}/fit', { params: { path, query }, body })),
    clip: (nodes) =>
      answer(
        api.GET('/api/pieces/{id}/clip', {
          params: { path, query: { ...query, node: [...nodes] } },
        }),
      ),
    guess: (node) =>
      answer(api.GET('/api/pieces/{id}/guess', { params: { path, query: { ...query, node } } })),
    ties: (node) =>
      answer(api.GET('/api/pieces/{id}/ties', { params: { path, query: { ...query, node } } })),
  };
}
