import { type BusChain, busRates, electricsFigure, formatMeasure } from '@brookrain/core';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { Figure } from '../../ui/Figure.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** One bus: who is on it, how fast it runs, what a meter reads across it. */
function Bus({ bus }: { bus: BusChain }) {
  const { document: build, edit, results } = useBuild();
  const [units] = useUnits();
  const across = electricsFigure('can.termination', { bus: bus.id });
  const choose = (rate: string): void => {
    if (bus.busId !== undefined) {
      edit({ name: 'set', path: ['buses', bus.busId, 'rate'], value: rate });
      return;
    }
    const order = 1000 * (build.buses.length + 1);
    const value = { order, name: bus.name.slice(0, 80), partId: bus.id, pin: bus.pin, rate };
    edit({ name: 'set', path: ['buses', `bus-of-${bus.id}`.slice(0, 40)], value });
  };
  const longest = Math.max(0, ...bus.members.map(({ stub }) => stub));
  const metres = (value: number): string => formatMeasure({ value, kind: 'length' }, units);
  return (
    <li className="rule py-2">
      <div className="max-w-[320px]">
        <ChoiceField
          label={bus.name}
          value={bus.rate}
          choices={busRates.map((value) => ({ value, label: value }))}
          onChoose={choose}
        />
      </div>
      <p className="mt-1 text-[13px] text-second">
        {bus.members.map(({ name }) => name).join(', ')}. Longest stub {metres(longest)}, at most{' '}
        {metres(bus.longestStub)}.{' '}
        {bus.terminated ? 'Terminated at its two ends' : 'Not terminated at its two ends'}
        {results.find(across) && (
          <>
            ; with the power off a meter reads <Figure of={across} /> across it
          </>
        )}
        .
      </p>
    </li>
  );
}

/** The buses of the vehicle, as its wires make them. */
export function Buses() {
  const { evaluation } = useBuild();
  if (evaluation.buses.length === 0) return null;
  return (
    <section className="mt-4 max-w-[640px]" aria-label="Buses">
      <h2>Buses</h2>
      <ul>
        {evaluation.buses.map((bus) => (
          <Bus key={`${bus.id} ${bus.pin}`} bus={bus} />
        ))}
      </ul>
    </section>
  );
}
