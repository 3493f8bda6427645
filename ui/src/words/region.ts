/** How this household's language counts and writes numbers and sums. */
interface Region {
  locale: string;
  plural: Intl.PluralRules;
  number: Intl.NumberFormat;
  money: Map<string, Intl.NumberFormat>;
}

function made(locale: string): Region {
  return {
    locale,
    plural: new Intl.PluralRules(locale),
    number: new Intl.NumberFormat(locale, { maximumFractionDigits: 2 }),
    money: new Map(),
  };
}

let region = made("en-IE");

/** @returns the region whose way of writing sums this household most likely has */
export function localeOf(household: { day_order: string; currency: string } | null): string {
  if (household?.day_order === "mdy") return "en-US";
  return household?.currency === "GBP" ? "en-GB" : "en-IE";
}

/** The interface speaks English so far; the region says how numbers and sums are written. */
export function speakAs(locale: string): void {
  if (locale !== region.locale) region = made(locale);
}

/** "1 day", "5 days": by the rules of the language, with the form that has one of its own. */
export function plural(count: number, one: string, many = `${one}s`): string {
  return `${region.number.format(count)} ${region.plural.select(count) === "one" ? one : many}`;
}

/** @param minor cents and the like */
export function moneyWords(minor: number, currency: string): string {
  const known = region.money.get(currency) ?? new Intl.NumberFormat(region.locale, { style: "currency", currency });
  region.money.set(currency, known);
  return known.format(minor / 100);
}

/** A unit that amounts are typed in, and what one of it is in g or ml. */
export interface TypedUnit {
  words: string;
  is: string;
}

let typed: Record<string, readonly TypedUnit[]> = {};

/** In what this household may type amounts: the house says so. */
export function measureIn(units: Record<"g" | "ml", readonly TypedUnit[]>): void {
  typed = units;
}

/** @returns what an amount of that unit may be typed in, the usual one first; one alone where there is no choice */
export function typedUnits(unit: string): readonly TypedUnit[] {
  return typed[unit] ?? [{ words: unit, is: "1" }];
}
