import { type SizedWire, formatMeasure, electricsFigure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** Length of a wire as measured or planned; empty means estimated from the map. */
export function WireLengthField({ sized }: { sized: SizedWire }) {
  const { edit, results } = useBuild();
  const [units] = useUnits();
  const estimate =
    results.find(electricsFigure('wire.mapLength', { wire: sized.wire.id }))?.value ?? 0;
  return (
    <QuantityInput
      label="Length"
      kind="length"
      unit="m"
      value={sized.wire.decision?.length.typed ?? null}
      optional
      whenEmpty={`about ${formatMeasure({ value: estimate, kind: 'length' }, units)}`}
      store={(typed) =>
        edit({
          name: 'set-wire-length',
          wireId: sized.wire.id,
          wireName: sized.wire.name,
          length: { typed, measured: null },
        })
      }
    />
  );
}
