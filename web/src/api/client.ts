import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];

/** An error as the server tells it (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly type = '',
  ) {
    super(detail);
  }

  /** Whether somebody else changed the document meanwhile. */
  get stale(): boolean {
    return this.status === 409 && !this.asksFirst;
  }

  /** Whether something would be brought back that the library changed since. */
  get asksFirst(): boolean {
    return this.type.endsWith(':asks-first');
  }

  /** Whether somebody else changed the very same thing, so that one of the two must give way. */
  get sameNode(): boolean {
    return this.type.endsWith(':same-node');
  }
}

function csrfToken(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '';
}

const client = createClient<paths>({ baseUrl: '' });
client.use({
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-XSRF-TOKEN', csrfToken());
    return request;
  },
});

export const api = client;

function problemOf(response: Response, error: unknown): Problem {
  const body = (error ?? {}) as { title?: string; detail?: string; type?: string };
  return new Problem(
    response.status,
    body.title ?? 'Something went wrong',
    body.detail ?? `The server answered ${response.status}. Nothing was changed; try again.`,
    body.type ?? '',
  );
}

/** The data of an answer; throws a Problem that says what went wrong. */
export async function answer<T>(
  request: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  let result;
  try {
    result = await request;
  } catch {
    throw new Problem(
      0,
      'No connection',
      'The server cannot be reached. What you typed is kept here; try again.',
    );
  }
  if (result.data === undefined || !result.response.ok) {
    throw problemOf(result.response, result.error);
  }
  return result.data;
}

/** For requests that are answered without data; throws a Problem that says what went wrong. */
export async function done(
  request: Promise<{ error?: unknown; response: Response }>,
): Promise<void> {
  await answer(request.then((result) => ({ ...result, data: true })));
}

/** Signs in or out, which are plain forms and not part of the described API. */
export async function postForm(path: string, fields: Record<string, string>): Promise<Response> {
  return fetch(path, {
    method: 'POST',
    headers: { 'X-XSRF-TOKEN': csrfToken() },
    body: new URLSearchParams(fields),
  });
}

async function upload(path: string, fields: Record<string, string | Blob>): Promise<unknown> {
  const body = new FormData();
  for (const [name, value] of Object.entries(fields)) body.append(name, value);
  const response = await fetch(path, {
    method: 'POST',
    headers: { 'X-XSRF-TOKEN': csrfToken() },
    body,
  });
  const json: unknown = await response.json().catch(() => undefined);
  if (!response.ok) throw problemOf(response, json);
  return json;
}

/**
 * Brings a picture in for a client, or for all; says what of it did not come along. One that is only
 * worked from is offered nowhere.
 */
export async function uploadPicture(
  site: string,
  file: File,
  away = false,
): Promise<Schemas['Added']> {
  return (await upload('/api/pictures', { site, file, away: String(away) })) as Schemas['Added'];
}

/** Gives a picture another file wherever it is used. */
export async function replacePicture(
  id: string,
  etag: string,
  file: File,
): Promise<Schemas['Added']> {
  return (await upload(`/api/pictures/${encodeURIComponent(id)}/file?etag=${etag}`, {
    file,
  })) as Schemas['Added'];
}

/** What is to be said of a picture of which something was left out. */
export function leftOutWords(added: Pick<Schemas['Added'], 'leftOut'>): string {
  return added.leftOut.length === 0
    ? ''
    : `Taken in without ${added.leftOut.join(', ')}: a picture holds nothing that could run or fetch something.`;
}

/** Brings a file in that a client's pages can link to. */
export async function uploadFile(site: string, file: File): Promise<Schemas['FileView']> {
  return (await upload(`/api/sites/${encodeURIComponent(site)}/files`, {
    file,
  })) as Schemas['FileView'];
}

/** Gives a file another content wherever it is linked to. */
export async function replaceFile(
  id: string,
  etag: string,
  file: File,
): Promise<Schemas['FileView']> {
  return (await upload(`/api/files/${encodeURIComponent(id)}/file?etag=${etag}`, {
    file,
  })) as Schemas['FileView'];
}

/** Brings a font file of a client’s own in. */
export async function uploadFont(
  site: string,
  file: File,
  licence: string,
): Promise<Schemas['ClientFontView']> {
  const path = `/api/sites/${encodeURIComponent(site)}/fonts`;
  return (await upload(path, { file, licence })) as Schemas['ClientFontView'];
}

export async function fetchText(path: string): Promise<string> {
  const response = await fetch(path);
  if (!response.ok) throw problemOf(response, await response.json().catch(() => undefined));
  return response.text();
}
