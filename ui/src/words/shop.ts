import type { ListItem } from "../api/types";
import { dayWords, shortDay } from "./common";

/** What is said of shopping. */
export const whatLooksLike = (words: string) => `What ${words} looks like`;
export const shop = "Shop";
export const picturesShelvesAt = "Pictures of the shelves at home";
export const est = "about";
export const holding = "Holding the meals against the shelf";

export const bySpan = "For how long";
export const tillNext = "Till the next trip";
export const forDays = (days: number) => `${days} days`;
export const trip = (today: string, from: string, next: string | null) =>
  `For ${from === today ? "today's trip" : shortDay(from)}${next ? `, up to the next on ${shortDay(next)}` : ""}.`;
export const mayFallOut = "What keeps is for two trips, in case the next falls out.";
export const upTo = (today: string, to: string) => `For the days up to ${dayWords(to, today)}, all at once.`;

export const where = "Where you shop";
export const anyShop = "Any shop";
export const newShop = "Another shop …";
export const newShopTitle = "A shop you go to";
export const shopName = "What you call it";
export const keepShop = "Keep it";
export const shopWords = (name: string) => `New shop: ${name}`;

export const takeAlong = "Take the list along";
export const takeAlongWords = "Took the list along";
export const home = "We are home";
export const homeWords = "Home from the shop";
export const outSince = (who: string, day: string) => `${who} took this list along on ${shortDay(day)}.`;
export const putAwayCount = (count: number) =>
  count === 1 ? "1 thing was bought and waits to be put away" : `${count} things were bought and wait to be put away`;

export const inBasket = "in the basket";
export const inAll = (money: string) => `${money} in all`;
export const whole = "whole packs";
export const partly = ", in part a guess";
export const ofBudget = (money: string) => `of ${money} for this trip`;
export const over = (money: string) => `${money} over what you want to spend`;
const HARM = {
  wanted: "it only fills up the house",
  level: "some is there",
  habit: "used besides",
  meal: "a meal waits for it",
};
export const leftOut = (text: string, money: string, reason: keyof typeof HARM) =>
  `${text} (${money}, ${HARM[reason]})`;
export const leaveOut = (lines: string[]) => `What you could leave out first: ${lines.join(", ")}.`;
export const next = (item: ListItem) => `Next: ${item.text}, ${item.aisle}`;
export const allTicked = "Everything is in the basket.";

export const own = "Write something on the list";
export const ownHint = "lamp wick, 2 tins chickpeas, something for Wren";
export const add = "Put it on the list";
export const onList = (words: string) => `On the list: ${words}`;

export const nothing = "Nothing to buy";
export const nothingWhy = "Everything the planned meals need and the household wants is at home.";
export const planAnother = "Plan another meal";

export const tick = (item: ListItem) => `In the basket: ${take(item)}`;
export const untick = (item: ListItem) => `Back on the list: ${item.text}`;
export const more = (item: ListItem) => `More about ${item.text}`;

/** What to take of it: "2 x 400 g Chickpeas, canned". */
export function take(item: Pick<ListItem, "packs" | "text" | "amount" | "source">): string {
  const [one] = item.packs;
  if (item.packs.length === 1 && one?.size === "1") return `${one.count} ${item.text}`;
  if (item.packs.length > 0)
    return `${item.packs.map((pack) => `${pack.count} x ${pack.size}`).join(" + ")} ${item.text}`;
  return item.source === "list" && item.amount ? `${item.amount} ${item.text}` : item.text;
}

type Reason = ListItem["reasons"][number];

const REASONS: Record<Reason["kind"], (reason: Reason) => string> = {
  meal: (reason) => `${reason.amount ?? ""} for ${reason.name ?? ""}, ${shortDay(reason.on ?? "")}`,
  habit: (reason) => `${reason.amount ?? ""} as you use it`,
  wanted: (reason) => `${reason.amount ?? ""} so that there is enough in the house`,
  level: (reason) => (reason.level === "out" ? "it is out" : "it runs low"),
  kit: (reason) => `for the kit ${reason.name ?? ""}`,
};

export const why = (item: { reasons: Reason[] }) =>
  item.reasons.map((reason) => REASONS[reason.kind](reason)).join("; ");

const SOURCES: Record<ListItem["source"], (by: string) => string> = {
  own: (by) => `from ${by}`,
  last: (by) => `that was the last, says ${by}`,
  list: () => "",
};
export const from = (item: ListItem) => (item.by ? SOURCES[item.source](item.by) : "");

type Home = ListItem["at_home"][number];
const here = (one: Home, today: string) =>
  [
    `${one.amount} in ${one.place}`,
    one.until ? `, good until ${dayWords(one.until, today)}` : "",
    one.not_for.length > 0 ? `, but not by the date for ${one.not_for.join(" and ")}` : "",
  ].join("");
export const atHome = (item: ListItem, today: string) => item.at_home.map((one) => here(one, today)).join("; ");
export const atHomeLead = "At home: ";
export const late = "wanted before you go";
export const lessened = "not needed any more";
export const tickedBy = (names: string[]) => `in the basket of ${names.join(" and of ")}`;
export const changedBy = (name: string) => `changed by ${name}`;
export const intoJar = (name: string) => `${name}: into a jar`;
export const freezeNow = "Freeze it now";
export const refusedLine = (why: string) => `Not taken in: ${why} It stands under Letters.`;
export const waits = "waits for signal";
export const tooMuch = (found: NonNullable<ListItem["too_much"]>, money: (minor: number) => string) =>
  [
    `Of ${found.of} about ${found.eaten} will be eaten while good:`,
    `that is ${money(found.per_kg_minor)} a kilo eaten, not ${money(found.shelf_minor)}.`,
  ].join(" ");

const BASES = {
  asked: (pack: Pack, money: Money) => `${money(pack.price_minor)} asked today${pack.shop ? ` at ${pack.shop}` : ""}`,
  latest: (pack: Pack, money: Money) =>
    [
      `${money(pack.price_minor)} paid`,
      pack.on ? ` on ${shortDay(pack.on)}` : "",
      pack.shop ? ` at ${pack.shop}` : "",
      pack.before_minor === null || pack.before_minor === pack.price_minor
        ? ""
        : `, ${money(pack.before_minor)} the time before`,
    ].join(""),
  per_unit: (pack: Pack, money: Money) => `about ${money(pack.price_minor)}, by what other packs of it cost`,
  estimate: (pack: Pack, money: Money) => `about ${money(pack.price_minor)}: a guess, nobody paid for it yet`,
};
type Pack = ListItem["packs"][number];
type Money = (minor: number) => string;
export const price = (pack: Pack, money: Money) => `${pack.size}: ${BASES[pack.basis](pack, money)}`;

export const howMany = "How many";
export const paid = "What it cost, in all";
export const note = "A note";
export const keepLine = "Keep it";
export const changed = (text: string) => `Changed ${text}`;
export const strike = "Take it off the list";
export const struck = (text: string) => `Off the list: ${text}`;
export const putBack = "Put it back";
export const silence = "Do not ask for it";
export const silenceUntil = "Until";
export const because = "Why";
export const becauseHint = "plenty in the boat shed";
export const silenced = (text: string) => `Not asked for now: ${text}`;
export const askAgain = "Ask for it again";

export const additions = "Needed since you left";
export const laterOn = (on: string) => `On ${shortDay(on)}`;
export const laterNote = "what is fresh, and what runs out by then";
export const fetch = "At home, further off: fetch it";
export const fetchWords = (amount: string, food: string, place: string) => `${amount} ${food} from ${place}`;
export const forMeals = (meals: { name: string; on: string }[]) =>
  `for ${meals.map((meal) => `${meal.name}, ${shortDay(meal.on)}`).join("; ")}`;
export const goodUntil = (day: string, today: string) => `good until ${dayWords(day, today)}`;
export const notSold = "Wanted, and sold nowhere";
export const notSoldNote = "a part of another dish: make it, or swap the meal";
export const silentTitle = "Not asked for now";
export const silentLine = (until: string, because: string) =>
  `until ${shortDay(until)}${because ? `: ${because}` : ""}`;
export const removedTitle = "Taken off the list";

export const bought = "Put away what was bought";
export const backToList = "Shop";
export const fetchingBought = "Looking into the basket";
export const basketEmpty = "Everything is put away";
export const basketEmptyWhy = "What is ticked on the list comes here until it stands somewhere.";
export const both = (names: string[]) => `${names.join(" and ")} each ticked it. Is it there once, or once for each?`;
export const once = "Once";
export const each = "For each";
export const place = "Where it goes";
export const dateKind = "The date says";
export const kinds: [string, string][] = [
  ["best_before", "best before"],
  ["use_by", "use by"],
];
export const noDate = "no date";
export const putOne = "Put it away";
export const putAll = (count: number) => (count === 1 ? "Put 1 away" : `Put ${count} away`);
export const putWords = (text: string) => `Put away ${text}`;
export const notForShelf = "It goes nowhere on the shelf";
export const cleared = (text: string) => `Done: ${text}`;
export const notBought = "It was not bought";
export const size = "One pack";
export const unit = "In";
export const count = "How many";
export const paidInAll = "What it cost, in all";
export const unfinished = (text: string) => `Say of ${text} how many, how much one pack holds, and where it goes.`;
export const choosePlace = "choose a place";
export const printedDay = "Or the day that is printed";
export const part = "Part of it goes elsewhere";
export const printLabels = (count: number) => (count === 1 ? "Print its label" : `Print ${count} labels`);
export const print = "Print";
export const asText = "As text";
export const asCsv = "As CSV";
export const aisles = "Order of the aisles";
export const aislesOf = (shop: string) => `How you walk through ${shop}`;
export const aislesHint = "Ticking teaches the order. Here you can put it right.";
export const aislesWords = (shop: string) => `Aisles of ${shop}`;
export const up = (aisle: string) => `${aisle} earlier`;
export const down = (aisle: string) => `${aisle} later`;
export const keepAisles = "Keep this order";
export const standing = "Tick list for the door";

export const outToday = "The shop says it has none today.";

interface Offer {
  kind: "two_for" | "third_free";
  count: number;
  size: string;
  price_minor: number;
  worth: boolean;
  all: boolean;
  eaten: string;
  of: string;
  kilo_minor: number | null;
  single_minor: number | null;
}

const OFFERS = {
  two_for: (one: Offer, price: string) => `Offer: ${one.count} x ${one.size} for ${price}`,
  third_free: (one: Offer, price: string) => `Offer: the third one free, ${one.count} x ${one.size} for ${price}`,
};

/** "Offer: 2 x 500 g for €1.65. Worth it: all of it will be eaten, €1.65 a kilo instead of €3.20." */
export function offer(one: Offer, money: (minor: number) => string): string {
  const what = OFFERS[one.kind](one, money(one.price_minor));
  if (one.kilo_minor === null || one.single_minor === null) return `${what}. Nobody knows how fast it goes here.`;
  const eaten = one.all ? "all of it will be eaten" : `${one.eaten} of ${one.of} will be eaten`;
  const kilo = `${money(one.kilo_minor)} a kilo that is eaten, against ${money(one.single_minor)} for one alone`;
  return `${what}. ${one.worth ? "Worth it" : "No gain"}: ${eaten}, ${kilo}.`;
}
