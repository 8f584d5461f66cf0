import createClient from 'openapi-fetch';
import { answered } from './connection';
import type { components, operations, paths } from './generated/schema';

export type Schemas = components['schemas'];
/** What an operation is sent, as the rules of its request have it. */
export type Asked<O extends keyof operations> = operations[O] extends {
    requestBody: { content: { 'application/json': infer Body } };
}
    ? Body
    : never;

/** An answer that was not what was hoped for, with the server's own words. */
export class Failure extends Error {
    constructor(
        readonly status: number,
        message: string,
        readonly lines: { line: string; message: string }[] = [],
        /** It was carried out; only its answer was lost on the way. */
        readonly saved = false,
        /** Nothing forbids it, but it is only done when it is said to be meant: what to look at first. */
        readonly asked: string[] = [],
    ) {
        super(message);
    }
}

const cookie = (name: string): string =>
    decodeURIComponent(
        document.cookie
            .split('; ')
            .find((c) => c.startsWith(`${name}=`))
            ?.slice(name.length + 1) ?? '',
    );

export const api = createClient<paths>({ baseUrl: '' });

api.use({
    onRequest({ request }) {
        request.headers.set('Accept', 'application/json');
        request.headers.set('X-Requested-With', 'XMLHttpRequest');
        request.headers.set('X-XSRF-TOKEN', cookie('XSRF-TOKEN'));
        return request;
    },
});

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The body of an answer, or a Failure that says what happened and what was kept. */
export async function take<T>(promise: Promise<Answer<T>>): Promise<T> {
    let answer: Answer<T>;
    try {
        answer = await promise;
    } catch {
        answered(false);
        throw new Failure(
            0,
            'No connection. What you entered is still here and nothing confirmed was lost; send it again when the connection is back.',
        );
    }
    answered(true);
    if (answer.response.headers.get('Idempotent-Replay') === 'lost') {
        const said = (answer.data as { message?: string } | undefined)?.message;
        throw new Failure(409, said ?? 'This was saved. What is shown is read anew.', [], true);
    }
    if (answer.response.ok && answer.data !== undefined) {
        return answer.data;
    }
    const body = (answer.error ?? {}) as {
        message?: string;
        lines?: { line: string; message: string }[];
        asked?: string[];
    };
    const status = answer.response.status;
    const said =
        status === 419
            ? 'Your session is too old. Reload the page and sign in again.'
            : (body.message ??
              (status >= 500
                  ? 'The server failed. What you entered is still here and nothing was changed; send it again.'
                  : undefined));
    throw new Failure(status, said ?? `The server answered ${status}.`, body.lines ?? [], false, body.asked ?? []);
}
