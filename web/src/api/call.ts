import type { paths } from './schema';

export interface Fault {
  field: string;
  value: string;
  accepted: string;
}

export interface Change {
  field: string;
  was: string;
  is: string;
}

interface ProblemBody {
  type?: string;
  detail?: string;
  remedy?: string;
  faults?: Fault[];
  changes?: Change[];
}

/** What the server declined, or why it could not be reached (status 0). */
export class ApiProblem extends Error {
  readonly status: number;
  readonly remedy: string;
  readonly faults: readonly Fault[];
  readonly changes: readonly Change[];

  constructor(status: number, body: ProblemBody) {
    super(body.detail ?? 'The server did not answer. Nothing was lost: try again.');
    this.status = status;
    this.remedy = body.remedy ?? '';
    this.faults = body.faults ?? [];
    this.changes = body.changes ?? [];
  }

  /** Nothing was decided: sent again, the same write may well be taken. */
  get passes(): boolean {
    return this.status === 0 || this.status === 500 || this.status === 503 || this.status === 507;
  }
}

/** What went wrong, as it is shown: whatever is not the server's own answer counts as no answer. */
export const asProblem = (e: unknown): ApiProblem =>
  e instanceof ApiProblem ? e : new ApiProblem(0, {});

type Verb = 'get' | 'post' | 'put' | 'delete';

/** The paths that answer to a verb. */
export type PathOf<V extends Verb> = {
  [P in keyof paths]: paths[P] extends Record<V, { responses: unknown }> ? P : never;
}[keyof paths];

type Operation<V extends Verb, P extends PathOf<V>> = paths[P][V];

type Content<R> = R extends { content: infer C } ? C[keyof C] : never;
type Good<R> =
  R extends Record<200, unknown>
    ? Content<R[200]>
    : R extends Record<201, unknown>
      ? Content<R[201]>
      : never;
/** What a path answers to a verb. */
export type Answer<V extends Verb, P extends PathOf<V>> =
  Operation<V, P> extends { responses: infer R } ? Good<R> : never;

type Part<O, K extends string> = O extends { parameters: Record<K, infer X> } ? X : undefined;
type Asked<O> = O extends { parameters: { query?: infer Q } } ? Q : never;
type Body<O> = O extends { requestBody: { content: Record<'application/json', infer B> } }
  ? B
  : undefined;
/** Nothing needs saying where nothing is asked. */
type Where<O> =
  Part<O, 'path'> extends Record<string, unknown> ? { in: Part<O, 'path'> } : { in?: undefined };
type Sent<O> = Body<O> extends undefined ? { body?: undefined } : { body: Body<O> };
type Headers<O> = NonNullable<Part<O, 'header'>>;
type Needs<O, K extends string> = [Headers<O>] extends [never]
  ? false
  : K extends keyof Headers<O>
    ? true
    : false;
type Seen<O> =
  Needs<O, 'If-Match'> extends true ? { version: string | number } : { version?: undefined };
type Keyed<O> = Needs<O, 'Idempotency-Key'> extends true ? { key: string } : { key?: undefined };

/** What goes with a question. */
export type Question<P extends PathOf<'get'>> = Where<Operation<'get', P>> & {
  query?: Asked<Operation<'get', P>>;
};

/**
 * What goes with a write: its key, made once and repeated with every try of the same write, and the version that was seen.
 */
export type Write<V extends 'post' | 'put' | 'delete', P extends PathOf<V>> = Where<
  Operation<V, P>
> &
  Sent<Operation<V, P>> &
  Seen<Operation<V, P>> &
  Keyed<Operation<V, P>> & { query?: Asked<Operation<V, P>>; patience?: Patience };

/** How long an answer is waited for, in milliseconds. */
export type Patience = number | undefined;

/** Somebody stands there with a pail in the hand: what does not answer by then is no signal. */
export const HURRIED_MS = 4_000;

interface Asking {
  in?: unknown;
  query?: unknown;
  key?: string | undefined;
  version?: string | number | undefined;
  body?: unknown;
  patience?: Patience;
}

type Words = Record<string, string | number | boolean>;

const PATIENCE_MS = 20_000;
/** Browsers send this much on after a page is left. */
const KEPT_CHARACTERS = 30_000;

/** An address: its template with what stands in it, and what is asked besides. */
export function address(template: string, inside: unknown = {}, query: unknown = {}): string {
  const path = Object.entries(inside as Words).reduce(
    (left, [name, value]) => left.replace(`{${name}}`, encodeURIComponent(value)),
    template,
  );
  const asked = Object.entries(query as Words)
    .map(([name, value]) => `${name}=${encodeURIComponent(value)}`)
    .join('&');
  return asked ? `${path}?${asked}` : path;
}

async function call(verb: Verb, template: string, asking: Asking): Promise<unknown> {
  const headers: Record<string, string> = {};
  if (asking.key !== undefined) {
    headers['Idempotency-Key'] = asking.key;
  }
  if (asking.version !== undefined) {
    headers['If-Match'] = `"${asking.version}"`;
  }
  const body = asking.body === undefined ? null : JSON.stringify(asking.body);
  if (body !== null) {
    headers['Content-Type'] = 'application/json';
  }
  return answered(
    fetch(address(template, asking.in, asking.query), {
      method: verb.toUpperCase(),
      headers,
      body,
      keepalive: body !== null && body.length < KEPT_CHARACTERS,
      signal: AbortSignal.timeout(asking.patience ?? PATIENCE_MS),
    }),
  );
}

async function answered(asked: Promise<Response>): Promise<unknown> {
  let response: Response;
  try {
    response = await asked;
  } catch {
    throw new ApiProblem(0, {});
  }
  const body = (await response.json().catch(() => ({}))) as unknown;
  if (!response.ok) {
    throw new ApiProblem(response.status, body as ProblemBody);
  }
  return body;
}

export const get = <P extends PathOf<'get'>>(
  path: P,
  asking: Question<P>,
): Promise<Answer<'get', P>> => call('get', path, asking) as Promise<Answer<'get', P>>;

export const post = <P extends PathOf<'post'>>(
  path: P,
  asking: Write<'post', P>,
): Promise<Answer<'post', P>> => call('post', path, asking) as Promise<Answer<'post', P>>;

export const put = <P extends PathOf<'put'>>(
  path: P,
  asking: Write<'put', P>,
): Promise<Answer<'put', P>> => call('put', path, asking) as Promise<Answer<'put', P>>;

export const del = <P extends PathOf<'delete'>>(
  path: P,
  asking: Write<'delete', P>,
): Promise<Answer<'delete', P>> => call('delete', path, asking) as Promise<Answer<'delete', P>>;

/** Asks an address as it stands: which answer it has, the caller knows. */
export const ask = <T>(at: string): Promise<T> => call('get', at, {}) as Promise<T>;

/** Sends a file as it is, however long that takes. */
export const send = <P extends PathOf<'post'>>(
  path: P,
  asking: Where<Operation<'post', P>> &
    Keyed<Operation<'post', P>> & { query?: Asked<Operation<'post', P>> },
  file: Blob,
  type: string,
): Promise<Answer<'post', P>> => {
  const headers: Record<string, string> = { 'Content-Type': type };
  if (asking.key !== undefined) {
    headers['Idempotency-Key'] = asking.key;
  }
  return answered(
    fetch(address(path, asking.in, asking.query), { method: 'POST', headers, body: file }),
  ) as Promise<Answer<'post', P>>;
};
