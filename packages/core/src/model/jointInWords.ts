import { isRecord } from '../numerics/index.ts';
import { elementSpec } from '../fuel/model.ts';
import { settledSpec } from './specAt.ts';

/** What an element is to a joint that its field names: what fuel comes out of tells most. */
const sides: Readonly<Record<string, { readonly word: string; readonly rank: number }>> = {
  to: { word: 'behind', rank: 0 },
  from: { word: 'before', rank: 2 },
};
const beside = { word: 'at', rank: 1 };

/**
 * A joint, which has no name of its own, by an element of its circuit that is joined to it: "behind
 * Fine filter"; undefined where none is.
 */
export function jointInWords(circuit: unknown, nodeId: unknown): string | undefined {
  const elements = isRecord(circuit) ? circuit['elements'] : undefined;
  if (!isRecord(elements)) return undefined;
  const found = Object.values(elements).flatMap((element) => {
    const spec = settledSpec(elementSpec, element);
    if (!isRecord(element) || spec?.type !== 'object') return [];
    return Object.entries(spec.fields).flatMap(([key, field]) =>
      field.type === 'reference' && field.to === 'nodes' && element[key] === nodeId
        ? [{ ...(sides[key] ?? beside), name: String(element['name']) }]
        : [],
    );
  });
  const [first] = found.sort((a, b) => a.rank - b.rank);
  return first && `${first.word} ${first.name}`;
}
