/** What undo needs to know of a revision. */
export interface HistoryStep {
  readonly number: number;
  readonly kind: 'create' | 'edit' | 'undo' | 'redo';
  readonly target: number | null;
}

/** Revisions that undo would take back and redo would put back, newest last. */
export function undoStacks(history: readonly HistoryStep[]): {
  undo: number[];
  redo: number[];
} {
  const undo: number[] = [];
  let redo: number[] = [];
  for (const step of history) {
    if (step.kind === 'edit') {
      undo.push(step.number);
      redo = [];
    } else if (step.kind === 'undo' && step.target !== null) {
      undo.pop();
      redo.push(step.target);
    } else if (step.kind === 'redo' && step.target !== null) {
      redo.pop();
      undo.push(step.target);
    }
  }
  return { undo, redo };
}
