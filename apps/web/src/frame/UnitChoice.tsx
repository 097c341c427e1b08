import { useUnitChoice, type UnitChoice as Choice } from '../ui/preferences.ts';
import { Select } from '../ui/Select.tsx';

export const unitChoices: readonly { value: Choice; label: string }[] = [
  { value: 'build', label: 'as the build' },
  { value: 'metric', label: 'metric' },
  { value: 'us', label: 'US' },
  { value: 'mixed', label: 'mixed (psi, hp)' },
];

/** Units in which this person reads computed figures. */
export function UnitChoice() {
  const [choice, choose] = useUnitChoice();
  return (
    <Select
      name="Units"
      className="w-[136px] border-transparent bg-transparent!"
      value={choice}
      choices={unitChoices}
      onChoose={choose}
    />
  );
}
