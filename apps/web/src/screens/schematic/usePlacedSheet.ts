import {
  type LayoutEngine,
  type PlacedSheet,
  type SchematicSheet,
  layoutSheet,
} from '@brookrain/core';
import { useEffect, useState } from 'react';

/** The engine, loaded with the first sheet. */
const engine: LayoutEngine = async (graph) =>
  (await import('./layoutInWorker.ts')).layoutInWorker(graph);

/** A sheet that is laid out, or why it could not be; the last one meanwhile. */
export function usePlacedSheet(sheet: SchematicSheet | undefined): {
  readonly placed: PlacedSheet | undefined;
  readonly failed: string | undefined;
} {
  const [state, setState] = useState<{ placed?: PlacedSheet; failed?: string }>({});
  const key = JSON.stringify(sheet ?? null);
  useEffect(() => {
    const asked = JSON.parse(key) as SchematicSheet | null;
    let wanted = true;
    if (asked) {
      layoutSheet(asked, engine).then(
        (placed) => wanted && setState({ placed }),
        (error: unknown) => wanted && setState({ failed: String(error) }),
      );
    }
    return () => {
      wanted = false;
    };
  }, [key]);
  return { placed: state.placed, failed: state.failed };
}
