type Props = {
  label: string;
  /** what may be searched for, while it is empty */
  hint: string;
  value: string;
  onChange: (value: string) => void;
};

/** A field for words that are looked for as they are typed. */
export function SearchField({ label, hint, value, onChange }: Props) {
  return (
    <input
      type="search"
      aria-label={label}
      placeholder={hint}
      className="field max-w-[320px]"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
