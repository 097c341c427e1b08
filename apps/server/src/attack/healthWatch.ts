import { once } from 'node:events';
import { Worker } from 'node:worker_threads';

/** How long the program took to say that it is well, ms, asked again and again. */
export interface HealthTimes {
  readonly asked: number;
  readonly longest: number;
  /** 99 of 100 were answered within this */
  readonly p99: number;
  readonly failed: number;
}

/** Asks from a thread of its own, so that what attacks does not hold up the clock. */
const source = `
const { parentPort, workerData } = require('node:worker_threads');
const times = [];
let failed = 0;
let going = true;
parentPort.on('message', () => { going = false; });
(async () => {
  await fetch(workerData + '/api/health').then((reply) => reply.text(), () => undefined);
  parentPort.postMessage('watching');
  while (going) {
    const start = performance.now();
    try {
      const reply = await fetch(workerData + '/api/health');
      await reply.text();
      if (reply.status !== 200) failed += 1;
    } catch { failed += 1; }
    times.push(performance.now() - start);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  parentPort.postMessage({ times, failed });
  parentPort.close();
})();
`;

/** Watches the health of a program, from its first answer until it is told to stop. */
export async function watchHealth(url: string): Promise<{ stop: () => Promise<HealthTimes> }> {
  const thread = new Worker(source, { eval: true, workerData: url });
  await once(thread, 'message');
  return {
    stop: () =>
      new Promise((resolve, reject) => {
        thread.once('error', reject);
        thread.once('message', ({ times, failed }: { times: number[]; failed: number }) => {
          const sorted = times.sort((a, b) => a - b);
          resolve({
            asked: sorted.length,
            longest: sorted.at(-1) ?? 0,
            p99: sorted[Math.floor(sorted.length * 0.99)] ?? 0,
            failed,
          });
        });
        thread.postMessage('stop');
      }),
  };
}
