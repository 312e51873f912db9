interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
}

/** One of a list. The browser's own list: it is the best there is on a phone and by keyboard. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  className = '',
}: Props<T>) {
  return (
    <select
      aria-label={label}
      title={options.find((option) => option.value === value)?.label}
      value={value}
      onChange={(event) => {
        const chosen = options.find((option) => option.value === event.target.value);
        if (chosen) onChange(chosen.value);
      }}
      className={`min-h-11 w-full min-w-0 appearance-none truncate border border-transparent border-b-rule bg-transparent px-1 hover:border-rule focus:bg-paper md:min-h-7 ${className}`}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value} className="bg-paper text-ink">
          {option.label}
        </option>
      ))}
    </select>
  );
}
