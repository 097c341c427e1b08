import type { Issue } from '@brookrain/contract';
import {
  type Aspiration,
  type Quantity,
  type StartAnswers,
  type UnitKind,
  type VehicleUse,
  aspirations,
  inductionInWords,
  parseQuantity,
  quantity,
  usualUnit,
  vehicleUses,
} from '@brookrain/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiError, api } from '../../api/client.ts';
import { Page } from '../../frame/Page.tsx';
import { authorName, useUnits } from '../../ui/preferences.ts';
import { AnswerChoice, AnswerField } from './AnswerField.tsx';

const asked = {
  displacement: { label: 'Displacement', kind: 'volume', unit: 'L', hint: '2.0 L or 122 ci' },
  boost: { label: 'Boost, gauge', kind: 'pressure', unit: 'bar', hint: '0.8 bar or 12 psi' },
  power: { label: 'Power wanted', kind: 'power', unit: 'kW', hint: '150 kW or 200 hp' },
  powerSpeed: { label: 'at engine speed', kind: 'rotation', unit: 'rpm', hint: '6000 rpm' },
  limiterSpeed: { label: 'Limiter', kind: 'rotation', unit: 'rpm', hint: 'a tenth above' },
  ethanol: { label: 'Ethanol in it', kind: 'ratio', unit: '%', hint: '10 %' },
  runLength: { label: 'Tank to engine', kind: 'length', unit: 'm', hint: '3.5 m or 11 ft' },
} as const satisfies Record<string, { label: string; kind: UnitKind; unit: string; hint: string }>;
type Asked = keyof typeof asked;

const usual: Record<Asked, string> = {
  displacement: '',
  boost: '',
  power: '',
  powerSpeed: '',
  limiterSpeed: '',
  ethanol: '10 %',
  runLength: '3.5 m',
};

/** A new build from a few answers to a first verdict. */
export function StartScreen() {
  const [units] = useUnits();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [cylinders, setCylinders] = useState('4');
  const [use, setUse] = useState<VehicleUse>('road');
  const [aspiration, setAspiration] = useState<Aspiration>('natural');
  const [fuelKind, setFuelKind] = useState<StartAnswers['fuelKind']>('petrol-ethanol');
  const [pumpMounting, setMounting] = useState<StartAnswers['pumpMounting']>('external');
  const [texts, setTexts] = useState(usual);
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const boosted = aspiration !== 'natural';

  const start = useMutation({
    mutationFn: (answers: StartAnswers) => api.start({ ...answers, author: authorName() }),
    onSuccess: ({ build, proposed }) => {
      queries.setQueryData(['build', build.id], build);
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void navigate(`/builds/${build.id}/margins`, { state: { proposed } });
    },
    onError: (error) => {
      const issues: readonly Issue[] = error instanceof ApiError ? error.issues : [];
      setWrong(
        issues.length > 0
          ? Object.fromEntries(issues.map((i) => [i.path, i.message]))
          : { form: error.message },
      );
    },
  });

  const submit = (): void => {
    const problems: Record<string, string> = {};
    const answered = {} as Record<Asked, Quantity>;
    for (const key of Object.keys(asked) as Asked[]) {
      const { kind, unit } = asked[key];
      if (key === 'boost' && !boosted) {
        answered[key] = quantity(0, 'pressure', 'bar');
        continue;
      }
      if (key === 'limiterSpeed' && texts[key].trim() === '' && answered.powerSpeed) {
        const rpm = Math.round((1.1 * answered.powerSpeed.value * 60) / 100) * 100;
        answered[key] = quantity(rpm, 'rotation', 'rpm');
        continue;
      }
      const defaultUnit = usualUnit(units, kind, unit);
      const parsed = parseQuantity({
        text: texts[key],
        kind,
        defaultUnit,
        numbers: units.numbers,
      });
      if (parsed.ok) answered[key] = parsed.quantity;
      else problems[key] = parsed.message;
    }
    if (name.trim() === '') problems['name'] = 'A build needs a name.';
    if (!/^\d+$/.test(cylinders.trim())) problems['cylinders'] = 'Enter a whole number.';
    setWrong(problems);
    if (Object.keys(problems).length > 0) return;
    const induction =
      aspiration === 'natural' ? 'naturally aspirated' : inductionInWords[aspiration];
    start.mutate({
      ...answered,
      name: name.trim(),
      vehicle: '',
      engine: `${texts.displacement.trim()}, ${cylinders} cylinders, ${induction}`,
      use,
      cylinders: Number(cylinders),
      aspiration,
      fuelKind,
      pumpMounting,
    });
  };
  const field = (key: Asked) => (
    <AnswerField
      label={asked[key].label}
      hint={asked[key].hint}
      value={texts[key]}
      message={wrong[key]}
      change={(text) => setTexts({ ...texts, [key]: text })}
    />
  );
  return (
    <Page
      title="New build"
      lead="Answer what you know; the rest is proposed and can be changed. Any unit is understood."
    >
      <form
        className="max-w-[760px]"
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <div className="grid grid-cols-2 gap-x-10 gap-y-1.5 border-t-[1.5px] border-ink pt-3 max-[700px]:grid-cols-1">
          <section className="space-y-1.5">
            <h3>Engine</h3>
            <AnswerField
              label="Name of the build"
              hint="as on the job card"
              value={name}
              message={wrong['name']}
              change={setName}
              focus
            />
            {field('displacement')}
            <AnswerField
              label="Cylinders"
              hint="4"
              value={cylinders}
              message={wrong['cylinders']}
              change={setCylinders}
            />
            <AnswerChoice
              label="Induction"
              value={aspiration}
              choices={aspirations.map((value) => ({
                value,
                label: inductionInWords[value],
              }))}
              choose={setAspiration}
            />
            {boosted && field('boost')}
            {field('power')}
            {field('powerSpeed')}
            {field('limiterSpeed')}
          </section>
          <section className="space-y-1.5">
            <h3>Fuel and vehicle</h3>
            <AnswerChoice
              label="Fuel"
              value={fuelKind}
              choices={[
                { value: 'petrol-ethanol', label: 'petrol blend' },
                { value: 'methanol', label: 'methanol' },
              ]}
              choose={setFuelKind}
            />
            {fuelKind === 'petrol-ethanol' && field('ethanol')}
            <AnswerChoice
              label="Pump"
              value={pumpMounting}
              choices={[
                { value: 'external', label: 'outside the tank' },
                { value: 'in-tank', label: 'in the tank' },
              ]}
              choose={setMounting}
            />
            {field('runLength')}
            <AnswerChoice
              label="Used"
              value={use}
              choices={vehicleUses.map((value) => ({
                value,
                label: {
                  road: 'on the road',
                  'two-or-three-wheeler': 'two or three wheels',
                  'off-road': 'off road',
                  competition: 'competition',
                }[value],
              }))}
              choose={setUse}
            />
          </section>
        </div>
        {wrong['form'] && (
          <p role="alert" className="mt-3 text-signal">
            {wrong['form']}
          </p>
        )}
        <button type="submit" className="act act-main mt-5 min-h-9 px-4" disabled={start.isPending}>
          {start.isPending ? 'Working out a first design' : 'Start: propose a design and judge it'}
        </button>
      </form>
    </Page>
  );
}
