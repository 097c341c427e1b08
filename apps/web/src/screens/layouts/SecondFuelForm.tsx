import {
  type Architecture,
  type Fuel,
  addCircuit,
  architectureNotes,
  architectures,
  lastOf,
  quantity,
} from '@brookrain/core';
import { Controller, useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { useBuild } from '../../build/BuildContext.ts';
import { focusNextScreen } from '../../frame/jumpFocus.ts';
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

interface SecondFuel {
  readonly fuel: keyof typeof fuels;
  readonly architecture: Architecture;
}

type Outcome = ReturnType<ReturnType<typeof useBuild>['edit']>;

/** A circuit of its own for a second fuel, with a staged row: the eighth layout. */
export function SecondFuelForm() {
  const { id, document: build, catalogue, edit } = useBuild();
  const form = useForm<SecondFuel>({
    defaultValues: { fuel: 'methanol', architecture: 'return-after-rail' },
  });
  const message = form.formState.errors.root?.message;
  const tell = (outcome: Outcome): void => {
    if (outcome.ok) form.clearErrors();
    else form.setError('root', { message: outcome.issues[0]?.message ?? 'Not possible' });
  };
  const navigate = useNavigate();
  const last = lastOf(build.fuelCircuits);
  return (
    <section className="rule mt-4 pt-3" aria-label="A second fuel">
      <h2>Two fuels in two circuits</h2>
      <p className="text-[13px] text-second">
        Chosen for high boost: the first row starts and drives on one fuel, a staged second row adds
        another that cools the charge. It costs simplicity: a second tank, pump, filter and
        regulator, and a row whose failure must be detected.
      </p>
      <form
        className="mt-2 space-y-1.5"
        onSubmit={(event) =>
          void form.handleSubmit(({ fuel, architecture }) => {
            const command = addCircuit({
              document: build,
              catalogue,
              fuel: fuels[fuel],
              architecture,
            });
            const outcome = edit(command);
            tell(outcome);
            if (!outcome.ok) return;
            focusNextScreen();
            void navigate(`/builds/${id}/circuit?circuit=${command.circuitId}`);
          })(event)
        }
      >
        <Controller
          control={form.control}
          name="fuel"
          render={({ field: { value, onChange } }) => (
            <ChoiceField
              label="Second fuel"
              value={value}
              choices={[
                { value: 'methanol', label: 'methanol' },
                { value: 'e85', label: 'E85' },
                { value: 'petrol', label: 'petrol E5' },
              ]}
              onChoose={onChange}
            />
          )}
        />
        <Controller
          control={form.control}
          name="architecture"
          render={({ field: { value, onChange } }) => (
            <ChoiceField
              wide
              label="Its layout"
              value={value}
              choices={architectures.map((a) => ({ value: a, label: architectureNotes[a].name }))}
              onChoose={onChange}
            />
          )}
        />
        <button type="submit" className="act w-full text-center">
          Add a circuit for it
        </button>
        {build.fuelCircuits.length > 1 && (
          <button
            type="button"
            className="act w-full text-center"
            onClick={() => tell(edit({ name: 'remove-circuit', circuitId: last.id }))}
          >
            Take the {last.name} out
          </button>
        )}
      </form>
      {message && (
        <p role="alert" className="mt-1 text-[13px] text-signal">
          {message}
        </p>
      )}
    </section>
  );
}
