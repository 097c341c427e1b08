import {
  type FigureRef,
  NOTHING_FLOWS,
  benchLength,
  type Reading,
  formatMeasure,
  shownKind,
} from '@brookrain/core';
import { Popover } from 'radix-ui';
import { type ShownFigure, useBuild } from '../build/BuildContext.ts';
import { Working } from './Working.tsx';
import { useUnits } from './preferences.ts';

/** A computed figure; opens its working on click or Enter. */
export function Figure({
  of,
  digits = 3,
  atBench = false,
}: {
  of: FigureRef;
  digits?: number;
  /** lengths in whole millimetres, as they are marked on a hose */
  atBench?: boolean;
}) {
  const { results, settling } = useBuild();
  const [units] = useUnits();
  const result = results.find(of);
  if (!result) return <span className="text-second">not solved</span>;
  const text =
    atBench && result.kind === 'length'
      ? benchLength(result.value, units)
      : show(result, units, digits);
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`figure-button ${settling ? 'text-second' : ''}`}
        aria-label={`${result.label}: ${text}. Show the working`}
        data-figure={of.key}
      >
        {split(text)}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          className="settle z-30 w-[380px] max-w-[94vw] border border-ink bg-paper p-3"
          sideOffset={4}
          collisionPadding={8}
        >
          <Working figure={of.key} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function show(result: ShownFigure, units: Reading, digits: number): string {
  const kind = shownKind(result.key, result.kind);
  const isFlow = kind === 'volumeFlow' || kind === 'massFlow';
  if (isFlow && Math.abs(result.value) < NOTHING_FLOWS) return 'nothing flows';
  return formatMeasure({ value: result.value, kind }, units, digits);
}

/** Figure first, unit lighter. */
function split(text: string) {
  const at = text.indexOf(' ');
  if (at < 0) return text;
  return (
    <>
      {text.slice(0, at)} <span className="text-second">{text.slice(at + 1)}</span>
    </>
  );
}
