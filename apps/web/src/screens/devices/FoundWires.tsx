import { type VehicleSignal, formatMeasure, keyPositions, quantity } from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { worstBy } from '../../build/worstBy.ts';
import { FieldOf } from '../../ui/FieldOf.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { SeverityMark } from '../../ui/SeverityMark.tsx';
import { useUnits } from '../../ui/preferences.ts';

const words = { off: 'OFF', acc: 'ACC', run: 'RUN', crank: 'CRANK' } as const;

/** One wire found: what it is for, what it looks like, what was measured on it. */
function FoundWire({ signal }: { signal: VehicleSignal }) {
  const path = ['vehicleSignals', signal.id];
  return (
    <div className="grid gap-x-6 gap-y-1.5 py-2 min-[700px]:grid-cols-2">
      {(['name', 'use', 'colour', 'base', 'stripe', 'connector', 'cavity'] as const).map(
        (field) => (
          <FieldOf key={field} path={[...path, field]} />
        ),
      )}
      <QuantityField path={[...path, 'fuse']} whenEmpty="not known" />
      {keyPositions.map((position) => (
        <QuantityField key={position} path={[...path, position]} whenEmpty="not measured" />
      ))}
      <QuantityField path={[...path, 'sourceResistance']} />
    </div>
  );
}

/** The wires that were found on the vehicle, with the volts in each position of the key. */
export function FoundWires() {
  const { document: build, stored, evaluation, edit } = useBuild();
  const [units] = useUnits();
  const [open, setOpen] = useState<string>();
  const trouble = worstBy(evaluation.findings, (where) =>
    'signal' in where && where.stage === 'devices' ? where.signal : undefined,
  );
  const add = (): void => {
    let n = build.vehicleSignals.length + 1;
    while (Object.hasOwn(stored.vehicleSignals, `found-${n}`)) n += 1;
    const id = `found-${n}`;
    const none = { off: null, acc: null, run: null, crank: null, fuse: null };
    const value = {
      order: 1000 * n,
      name: `Wire ${n}`,
      use: 'other',
      colour: '',
      connector: '',
      cavity: '',
      placementId: build.power.keyedFeedPlacementId,
      base: null,
      stripe: null,
      sourceResistance: null,
      ...none,
    };
    if (edit({ name: 'set', path: ['vehicleSignals', id], value }).ok) setOpen(id);
  };
  const shown = (value: VehicleSignal['run']): string =>
    value === null
      ? '–'
      : formatMeasure(
          { value: quantity(value.value, 'voltage', 'V').value, kind: 'voltage' },
          units,
        );
  return (
    <section className="mt-5" aria-label="Wires found on the vehicle">
      <h2>Wires found on the vehicle</h2>
      <p className="text-second">
        Measured against the battery’s negative with the key in each position.
      </p>
      {build.vehicleSignals.length > 0 && (
        <table className="table-lined mt-1 w-full">
          <thead>
            <tr>
              <th className="text-left">Wire</th>
              <th className="text-left max-[600px]:hidden">For</th>
              {keyPositions.map((position) => (
                <th key={position}>{words[position]}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {build.vehicleSignals.map((signal) => (
              <tr key={signal.id} className={open === signal.id ? 'bg-panel' : ''}>
                <td className="text-left">
                  <button
                    type="button"
                    className="text-left underline"
                    aria-expanded={open === signal.id}
                    onClick={() => setOpen(open === signal.id ? undefined : signal.id)}
                  >
                    {signal.name}
                  </button>{' '}
                  {trouble.has(signal.id) && (
                    <SeverityMark severity={trouble.get(signal.id) ?? 'note'} worded />
                  )}
                </td>
                <td className="text-left max-[600px]:hidden">{signal.use}</td>
                {keyPositions.map((position) => (
                  <td key={position} className="whitespace-nowrap max-[600px]:px-1">
                    {shown(signal[position])}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {build.vehicleSignals
        .filter(({ id }) => id === open)
        .map((signal) => (
          <FoundWire key={signal.id} signal={signal} />
        ))}
      <button type="button" className="act mt-2" onClick={add}>
        Write a wire down
      </button>
    </section>
  );
}
