import { expose } from 'comlink';
import { evaluationWork } from '../evaluation/evaluationWork.ts';

let prepare = (): void => undefined;

/** What is done before the worker is asked the next time. */
export const beforeAsked = (task: () => void): void => {
  prepare = () => {
    prepare = (): void => undefined;
    task();
  };
};

/** The worker's work in the same thread, behind the same messages: jsdom has no workers. */
class InlineWorker {
  private readonly port: MessagePort;
  constructor() {
    const { port1, port2 } = new MessageChannel();
    expose(evaluationWork, port2);
    this.port = port1;
    port1.start();
  }
  postMessage(message: unknown, transfer: Transferable[] = []): void {
    prepare();
    this.port.postMessage(message, transfer);
  }
  addEventListener(type: 'message', listener: (event: MessageEvent) => void): void {
    this.port.addEventListener(type, listener);
  }
  removeEventListener(type: 'message', listener: (event: MessageEvent) => void): void {
    this.port.removeEventListener(type, listener);
  }
}

Object.assign(globalThis, { Worker: InlineWorker });
