type Props<Value extends string> = {
  label: string;
  value: Value;
  choices: readonly { readonly value: Value; readonly label: string }[];
  onChoose: (value: Value) => void;
};

/** One of a few that are all in sight; marked by a thick line under it. */
export function Tabs<Value extends string>({ label, value, choices, onChoose }: Props<Value>) {
  return (
    <div className="flex flex-wrap gap-1" role="radiogroup" aria-label={label}>
      {choices.map((choice) => (
        <button
          key={choice.value}
          type="button"
          role="radio"
          aria-checked={value === choice.value}
          className={`min-h-7 border-b-[3px] px-2 ${value === choice.value ? 'border-moss font-medium' : 'border-transparent text-second hover:text-ink'}`}
          onClick={() => onChoose(choice.value)}
        >
          {choice.label}
        </button>
      ))}
    </div>
  );
}
