import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Failure, take } from './client';

const answer = (status: number, body: unknown) =>
    Promise.resolve({
        data: status < 400 ? body : undefined,
        error: status < 400 ? undefined : body,
        response: new Response(null, { status }),
    });

const failure = async (promise: Promise<unknown>): Promise<Failure> => {
    try {
        await promise;
    } catch (e) {
        if (e instanceof Failure) {
            return e;
        }
    }
    throw new Error('no failure');
};

describe('an answer', () => {
    it('that was hoped for is handed on', async () => {
        expect(await take(answer(200, { sentence: 'so' }))).toEqual({ sentence: 'so' });
    });

    it.each([
        [422, { message: 'Step 1 comes first.' }, 'Step 1 comes first.'],
        [409, { message: 'Somebody else was faster.' }, 'Somebody else was faster.'],
        [419, { message: 'CSRF token mismatch.' }, 'Your session is too old. Reload the page and sign in again.'],
        [500, {}, 'The server failed. What you entered is still here and nothing was changed; send it again.'],
        [404, {}, 'The server answered 404.'],
    ])('of %i says what to do', async (status, body, said) => {
        const e = await failure(take(answer(status, body)));
        expect([e.status, e.message, e.lines]).toEqual([status, said, []]);
    });

    it('that never came says that nothing was lost', async () => {
        const e = await failure(take(Promise.reject(new TypeError('failed to fetch'))));
        expect(e.status).toBe(0);
        expect(e.message).toContain('nothing confirmed was lost');
    });

    it('brings every bad line of a file', async () => {
        const lines = [
            { line: 'line 3, date', message: 'is still to come' },
            { line: 'line 7, fh', message: 'do not fit into one day' },
        ];
        expect((await failure(take(answer(422, { message: 'Two lines are wrong.', lines })))).lines).toEqual(lines);
    });
});

describe('a request', () => {
    beforeEach(() => {
        vi.resetModules();
        vi.stubGlobal('document', { cookie: 'other=1; XSRF-TOKEN=a%2Bb%3D; last=2' });
    });
    afterEach(() => vi.unstubAllGlobals());

    it('carries the token of its session and asks for JSON', async () => {
        const seen: Request[] = [];
        vi.stubGlobal('fetch', (request: Request) => {
            seen.push(request);
            return Promise.resolve(new Response('{"ok":true}', { headers: { 'Content-Type': 'application/json' } }));
        });
        vi.stubGlobal(
            'Request',
            class extends Request {
                constructor(input: RequestInfo | URL, init?: RequestInit) {
                    super(typeof input === 'string' ? `http://127.0.0.1${input}` : input, init);
                }
            },
        );
        const { api } = await import('./client');
        await api.POST('/api/sign-in', { body: { login: 'oda', password: 'x' } });
        expect(seen).toHaveLength(1);
        expect(seen[0]?.headers.get('X-XSRF-TOKEN')).toBe('a+b=');
        expect(seen[0]?.headers.get('Accept')).toBe('application/json');
    });
});
