import { useState } from "react";
import { Tick, Pick } from "../../kit/form";
import * as say from "../../words/people";

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
  ["metric", say.metricCup250],
  ["imperial", say.imperialCup284],
  ["us", say.unitedStatesCup],
];
const ORDERS: [string, string][] = [
  ["dmy", say.dayFirstExample],
  ["mdy", say.monthFirstExample],
];
const DEGREES: [string, string][] = [
  ["c", say.celsiusFridgeAt],
  ["f", say.fahrenheitFridgeAt],
];
const LANGUAGES: [string, string][] = [
  ["de", say.german2Dosen],
  ["fr", say.french2Bo],
  ["es", say.spanish2Latas],
];

/** How this household writes: whose cups and pints, which way round a date, in which languages, in what money. */
export function Habits({ habits }: { habits: HouseHabits }) {
  const [currency, setCurrency] = useState(habits.currency);
  return (
    <div className="grid gap-3">
      <Pick name="measures" label={say.cupsPintsGallons} options={MEASURES} defaultValue={habits.measures} />
      <Pick name="degrees" label={say.howColdWarm} options={DEGREES} defaultValue={habits.degrees} />
      <Pick name="day_order" label={say.datesInFigures} options={ORDERS} defaultValue={habits.day_order} />
      <fieldset className="grid gap-1">
        <legend className="font-semibold mb-1">{say.besidesEnglishLines}</legend>
        {LANGUAGES.map(([value, words]) => (
          <Tick
            key={value}
            name="languages"
            value={value}
            defaultChecked={habits.languages.includes(value)}
            label={<span lang={value}>{words}</span>}
          />
        ))}
      </fieldset>
      <Pick
        label={say.money}
        name="currency"
        value={currency}
        disabled={habits.currency_fixed}
        onChange={(event) => setCurrency(event.target.value)}
        note={habits.currency_fixed && say.pricesAreStored}
        options={[...new Set([habits.currency, ...CURRENCIES])].map(
          (code) =>
            [
              code,
              `${code}: ${new Intl.NumberFormat(undefined, { style: "currency", currency: code }).format(1.5)}`,
            ] as const,
        )}
      />
    </div>
  );
}

/** What a form of habits says, as it is sent. */
export function habitsOf(form: FormData): {
  measures: string;
  degrees: string;
  languages: string[];
  day_order: string;
  currency: string | undefined;
} {
  const currency = form.get("currency");
  return {
    measures: String(form.get("measures")),
    degrees: String(form.get("degrees")),
    languages: form.getAll("languages").map(String),
    day_order: String(form.get("day_order")),
    currency: currency === null ? undefined : String(currency),
  };
}
