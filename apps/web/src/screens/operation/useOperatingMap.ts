import type { MapPoint, OperatingMap, OperatingPoint } from '@brookrain/core';
import { useEffect, useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { solveOperatingMap, solveOperatingPoint } from '../../evaluation/useEvaluation.ts';

/** The operating map of the open build; kept while the next one is worked out. */
export function useOperatingMap(): {
  readonly map: OperatingMap | undefined;
  readonly failed: string | undefined;
} {
  const { stored: build, catalogue } = useBuild();
  const [answer, setAnswer] = useState<{ map?: OperatingMap; failed?: string }>({});
  useEffect(() => {
    let wanted = true;
    solveOperatingMap(build, catalogue).then(
      (map) => wanted && setAnswer({ map }),
      (error: unknown) =>
        wanted && setAnswer({ failed: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      wanted = false;
    };
  }, [build, catalogue]);
  return { map: answer.map, failed: answer.failed };
}

/** One point of the map with its whole solution; the last one is kept while the next is solved. */
export function useOperatingPoint(circuitIndex: number, at: MapPoint): OperatingPoint | undefined {
  const { stored: build, catalogue } = useBuild();
  const [shown, setShown] = useState<OperatingPoint>();
  const { speedIndex, loadIndex } = at;
  useEffect(() => {
    let wanted = true;
    solveOperatingPoint(build, catalogue, circuitIndex, { speedIndex, loadIndex }).then(
      (point) => wanted && setShown(point),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [build, catalogue, circuitIndex, speedIndex, loadIndex]);
  return shown;
}
