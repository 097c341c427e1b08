import { type LineSheet, benchLength, formatMeasure, stepInWords, systemOf } from '@brookrain/core';
import { useState } from 'react';
import { useBuild } from '../../build/BuildContext.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { ChoiceField } from '../../ui/ChoiceField.tsx';
import { ClockFace } from '../../ui/ClockFace.tsx';
import { Screen } from '../../ui/Screen.tsx';
import { useUnits } from '../../ui/preferences.ts';
import { useLineSheet } from './useLineSheet.ts';
import { useMadeLine } from './useMadeLine.ts';

function Big({ name, value }: { name: string; value: string }) {
  return (
    <div className="border-t-[0.75px] border-hair py-2">
      <dt className="text-[16px] text-second">{name}</dt>
      <dd className="text-[34px] leading-[40px] font-medium">{value}</dd>
    </div>
  );
}

/** What is laid out before a line is begun. */
function Parts({ card }: LineSheet) {
  return (
    <section className="rule mt-4 pt-2 max-[900px]:order-last" aria-label="Lay out">
      <h2>Lay out</h2>
      <ul>
        <li>{card.hose}</li>
        {card.parts.map(({ words, count }) => (
          <li key={words}>
            {count} × {words}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The steps one after another: one in sight on a phone, all of them at the desk. */
function Steps({ card }: LineSheet) {
  const [at, setAt] = useState(0);
  const [units] = useUnits();
  const { steps } = card;
  const last = steps.length - 1;
  const step = steps[Math.min(at, last)];
  return (
    <>
      <ol className="rule mt-4 list-decimal space-y-2 pt-2 pl-6 max-[900px]:hidden">
        {steps.map((each, i) => (
          <li key={i}>
            <strong className="font-medium">{each.title}.</strong> {stepInWords(each, units)}
          </li>
        ))}
      </ol>
      {step && (
        <section className="rule mt-4 pt-2 min-[901px]:hidden" aria-label="Step">
          <p className="text-[16px] text-second">
            Step {Math.min(at, last) + 1} of {steps.length}
          </p>
          <h2 className="text-[22px] leading-[28px]">{step.title}</h2>
          <p className="mt-2 text-[18px] leading-[26px]">{stepInWords(step, units)}</p>
          <div className="mt-4 flex gap-2">
            <button
              type="button"
              className="act h-12 flex-1 text-[17px]"
              disabled={at === 0}
              onClick={() => setAt(Math.max(0, at - 1))}
            >
              Back
            </button>
            <button
              type="button"
              className="act act-main h-12 flex-1 text-[17px]"
              disabled={at >= last}
              onClick={() => setAt(Math.min(last, at + 1))}
            >
              Next
            </button>
          </div>
        </section>
      )}
    </>
  );
}

/** How one line is made, to be read at the bench: figures first, then step by step. */
export function CardScreen() {
  const { id, evaluation } = useBuild();
  const [units] = useUnits();
  const { line, pick } = useMadeLine();
  const sheet = useLineSheet(line?.lineId ?? '');
  const card = sheet?.card;
  const mm = (value: number): string => benchLength(value, units);
  return (
    <Screen
      title="Work cards"
      lead="One line at a time, as it is made at the bench: what to lay out, where to cut, how to clock, how to test."
    >
      <div className="max-w-[760px]">
        <div className="max-w-[420px]">
          <ChoiceField
            label="Line"
            wide
            large
            value={line?.lineId ?? ''}
            choices={evaluation.made.map(({ lineId, name }) => ({ value: lineId, label: name }))}
            onChoose={pick}
          />
        </div>
        {line && sheet && card && (
          <>
            <dl className="mt-3 grid grid-cols-2 gap-x-6 min-[700px]:grid-cols-3">
              <Big name="Cut to" value={card.cut === undefined ? 'ends are open' : mm(card.cut)} />
              {card.uncertainty !== undefined && (
                <Big name="Known to ±" value={mm(card.uncertainty)} />
              )}
              {card.testPressure !== undefined && (
                <Big
                  name="Test with liquid"
                  value={formatMeasure({ value: card.testPressure, kind: 'pressure' }, units)}
                />
              )}
            </dl>
            <ClockFace lineId={line.lineId} />
            <div className="flex flex-col">
              <Parts {...sheet} />
              <Steps key={line.lineId} {...sheet} />
            </div>
            <p className="mt-4">
              <a href={`/api/builds/${id}/cards/${line.lineId}.pdf?units=${systemOf(units)}`}>
                Card as PDF
              </a>
              {' · '}
              <a href={`/api/builds/${id}/cards.pdf?units=${systemOf(units)}`}>All cards as PDF</a>
            </p>
          </>
        )}
        <Cautions place="lines" />
      </div>
    </Screen>
  );
}
