import { proxy } from 'comlink';

/**
 * Asks for something that tells how far it has come. What a worker tells on its way comes through
 * another door than its answer and may come in after it; then it is not told any more.
 */
export async function withProgress<Told extends unknown[], Answer>(
  onProgress: (...told: Told) => void,
  ask: (onProgress: (...told: Told) => void) => Promise<Answer>,
): Promise<Answer> {
  let isOver = false;
  try {
    return await ask(
      proxy((...told: Told) => {
        if (!isOver) onProgress(...told);
      }),
    );
  } finally {
    isOver = true;
  }
}
