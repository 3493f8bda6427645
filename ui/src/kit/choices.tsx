import { RadioGroup, ToggleGroup } from "radix-ui";
import type { InputHTMLAttributes, SelectHTMLAttributes } from "react";
import type { Option } from "./form";

/** One of a few, all in sight. */
export function Choice({
  label,
  name,
  options,
  value,
  onPick,
}: {
  label: string;
  name?: string;
  options: readonly Option[];
  value: string;
  onPick: (value: string) => void;
}) {
  return (
    <RadioGroup.Root aria-label={label} name={name} value={value} onValueChange={onPick} className="grid gap-1">
      {options.map(([key, words]) => (
        <label key={key} className="flex gap-2 items-center min-h-[30px] phone:min-h-[44px]">
          <RadioGroup.Item
            value={key}
            className="size-5 shrink-0 rounded-full border-2 border-edge grid place-items-center"
          >
            <RadioGroup.Indicator className="size-2.5 rounded-full bg-rim" />
          </RadioGroup.Item>
          {words}
        </label>
      ))}
    </RadioGroup.Root>
  );
}

/** One of a few, as buttons in a row that stay pressed. */
export function Toggles({
  label,
  options,
  value,
  onPick,
  className = "flex flex-wrap gap-1",
}: {
  label: string;
  options: readonly Option[];
  value: string;
  onPick: (value: string) => void;
  className?: string;
}) {
  return (
    <ToggleGroup.Root type="single" aria-label={label} value={value} onValueChange={onPick} className={className}>
      {options.map(([key, words]) => (
        <ToggleGroup.Item key={key} value={key} className="btn" data-look={key === value ? "main" : "quiet"}>
          {words}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

/** One of a list where its words alone say what it is for: a filter, a choice in a row. */
export function Select({
  label,
  options,
  none,
  className = "!w-auto",
  onPick,
  ...rest
}: Omit<SelectHTMLAttributes<HTMLSelectElement>, "onChange"> & {
  label: string;
  options: readonly Option[];
  /** What stands for no choice; it cannot be chosen again where it is no answer (`disabled`). */
  none?: string | { words: string; disabled: true };
  onPick?: (value: string) => void;
}) {
  const empty = typeof none === "string" ? { words: none, disabled: false } : none;
  return (
    <select
      aria-label={label}
      className={`field ${className}`}
      onChange={onPick && ((event) => onPick(event.target.value))}
      {...rest}
    >
      {empty && (
        <option value="" disabled={empty.disabled}>
          {empty.words}
        </option>
      )}
      {options.map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </select>
  );
}

/** Where one types to find something in a list. */
export function Find({
  label,
  onFind,
  className = "",
  ...rest
}: Omit<InputHTMLAttributes<HTMLInputElement>, "onChange"> & { label: string; onFind: (text: string) => void }) {
  return (
    <input
      data-find
      aria-label={label}
      placeholder={label}
      className={`field ${className}`}
      onChange={(event) => onFind(event.target.value)}
      {...rest}
    />
  );
}
