import { vi } from 'vitest';
import './patience.ts';

/** What was asked of the server in a test. */
export interface Asked {
  readonly method: string;
  /** behind `/api`, with its query */
  readonly path: string;
  readonly body: unknown;
}

/** What the server answers: a status beside 200 comes with what is said of it. */
type Answer = unknown | ((asked: Asked) => unknown);

/** An answer that refuses, as the server words it. */
export const refused = (status: number, message: string, issues: readonly object[] = []) => ({
  status,
  refusal: { code: status === 404 ? 'not-found' : 'bad-input', message, issues },
});

const isRefused = (answer: unknown): answer is ReturnType<typeof refused> =>
  typeof answer === 'object' && answer !== null && 'refusal' in answer;

const read = (body: unknown): unknown => {
  if (typeof body !== 'string') return undefined;
  try {
    return JSON.parse(body);
  } catch {
    return body;
  }
};

/**
 * Answers what the page asks of the server, by method and the path behind `/api` without its query;
 * what is not listed is not found. Gives what was asked, in order.
 */
export function served(answers: Readonly<Record<string, Answer>>): readonly Asked[] {
  const asked: Asked[] = [];
  vi.stubGlobal('fetch', (url: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET';
    const path = url.replace(/^\/api/, '');
    const one: Asked = { method, path, body: read(init.body) };
    asked.push(one);
    const key = `${method} ${path.split('?')[0]}`;
    const listed = answers[key] ?? refused(404, `${key} is not served`);
    const answer =
      typeof listed === 'function' ? (listed as (asked: Asked) => unknown)(one) : listed;
    const [status, body] = isRefused(answer) ? [answer.status, answer.refusal] : [200, answer];
    return Promise.resolve(new Response(JSON.stringify(body), { status }));
  });
  return asked;
}
