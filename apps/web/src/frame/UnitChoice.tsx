import { useUnitChoice, type UnitChoice as Choice } from '../ui/preferences.ts';

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
    <select
      aria-label="Units"
      className="h-7 max-w-[136px] bg-transparent px-1"
      value={choice}
      onChange={(event) => choose(event.target.value as Choice)}
    >
      {unitChoices.map(({ value, label }) => (
        <option key={value} value={value}>
          {label}
        </option>
      ))}
    </select>
  );
}
