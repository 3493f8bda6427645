import { useState } from "react";
import { Pick } from "../../kit/form";

export interface HouseHabits {
  measures: string;
  degrees: string;
  languages: string[];
  day_order: string;
  currency: string;
  /** A price is stored in it, so it stays. */
  currency_fixed?: boolean;
}

const CURRENCIES = ["EUR", "GBP", "USD", "CHF", "SEK", "NOK", "DKK", "PLN", "CZK", "CAD", "AUD", "NZD"];
const MEASURES: [string, string][] = [
  ["metric", "Metric: a cup is 250 ml, a pint 568 ml"],
  ["imperial", "Imperial: a cup is 284 ml, a pint 568 ml, a gallon 4.55 l"],
  ["us", "United States: a cup is 237 ml, a pint 473 ml, a gallon 3.79 l"],
];
const ORDERS: [string, string][] = [["dmy", "Day first: 3/4 is 3 April"], ["mdy", "Month first: 3/4 is March 4"]];
const DEGREES: [string, string][] = [["c", "Celsius: the fridge is at 4 °C"], ["f", "Fahrenheit: the fridge is at 39 °F"]];
const LANGUAGES: [string, string][] = [["de", "German: 2 Dosen Mais MHD 5/28"], ["fr", "French: 2 boîtes de maïs ddm 5/28"], ["es", "Spanish: 2 latas de maíz cad 5/28"]];

/** How this household writes: whose cups and pints, which way round a date, in which languages, in what money. */
export function Habits({ habits }: { habits: HouseHabits }) {
  const [currency, setCurrency] = useState(habits.currency);
  return (
    <div className="grid gap-3">
      <Pick name="measures" label="Cups, pints and gallons" options={MEASURES} defaultValue={habits.measures} />
      <Pick name="degrees" label="How cold and warm" options={DEGREES} defaultValue={habits.degrees} />
      <Pick name="day_order" label="Dates in figures" options={ORDERS} defaultValue={habits.day_order} />
      <fieldset className="grid gap-1">
        <legend className="font-semibold mb-1">Besides English, lines are written in</legend>
        {LANGUAGES.map(([value, words]) => <label key={value} className="flex items-center gap-2 min-h-[30px] phone:min-h-[44px]"><input type="checkbox" name="languages" value={value} defaultChecked={habits.languages.includes(value)} className="size-5 shrink-0" /><span lang={value}>{words}</span></label>)}
      </fieldset>
      <Pick label="Money" name="currency" value={currency} disabled={habits.currency_fixed} onChange={(event) => setCurrency(event.target.value)} note={habits.currency_fixed && "Prices are stored in it already, so it stays."}
        options={[...new Set([habits.currency, ...CURRENCIES])].map((code) => [code, `${code}: ${new Intl.NumberFormat(undefined, { style: "currency", currency: code }).format(1.5)}`] as const)} />
    </div>
  );
}

/** What a form of habits says, as it is sent. */
export function habitsOf(form: FormData): { measures: string; degrees: string; languages: string[]; day_order: string; currency: string | undefined } {
  const currency = form.get("currency");
  return { measures: String(form.get("measures")), degrees: String(form.get("degrees")), languages: form.getAll("languages").map(String), day_order: String(form.get("day_order")), currency: currency === null ? undefined : String(currency) };
}
