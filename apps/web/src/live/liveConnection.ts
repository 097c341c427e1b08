import type { LiveEvent } from '@brookrain/contract';
import { useEffect, useSyncExternalStore } from 'react';

/** No word for so long means that the connection is lost, ms. */
const SILENCE = 25_000;

type Listener = (event: LiveEvent) => void;

/** The one stream of changes of this window; opened with the first listener. */
class LiveConnection {
  private source: EventSource | undefined;
  private readonly listeners = new Set<Listener>();
  private readonly watchers = new Set<() => void>();
  private silence: number | undefined;
  connected = true;

  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    this.open();
    return () => void this.listeners.delete(listener);
  }

  watch(watcher: () => void): () => void {
    this.watchers.add(watcher);
    return () => void this.watchers.delete(watcher);
  }

  private open(): void {
    if (this.source || typeof EventSource === 'undefined') return;
    const source = new EventSource('/api/events');
    this.source = source;
    source.onmessage = (message: MessageEvent<string>) => {
      this.set(true);
      const event = JSON.parse(message.data) as LiveEvent;
      this.listeners.forEach((listener) => listener(event));
    };
    source.onerror = () => {
      this.set(false);
      // The browser gives up on some answers: then it is opened anew.
      if (source.readyState === EventSource.CLOSED) this.reopen();
    };
  }

  private reopen(): void {
    this.source?.close();
    this.source = undefined;
    window.setTimeout(() => this.open(), 2000);
  }

  private set(connected: boolean): void {
    window.clearTimeout(this.silence);
    if (connected) {
      this.silence = window.setTimeout(() => {
        this.set(false);
        this.reopen();
      }, SILENCE);
    }
    if (this.connected === connected) return;
    this.connected = connected;
    this.watchers.forEach((watcher) => watcher());
  }
}

const connection = new LiveConnection();

/** Whether changes of others arrive; false also tells that edits may have to wait. */
export function useConnected(): boolean {
  return useSyncExternalStore(
    (watcher) => connection.watch(watcher),
    () => connection.connected,
  );
}

/** Calls a stable listener with every change that any window makes. */
export function useLiveEvents(listener: Listener): void {
  useEffect(() => connection.listen(listener), [listener]);
}
