/** What undo needs to know of a revision. */
export interface HistoryStep {
  readonly number: number;
  readonly kind: 'create' | 'edit' | 'undo' | 'redo' | 'migrate';
  readonly target: number | null;
  readonly words: string;
}

/**
 * Revisions that undo would take back and redo would put back, newest last. Nothing is taken back
 * across a change of the document's format.
 */
export function undoStacks(history: readonly Omit<HistoryStep, 'words'>[]): {
  undo: number[];
  redo: number[];
} {
  let undo: number[] = [];
  let redo: number[] = [];
  for (const step of history) {
    switch (step.kind) {
      case 'create':
        break;
      case 'migrate':
        undo = [];
        redo = [];
        break;
      case 'edit':
        undo.push(step.number);
        redo = [];
        break;
      case 'undo':
        undo.pop();
        if (step.target !== null) redo.push(step.target);
        break;
      case 'redo':
        redo.pop();
        if (step.target !== null) undo.push(step.target);
        break;
    }
  }
  return { undo, redo };
}
