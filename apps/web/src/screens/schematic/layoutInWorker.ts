import type { LayoutEngine } from '@brookrain/core';
import ELK, { type ELK as Elk, type ElkNode } from 'elkjs/lib/elk-api.js';
import workerUrl from 'elkjs/lib/elk-worker.min.js?url';

let elk: Elk | undefined;

/** Lays graphs out in a worker of its own, begun at the first. */
export const layoutInWorker: LayoutEngine = (graph) => {
  elk ??= new ELK({ workerUrl });
  return elk.layout(graph as unknown as ElkNode);
};
