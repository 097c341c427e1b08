import {
  type StartAnswers,
  type VehicleUse,
  aspirations,
  inductionInWords,
  vehicleUses,
} from '@brookrain/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Controller, type FieldErrors, type Resolver, useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { ApiError, api } from '../../api/client.ts';
import { Page } from '../../frame/Page.tsx';
import { focusNextScreen } from '../../frame/jumpFocus.ts';
import { authorName, useUnits } from '../../ui/preferences.ts';
import { AnswerChoice, AnswerField } from './AnswerField.tsx';
import {
  type Asked,
  type StartProblems,
  type StartTexts,
  asked,
  emptyStart,
  problemsOf,
  readStart,
} from './startTexts.ts';

/** Problems as the form keeps them; what is about no field stands at its root. */
const errorsOf = ({ form, ...fields }: StartProblems): FieldErrors<StartTexts> => ({
  ...Object.fromEntries(
    Object.entries(fields).map(([key, message]) => [key, { type: 'check', message }]),
  ),
  ...(form === undefined ? {} : { root: { form: { type: 'check', message: form } } }),
});

const useInWords: Record<VehicleUse, string> = {
  road: 'on the road',
  'two-or-three-wheeler': 'two or three wheels',
  'off-road': 'off road',
  competition: 'competition',
};

/** A new build from a few answers to a first verdict. */
export function StartScreen() {
  const [units] = useUnits();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const resolver: Resolver<StartTexts, unknown, StartAnswers> = (texts) => {
    const read = readStart(texts, units);
    return read.ok
      ? { values: read.answers, errors: {} }
      : { values: {}, errors: errorsOf(read.problems) };
  };
  const form = useForm<StartTexts, unknown, StartAnswers>({ defaultValues: emptyStart, resolver });
  const { errors } = form.formState;
  const [aspiration, fuelKind] = form.watch(['aspiration', 'fuelKind']);

  const start = useMutation({
    mutationFn: (answers: StartAnswers) => api.start({ ...answers, author: authorName() }),
    onSuccess: ({ build, proposed }) => {
      queries.setQueryData(['build', build.id], build);
      void queries.invalidateQueries({ queryKey: ['builds'] });
      focusNextScreen();
      void navigate(`/builds/${build.id}/margins`, { state: { proposed } });
    },
    onError: (error) => {
      const issues = error instanceof ApiError ? error.issues : [];
      const problems = issues.length > 0 ? problemsOf(issues) : { form: error.message };
      for (const [field, message] of Object.entries(problems)) {
        form.setError(field === 'form' ? 'root.form' : (field as keyof StartTexts), { message });
      }
    },
  });
  const field = (key: Asked) => (
    <AnswerField
      label={asked[key].label}
      hint={asked[key].hint}
      message={errors[key]?.message}
      field={form.register(key)}
    />
  );
  const choice = <Key extends 'aspiration' | 'fuelKind' | 'pumpMounting' | 'use'>(
    name: Key,
    label: string,
    choices: readonly { readonly value: StartTexts[Key]; readonly label: string }[],
  ) => (
    <Controller
      control={form.control}
      name={name}
      render={({ field: { value, onChange } }) => (
        <AnswerChoice
          label={label}
          value={value as StartTexts[Key]}
          choices={choices}
          choose={onChange}
        />
      )}
    />
  );
  return (
    <Page
      title="New build"
      lead="Answer what you know; the rest is proposed and can be changed. Any unit is understood."
    >
      <form
        className="max-w-[760px]"
        noValidate
        onSubmit={(event) => void form.handleSubmit((answers) => start.mutate(answers))(event)}
      >
        <div className="grid grid-cols-2 gap-x-10 gap-y-1.5 border-t-[1.5px] border-ink pt-3 max-[700px]:grid-cols-1">
          <section className="space-y-1.5">
            <h3>Engine</h3>
            <AnswerField
              label="Name of the build"
              hint="as on the job card"
              message={errors.name?.message}
              field={form.register('name')}
              focus
            />
            {field('displacement')}
            <AnswerField
              label="Cylinders"
              hint="4"
              message={errors.cylinders?.message}
              field={form.register('cylinders')}
            />
            {choice(
              'aspiration',
              'Induction',
              aspirations.map((value) => ({ value, label: inductionInWords[value] })),
            )}
            {aspiration !== 'natural' && field('boost')}
            {field('power')}
            {field('powerSpeed')}
            {field('limiterSpeed')}
          </section>
          <section className="space-y-1.5">
            <h3>Fuel and vehicle</h3>
            {choice('fuelKind', 'Fuel', [
              { value: 'petrol-ethanol', label: 'petrol blend' },
              { value: 'methanol', label: 'methanol' },
            ])}
            {fuelKind === 'petrol-ethanol' && field('ethanol')}
            {choice('pumpMounting', 'Pump', [
              { value: 'external', label: 'outside the tank' },
              { value: 'in-tank', label: 'in the tank' },
            ])}
            {field('runLength')}
            {choice(
              'use',
              'Used',
              vehicleUses.map((value) => ({ value, label: useInWords[value] })),
            )}
          </section>
        </div>
        {errors.root?.['form'] && (
          <p role="alert" className="mt-3 text-signal">
            {errors.root['form'].message}
          </p>
        )}
        <button type="submit" className="act act-main mt-5 min-h-9 px-4" disabled={start.isPending}>
          {start.isPending ? 'Working out a first design' : 'Start: propose a design and judge it'}
        </button>
      </form>
    </Page>
  );
}
