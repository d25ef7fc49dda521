import { afterEach, expect, it, vi } from 'vitest';
import { address, ApiProblem, asProblem, get, put } from './call';

afterEach(() => void vi.unstubAllGlobals());

const answering = (status: number, body: unknown) => {
  const asked = vi.fn<typeof fetch>(() =>
    Promise.resolve(new Response(JSON.stringify(body), { status })),
  );
  vi.stubGlobal('fetch', asked);
  return asked;
};

it('writes what stands in an address so that it stays in its place', () => {
  expect(address('/api/jobs/{jobId}/head', { jobId: 'a/b' })).toBe('/api/jobs/a%2Fb/head');
  expect(address('/x', {}, { at: '/a b', early: true })).toBe('/x?at=%2Fa%20b&early=true');
});

it('sends a key and the version that was seen', async () => {
  const asked = answering(200, { version: 4 });
  await put('/api/jobs/{jobId}', {
    in: { jobId: 'j' },
    key: 'k',
    version: 3,
    body: {} as never,
  });
  expect(asked).toHaveBeenCalledWith(
    '/api/jobs/j',
    expect.objectContaining({
      method: 'PUT',
      headers: { 'Idempotency-Key': 'k', 'If-Match': '"3"', 'Content-Type': 'application/json' },
    }),
  );
});

it('tells a refusal with its faults, and no answer as such', async () => {
  answering(400, {
    detail: 'No.',
    faults: [{ field: 'name', value: '', accepted: '1 to 120 characters' }],
  });
  const refused = await get('/api/now', {}).catch((e: unknown) => e);
  expect(refused).toBeInstanceOf(ApiProblem);
  expect((refused as ApiProblem).faults[0]?.field).toBe('name');
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('gone')));
  const none = asProblem(await get('/api/now', {}).catch((e: unknown) => e));
  expect(none.status).toBe(0);
});
