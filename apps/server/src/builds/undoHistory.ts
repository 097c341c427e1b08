/** What undo needs to know of a revision. */
export interface HistoryStep {
  readonly number: number;
  readonly kind: 'create' | 'edit' | 'undo' | 'redo' | 'migrate';
  readonly target: number | null;
  readonly words: string;
}

/** Revisions that undo would take back and redo would put back, newest last. */
export interface UndoStacks {
  readonly undo: readonly number[];
  readonly redo: readonly number[];
}

/**
 * The stacks of a history, or of what was added to one whose stacks are known. Nothing is taken back
 * across a change of the document's format.
 */
export function undoStacks(
  history: readonly Omit<HistoryStep, 'words'>[],
  known: UndoStacks = { undo: [], redo: [] },
): UndoStacks {
  let undo = [...known.undo];
  let redo = [...known.redo];
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
