import type { KeptQueue } from './editQueue.ts';

const PREFIX = 'brookrain.queue.';
const NOTHING: readonly never[] = [];

/** This tab, over reloads but not over closing it. */
function tabId(): string {
  const known = sessionStorage.getItem('brookrain.tab');
  if (known) return known;
  const made = newId();
  sessionStorage.setItem('brookrain.tab', made);
  return made;
}

/** A random id; also where the page is not served securely and `randomUUID` is missing. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
}

const keyOf = (build: string, tab: string): string => `${PREFIX}${build}.${tab}`;

/** Keeps what this tab has not sent yet. */
export function keepQueue(build: string, queue: KeptQueue): void {
  const key = keyOf(build, tabId());
  if (queue.edits.length === 0) localStorage.removeItem(key);
  else localStorage.setItem(key, JSON.stringify(queue));
}

function read(key: string): KeptQueue | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as KeptQueue | null;
    return kept && Array.isArray(kept.edits) && kept.edits.length > 0 ? kept : undefined;
  } catch {
    return undefined;
  }
}

/**
 * What this tab, or a tab that was closed meanwhile, had not sent. Taken over once: the lock of a
 * living tab keeps its queue from others. Without locks only this tab's own is taken.
 */
export async function takeKeptQueue(build: string): Promise<KeptQueue | undefined> {
  const own = tabId();
  const locks = navigator.locks as LockManager | undefined;
  void locks?.request(`${PREFIX}${own}`, () => new Promise<never>(() => undefined));
  const mine = read(keyOf(build, own));
  if (mine) return mine;
  if (!locks) return undefined;
  const { held = NOTHING } = await locks.query();
  const living = new Set(held.map((lock) => lock.name));
  const start = `${PREFIX}${build}.`;
  for (const key of Object.keys(localStorage)) {
    if (!key.startsWith(start) || living.has(`${PREFIX}${key.slice(start.length)}`)) continue;
    const left = read(key);
    localStorage.removeItem(key);
    if (left) {
      keepQueue(build, left);
      return left;
    }
  }
  return undefined;
}
