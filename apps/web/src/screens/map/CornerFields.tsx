import type { Path, Vector } from '@brookrain/core';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Select } from '../../ui/Select.tsx';
import type { useCorners } from './useCorners.ts';

/** The corner that is looked at: typed, and corners put in and taken out. */
export function CornerFields({
  path,
  corners: { corners, add, remove },
  corner,
  pick,
  ends,
  radius,
  least,
}: {
  path: Path;
  corners: ReturnType<typeof useCorners>;
  corner: string | undefined;
  pick: (id: string | undefined) => void;
  /** where the way begins and ends, for one that has no corner yet */
  ends: readonly [Vector, Vector];
  /** radius m of a new corner; left out where corners have none */
  radius?: number;
  /** so many corners have to stay */
  least: number;
}) {
  const index = corners.findIndex((c) => c.id === corner);
  const chosen = corners[index];
  const addAfter = (): void => {
    const at = chosen ? index : corners.length - 1;
    const from = corners[at]?.at ?? ends[0];
    const to = corners[at + 1]?.at ?? ends[1];
    const middle: Vector = [0, 1, 2].map((k) =>
      Number((((from[k] ?? 0) + (to[k] ?? 0)) / 2).toFixed(3)),
    ) as unknown as Vector;
    pick(add(at, middle, radius));
  };
  return (
    <section className="rule mt-3 space-y-1.5 pt-2">
      <h3>Corners</h3>
      {corners.length > 0 && (
        <Select
          name="Corner"
          value={chosen?.id ?? ''}
          choices={[
            ...(chosen ? [] : [{ value: '', label: 'none picked' }]),
            ...corners.map((c, i) => ({ value: c.id, label: `Corner ${i + 1}` })),
          ]}
          onChoose={pick}
        />
      )}
      {chosen && (
        <div key={chosen.id} className="space-y-1.5">
          <QuantityField path={[...path, chosen.id, 'x']} />
          <QuantityField path={[...path, chosen.id, 'y']} />
          <QuantityField path={[...path, chosen.id, 'z']} />
          {radius !== undefined && <QuantityField path={[...path, chosen.id, 'radius']} />}
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="act" onClick={addAfter}>
          {chosen ? 'Put one in after it' : 'Put a corner in'}
        </button>
        {chosen && corners.length > least && (
          <button
            type="button"
            className="act"
            onClick={() => {
              remove(chosen.id);
              pick(undefined);
            }}
          >
            Take it out
          </button>
        )}
      </div>
    </section>
  );
}
