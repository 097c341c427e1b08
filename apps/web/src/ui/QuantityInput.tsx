import {
  type Quantity,
  type UnitKind,
  echoQuantity,
  parseQuantity,
  usualUnit,
} from '@brookrain/core';
import type { EditOutcome } from '../build/BuildContext.ts';
import { type Taken, TypedInput } from './TypedInput.tsx';
import { useUnits } from './preferences.ts';

type Props = {
  label: string;
  help?: string | undefined;
  kind: UnitKind;
  /** metric unit taken for a bare number */
  unit: string;
  value: Quantity | null;
  /** may be empty; what applies then */
  optional?: boolean | undefined;
  whenEmpty?: string | undefined;
  /** stores it; null is empty */
  store: (value: Quantity | null) => EditOutcome;
};

/** A quantity typed freely with its unit, echoed as typed. */
export function QuantityInput(props: Props) {
  const { label, help, kind, unit, value, optional = false, whenEmpty, store } = props;
  const [reading] = useUnits();
  const { numbers } = reading;
  const take = (text: string): Taken => {
    if (text.trim() === '' && optional) return outcomeOf(store(null), '');
    // A bare ratio is read by the rule of its field, whatever it was typed in before.
    const typedUnit = kind === 'ratio' ? undefined : value?.unit;
    const defaultUnit = typedUnit ?? usualUnit(reading, kind, unit);
    const parsed = parseQuantity({ text, kind, defaultUnit, numbers });
    if (!parsed.ok) return { message: parsed.message };
    return outcomeOf(store(parsed.quantity), echoQuantity(parsed.quantity, kind, numbers));
  };
  return (
    <TypedInput
      label={label}
      help={help}
      kept={value ? echoQuantity(value, kind, numbers) : ''}
      whenEmpty={whenEmpty}
      take={take}
    />
  );
}

const outcomeOf = (outcome: EditOutcome, shown: string): Taken =>
  outcome.ok ? { shown } : { message: outcome.issues[0]?.message };
