import {
  type ElectricCase,
  type StripStep,
  electricCaseWords,
  electricCases,
  formatMeasure,
} from '@brookrain/core';
import { useState } from 'react';
import { type Question, useWorkerAnswer } from '../../evaluation/useWorkerAnswer.ts';
import { Select } from '../../ui/Select.tsx';
import { useUnits } from '../../ui/preferences.ts';

/** A drop of less reads as none, V. */
const NOTHING = 5e-5;

type About = { readonly deviceId: string; readonly inCase: ElectricCase };
type Lines = Awaited<ReturnType<Parameters<Question<About, unknown>>[0]['strip']>>;
const ask: Question<About, Lines> = (worker, document, about) => worker.strip(document, about);

/** A part on the way, with the volts there. */
function Step({ step, first }: { step: StripStep; first: boolean }) {
  const [units] = useUnits();
  const measure = (value: number, kind: 'voltage' | 'length' | 'current') =>
    formatMeasure({ value, kind }, units);
  const { wire } = step;
  return (
    <li className="flex items-stretch">
      {!first && (
        <span className="flex min-w-[104px] flex-col items-center justify-center px-1 text-center text-[12px] text-second">
          {wire ? (
            <>
              <span>
                {wire.size}, {measure(wire.length, 'length')}
              </span>
              <span aria-hidden="true" className="my-0.5 w-full border-t-2 border-moss" />
              <span>
                {measure(wire.current, 'current')}, {wire.drop < NOTHING ? '' : '−'}
                {measure(wire.drop < NOTHING ? 0 : wire.drop, 'voltage')}
              </span>
            </>
          ) : (
            <span aria-hidden="true" className="w-full border-t border-dashed border-edge" />
          )}
        </span>
      )}
      <span className="border border-edge bg-panel px-2 py-1">
        <span className="block max-w-[150px] truncate" title={step.name}>
          {step.name}
        </span>
        <span className="block text-[12px] text-second">
          {step.pin}
          {step.volts !== undefined && `, ${measure(step.volts, 'voltage')}`}
        </span>
      </span>
    </li>
  );
}

/** A device from the end backwards: each pin with everything between it and where it leads. */
export function DeviceStrip({ deviceId, name }: { deviceId: string; name: string }) {
  const [inCase, setCase] = useState<ElectricCase>('worst');
  const { answer } = useWorkerAnswer(ask, { deviceId, inCase });
  if (!answer || answer.length === 0) return null;
  return (
    <section className="mb-4" aria-label="Traced back to the source">
      <div className="flex flex-wrap items-center gap-2">
        <h2>{name}, traced back to its source</h2>
        <Select
          name="Volts when"
          value={inCase}
          choices={electricCases.map((value) => ({ value, label: electricCaseWords[value] }))}
          onChoose={setCase}
          className="w-[150px]"
        />
      </div>
      {answer.map((line) => (
        <div key={line.pin} className="mt-2">
          <p className="text-[13px] text-second">
            {line.pin}: {line.name}
          </p>
          <ol className="flex flex-wrap gap-y-2" aria-label={`Route of ${line.name}`}>
            {line.steps.map((step, i) => (
              <Step key={`${step.partId}:${step.pin}`} step={step} first={i === 0} />
            ))}
          </ol>
        </div>
      ))}
    </section>
  );
}
