import {
  type Architecture,
  type Fuel,
  addCircuit,
  architectureNotes,
  architectures,
  lastOf,
  quantity,
} from '@brookrain/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { ChoiceField } from '../../ui/ChoiceField.tsx';

const fuels: Readonly<Record<'methanol' | 'e85' | 'petrol', Fuel>> = {
  methanol: { id: 'second', kind: 'methanol', name: 'Methanol' },
  e85: {
    id: 'second',
    kind: 'petrol-ethanol',
    name: 'E85',
    ethanol: quantity(85, 'ratio', '%'),
    reidVapourPressure: quantity(38, 'pressure', 'kPa'),
    ethanolLowest: quantity(51, 'ratio', '%'),
  },
  petrol: {
    id: 'second',
    kind: 'petrol-ethanol',
    name: 'Petrol E5',
    ethanol: quantity(5, 'ratio', '%'),
    reidVapourPressure: quantity(60, 'pressure', 'kPa'),
    ethanolLowest: null,
  },
};

/** A circuit of its own for a second fuel, with a staged row: the eighth layout. */
export function SecondFuelForm() {
  const { id, document: build, catalogue, edit } = useBuild();
  const [fuel, setFuel] = useState<keyof typeof fuels>('methanol');
  const [architecture, setArchitecture] = useState<Architecture>('return-after-rail');
  const [message, setMessage] = useState<string>();
  const navigate = useNavigate();
  const last = lastOf(build.fuelCircuits);
  return (
    <section className="rule mt-4 pt-3" aria-label="A second fuel">
      <h2>Two fuels in two circuits</h2>
      <p className="text-[13px] text-second">
        Chosen for high boost: the first row starts and drives on one fuel, a staged second row adds
        another that cools the charge. It gives up simplicity: a second tank, pump, filter and
        regulator, and a row whose failure must be caught.
      </p>
      <div className="mt-2 space-y-1.5">
        <ChoiceField
          label="Second fuel"
          value={fuel}
          choices={[
            { value: 'methanol', label: 'methanol' },
            { value: 'e85', label: 'E85' },
            { value: 'petrol', label: 'petrol E5' },
          ]}
          onChoose={setFuel}
        />
        <ChoiceField
          wide
          label="Its layout"
          value={architecture}
          choices={architectures.map((a) => ({ value: a, label: architectureNotes[a].name }))}
          onChoose={setArchitecture}
        />
        <button
          type="button"
          className="act w-full text-center"
          onClick={() => {
            const command = addCircuit({
              document: build,
              catalogue,
              fuel: fuels[fuel],
              architecture,
            });
            const outcome = edit(command);
            setMessage(outcome.ok ? undefined : outcome.issues[0]?.message);
            if (outcome.ok) void navigate(`/builds/${id}/circuit?circuit=${command.circuitId}`);
          }}
        >
          Add a circuit for it
        </button>
        {build.fuelCircuits.length > 1 && (
          <button
            type="button"
            className="act w-full text-center"
            onClick={() => {
              const outcome = edit({ name: 'remove-circuit', circuitId: last.id });
              setMessage(outcome.ok ? undefined : outcome.issues[0]?.message);
            }}
          >
            Take the {last.name} out
          </button>
        )}
      </div>
      {message && (
        <p role="alert" className="mt-1 text-[13px] text-signal">
          {message}
        </p>
      )}
    </section>
  );
}
