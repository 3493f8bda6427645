import {
  createContext,
  use,
  useEffect,
  useRef,
  useState,
  type FormEvent,
  type InputHTMLAttributes,
  type ReactNode,
  type SelectHTMLAttributes,
} from "react";
import { Button } from "./kit";
import { keepFields, restoreFields, forgetFields } from "./drafts";
import { typedUnits } from "../words/region";
import * as say from "../words/kit";

const Busy = createContext(false);

interface FormProps {
  /** Answers something truthy once it is taken in; until then the form keeps what was typed. */
  onSave: (fields: FormData) => unknown;
  /** A name under which half-filled fields outlive a reload, another view and a refusal. */
  keep?: string;
  /** What the record was when these fields were begun: goes along as the field "version". */
  version?: number;
  label?: string;
  className?: string;
  /** Told once it is drawn, and with every change. */
  onInput?: (form: HTMLFormElement) => void;
  children: ReactNode;
}

/** A form that is sent once at a time, and loses nothing that was typed into it. */
export function Form({ onSave, keep, version, label, className = "grid gap-3", onInput, children }: FormProps) {
  const [busy, setBusy] = useState(false);
  const [restored, setRestored] = useState(false);
  const form = useRef<HTMLFormElement | null>(null);
  const tell = useRef(onInput);
  useEffect(() => {
    tell.current = onInput;
  });
  useEffect(() => {
    if (!form.current) return;
    if (keep && restoreFields(keep, form.current)) setRestored(true);
    tell.current?.(form.current);
  }, [keep]);
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    event.stopPropagation();
    if (busy) return;
    setBusy(true);
    try {
      if ((await onSave(new FormData(event.currentTarget))) && keep) forgetFields(keep);
    } finally {
      setBusy(false);
    }
  };
  const input = () => {
    if (!form.current) return;
    if (keep) keepFields(keep, form.current);
    onInput?.(form.current);
  };
  const anew = () => {
    if (keep) forgetFields(keep);
    form.current?.reset();
    setRestored(false);
    if (form.current) onInput?.(form.current);
  };
  return (
    <Busy value={busy}>
      <form
        ref={form}
        aria-label={label}
        aria-busy={busy}
        className={className}
        onSubmit={(event) => void submit(event)}
        onInput={input}
      >
        {version !== undefined && <input type="hidden" name="version" defaultValue={version} />}
        {restored && (
          <p role="status" className="text-soft text-small">
            {say.whatYouTypedBefore}{" "}
            <button type="button" className="text-rim underline" onClick={anew}>
              {say.startAnew}
            </button>
          </p>
        )}
        {children}
      </form>
    </Busy>
  );
}

/** The button that sends the form it stands in; while it is sent, it says so and does not send it again. */
export function Submit({
  children,
  disabled,
  className,
}: {
  children: ReactNode;
  disabled?: boolean;
  className?: string;
}) {
  const busy = use(Busy);
  return (
    <Button type="submit" look="main" className={className} disabled={disabled} aria-busy={busy}>
      {children}
    </Button>
  );
}

interface FieldProps {
  label: ReactNode;
  /** What to know before filling it in. */
  note?: ReactNode;
  /** What was wrong with it. */
  fault?: string;
  /** The label stands beside the box, which then is small. */
  beside?: boolean;
  /** Classes of the label with its box. */
  wide?: string;
}

/** A box with its label, what to know before, and what was wrong. */
export function Field({
  label,
  note,
  fault,
  beside = false,
  wide = "",
  children,
}: FieldProps & { children: ReactNode }) {
  return (
    <label
      className={`${beside ? "grid grid-cols-[1fr_100px] gap-2 items-center" : "grid gap-1 content-start"} ${wide}`}
    >
      <span className={beside ? "" : "font-semibold"}>{label}</span>
      {children}
      {note && <span className="text-soft text-small">{note}</span>}
      {fault && (
        <span role="alert" className="text-beet text-small">
          {fault}
        </span>
      )}
    </label>
  );
}

type Input = FieldProps & InputHTMLAttributes<HTMLInputElement>;

function Box({ label, note, fault, beside, wide, className = "", ...rest }: Input) {
  return (
    <Field {...{ label, note, fault, beside, wide }}>
      <input className={`field ${className}`} aria-invalid={fault ? true : undefined} {...rest} />
    </Field>
  );
}

/** A line of words. */
export function Text(props: Input) {
  return <Box {...props} />;
}

/** A whole number within bounds. */
export function Whole(props: Input) {
  return <Box type="number" inputMode="numeric" {...props} />;
}

/** A day of the calendar. */
export function Day(props: Input) {
  return <Box type="date" {...props} />;
}

type AmountProps = Input & { whole?: number; places?: number; unit?: string; onAmount?: (amount: string) => void };

/**
 * An amount with point or comma, as people write it; `unit` says in what, and where the household has several, which.
 */
export function Amount({ whole = 9, places = 6, unit, label, onAmount, ...rest }: AmountProps) {
  const units = typedUnits(unit ?? "");
  // What stands there already is in the house's own unit.
  const [words, setWords] = useState(
    (rest.defaultValue ? units.find((one) => Number(one.is) === 1) : units[0])?.words ?? "",
  );
  const [text, setText] = useState("");
  const type = (value: string) => {
    setText(value);
    onAmount?.(inBase(value, words));
  };
  const choose = (next: string) => {
    setWords(next);
    onAmount?.(inBase(text, next));
  };
  const number = (
    <Box
      inputMode="decimal"
      pattern={decimal(whole, places)}
      title={say.numberSuch250}
      onInput={(event) => type(event.currentTarget.value)}
      {...rest}
      {...(units.length > 1 ? { placeholder: "" } : {})}
      label={
        unit && units.length < 2 ? (
          <>
            {label}
            {say.inIt} {unit}
          </>
        ) : (
          label
        )
      }
    />
  );
  if (units.length < 2) return number;
  return (
    <div className="grid grid-cols-[1fr_auto] gap-1 items-end">
      {number}
      <select
        className="field !w-auto"
        name={rest.name ? `${rest.name}.unit` : undefined}
        aria-label={say.inWhich}
        defaultValue={words}
        onChange={(event) => choose(event.target.value)}
      >
        {units.map((one) => (
          <option key={one.words}>{one.words}</option>
        ))}
      </select>
    </div>
  );
}

/** @returns the pattern of a decimal number with at most so many digits before and behind the point */
export function decimal(whole: number, places: number): string {
  return `[0-9]{0,${whole}}([.,][0-9]{1,${places}})?`;
}

/** What a person typed as an amount, as the house reads it. */
export function amountOf(value: FormDataEntryValue | string | null): string {
  const text = String(value ?? "")
    .trim()
    .replace(",", ".");
  return text.startsWith(".") ? `0${text}` : text;
}

const UNITS = ["g", "ml"];

/** An amount in the house's own unit: "4" oz are "113.398093" g. */
export function inBase(value: string, words: string | null | undefined): string {
  const text = amountOf(value);
  const unit = words ? UNITS.flatMap(typedUnits).find((one) => one.words === words) : undefined;
  return text === "" || !unit || Number(unit.is) === 1
    ? text
    : String(Number((Number(text) * Number(unit.is)).toFixed(6)));
}

/** The amount a form says under that name, in the house's own unit; "" where it says none. */
export function amountIn(form: FormData, name: string): string {
  const unit = form.get(`${name}.unit`);
  return inBase(String(form.get(name) ?? ""), typeof unit === "string" ? unit : null);
}

export type Option = readonly [value: string, words: string];

/** One of a list that may be long: the device's own list, which every hand and reader knows. */
export function Pick({
  label,
  note,
  fault,
  beside,
  wide,
  options,
  none,
  className = "",
  ...rest
}: FieldProps & SelectHTMLAttributes<HTMLSelectElement> & { options: readonly Option[]; none?: string }) {
  return (
    <Field {...{ label, note, fault, beside, wide }}>
      <select className={`field ${className}`} {...rest}>
        {none !== undefined && <option value="">{none}</option>}
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </Field>
  );
}

/** Yes or no. */
export function Tick({ label, className = "", ...rest }: { label: ReactNode } & InputHTMLAttributes<HTMLInputElement>) {
  return (
    <label className={`flex gap-2 items-center min-h-[30px] phone:min-h-[44px] ${className}`}>
      <input type="checkbox" className="size-5 shrink-0" {...rest} />
      {label}
    </label>
  );
}
