import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';

/** The stream of a server, as the browser gives it to the page. */
class MadeEventSource {
  static readonly CLOSED = 2;
  static readonly opened: MadeEventSource[] = [];
  readyState = 1;
  onmessage: ((message: { data: string }) => void) | undefined;
  onerror: (() => void) | undefined;
  constructor(readonly url: string) {
    MadeEventSource.opened.push(this);
  }
  close(): void {
    this.readyState = MadeEventSource.CLOSED;
  }
  say(event: object): void {
    act(() => this.onmessage?.({ data: JSON.stringify(event) }));
  }
  fail(isClosed: boolean): void {
    if (isClosed) this.close();
    act(() => this.onerror?.());
  }
}
const newest = (): MadeEventSource => MadeEventSource.opened.at(-1)!;

/** The module with a connection of its own: there is one for each window. */
async function opened() {
  vi.resetModules();
  MadeEventSource.opened.length = 0;
  const { useConnected, useLiveEvents } = await import('./liveConnection.ts');
  const heard: object[] = [];
  const listener = (event: object): void => void heard.push(event);
  const { result, unmount } = renderHook(() => {
    useLiveEvents(listener);
    return useConnected();
  });
  return { heard, isConnected: () => result.current, unmount };
}

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('EventSource', MadeEventSource);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const later = (ms: number): void => act(() => void vi.advanceTimersByTime(ms));

describe('the stream of changes', () => {
  test('is opened once, and tells what it hears', async () => {
    const { heard, isConnected } = await opened();
    expect(MadeEventSource.opened.map(({ url }) => url)).toEqual(['/api/events']);
    newest().say({ type: 'build', id: 'a' });
    expect(heard).toEqual([{ type: 'build', id: 'a' }]);
    expect(isConnected()).toBe(true);
  });

  test('tells nobody who has left', async () => {
    const { heard, unmount } = await opened();
    unmount();
    newest().say({ type: 'build', id: 'a' });
    expect(heard).toEqual([]);
  });

  test('is lost at an error, and the browser’s own try leaves it open', async () => {
    const { isConnected } = await opened();
    newest().fail(false);
    expect(isConnected()).toBe(false);
    later(10_000);
    expect(MadeEventSource.opened).toHaveLength(1);
    newest().say({ type: 'beat' });
    expect(isConnected()).toBe(true);
  });

  test('is opened again two seconds after the browser gave up', async () => {
    const { isConnected } = await opened();
    newest().fail(true);
    expect(isConnected()).toBe(false);
    later(1999);
    expect(MadeEventSource.opened).toHaveLength(1);
    later(1);
    expect(MadeEventSource.opened).toHaveLength(2);
    newest().say({ type: 'beat' });
    expect(isConnected()).toBe(true);
  });

  test('is lost after 25 s of silence, and not before', async () => {
    const { isConnected } = await opened();
    newest().say({ type: 'beat' });
    later(24_999);
    expect(isConnected()).toBe(true);
    later(1);
    expect(isConnected()).toBe(false);
    later(2000);
    expect(MadeEventSource.opened).toHaveLength(2);
  });
});
