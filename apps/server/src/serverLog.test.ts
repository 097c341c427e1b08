import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { ServerLog } from './serverLog.ts';

describe('what a running server writes to its console', () => {
  const written: string[] = [];
  beforeEach(() => {
    written.length = 0;
    for (const stream of [process.stdout, process.stderr]) {
      vi.spyOn(stream, 'write').mockImplementation((text) => {
        written.push(String(text));
        return true;
      });
    }
  });
  afterEach(() => vi.restoreAllMocks());

  test('errors and warnings, with where they arose; nothing of every day', () => {
    const log = new ServerLog();
    log.error('the disk is full', 'Storage');
    log.warn('no snapshot was taken', 'Snapshots');
    log.log('a route was mapped', 'Router');
    log.debug('a query', 'Storage');
    expect(written).toHaveLength(2);
    expect(written[0]).toContain('the disk is full');
    expect(written[0]).toContain('Storage');
    expect(written[1]).toContain('no snapshot was taken');
  });

  test('not what a person is told otherwise: why the port could not be opened', () => {
    const log = new ServerLog();
    log.error(new Error('listen EADDRINUSE'), undefined, 'NestApplication');
    log.error('listen EADDRINUSE', 'NestApplication');
    expect(written).toEqual([]);
  });
});
