import {
  type Build,
  type Change,
  type MovedHarness,
  type Vector,
  readBuild,
  withValueAt,
} from '@brookrain/core';
import { useMemo, useRef, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { askWorker } from '../../evaluation/useEvaluation.ts';
import { type Handle, movesTo } from '../map/handles.ts';

/**
 * What a harness comes to while a handle of it is held: the build with it there, to be drawn, and
 * what the worker says of it. One question is on its way at a time, the newest is asked next.
 */
export function useMovedHarness() {
  const { stored, document: build, catalogue } = useBuild();
  const [changes, setChanges] = useState<readonly Change[]>([]);
  const [answer, setAnswer] = useState<MovedHarness>();
  const wanted = useRef<readonly Change[]>([]);
  const isAsking = useRef(false);
  const ask = async (): Promise<void> => {
    if (isAsking.current) return;
    isAsking.current = true;
    try {
      const worker = await askWorker(catalogue);
      for (let asked: readonly Change[] = []; wanted.current !== asked;) {
        asked = wanted.current;
        const told = asked.length > 0 ? await worker.moved(asked) : undefined;
        setAnswer(wanted.current.length > 0 ? told : undefined);
      }
    } finally {
      isAsking.current = false;
    }
  };
  const hold = (handle: Handle, to: Vector | undefined): void => {
    wanted.current = to ? movesTo(stored, handle, to) : [];
    setChanges(wanted.current);
    void ask();
  };
  const drawn = useMemo(
    (): Build =>
      changes.length === 0
        ? build
        : readBuild(
            changes.reduce((all, { path, value }) => withValueAt(all, path, value), stored),
          ),
    [build, stored, changes],
  );
  return { drawn, answer, hold };
}
