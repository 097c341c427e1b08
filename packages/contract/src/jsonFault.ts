/**
 * What is the matter with text that could not be read as JSON, in plain words: where reading stopped,
 * as far as the reader tells it, or that the text ends too soon.
 */
export function jsonFault(cause: unknown): string {
  const message = cause instanceof Error ? cause.message : String(cause);
  const [, at] = /at position (\d+)/.exec(message) ?? [];
  if (/unexpected end|unterminated/i.test(message)) return 'not valid JSON: it ends too soon';
  return at === undefined ? 'not valid JSON' : `not valid JSON from sign ${Number(at) + 1} on`;
}
