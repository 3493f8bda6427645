import { RadioGroup, ToggleGroup } from "radix-ui";
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
