import type { Place, StackDetail } from "../../api/types";

/** What a form says, as it is sent. */
export type Input = Record<string, unknown>;

export interface Doing {
  key: string;
  /** The verb of the address. */
  act: string;
  name: string;
  confirm: string;
  look?: "main" | "grave";
  /** Whether it makes sense for this stack. */
  when: (detail: StackDetail, places: Place[]) => boolean;
  /** What is sent, from the form. */
  input: (form: FormData, detail: StackDetail, places: Place[]) => Input;
  note?: string;
}

const text = (form: FormData, name: string) => String(form.get(name) ?? "").trim();
const amount = (form: FormData, name = "amount"): Input => {
  const typed = text(form, name).replace(",", ".");
  return typed === "" ? {} : { [name]: typed };
};
const place = (form: FormData): Input => (text(form, "place_id") === "" ? {} : { place_id: Number(form.get("place_id")) });
const there = (detail: StackDetail) => Number(detail.stack.on_hand) > 0;
const cold = (places: Place[], detail: StackDetail, kind: Place["kind"]) => places.find((one) => one.kind === kind && one.id !== detail.stack.place_id);
const edible = (detail: StackDetail) => there(detail) && !["supplies", "pet", "water"].includes(detail.stack.group);

/** Everything hands do to a stack that needs an answer or a look at its date first. */
export const DOINGS: Doing[] = [
  { key: "take", act: "take", name: "Take some", confirm: "Take it", look: "main", when: there, input: (form) => amount(form), note: "A part of a sealed pack opens it; the rest becomes a stack of its own." },
  { key: "open", act: "open", name: "Open", confirm: "Open it", look: "main", when: (detail) => there(detail) && !detail.stack.open, input: () => ({}) },
  { key: "move", act: "move", name: "Move", confirm: "Move it", look: "main", when: there, input: (form) => ({ ...place(form), ...amount(form) }), note: "Into a freezer is freezing, out of it thawing; the date follows." },
  { key: "freeze", act: "move", name: "Freeze", confirm: "Freeze it", look: "main", when: (detail, places) => there(detail) && !detail.stack.frozen && cold(places, detail, "freezer") !== undefined, input: (form, detail, places) => ({ place_id: cold(places, detail, "freezer")?.id, ...amount(form) }), note: "Cool it first; leave headspace in jars." },
  { key: "thaw", act: "move", name: "Thaw", confirm: "Thaw it", look: "main", when: (detail, places) => there(detail) && detail.stack.frozen && cold(places, detail, "fridge") !== undefined, input: (form, detail, places) => ({ place_id: cold(places, detail, "fridge")?.id, ...amount(form) }), note: "In the fridge, on a tray." },
  { key: "look", act: "look", name: "Look", confirm: "Note it", look: "main", when: there, input: (form, detail) => lookInput(form, detail) },
  { key: "ripened", act: "prepare", name: "It is ripe", confirm: "It is ripe", look: "main", when: (detail) => there(detail) && detail.facts.situation === "ripening" && detail.stack.state === "not_ready", input: (form) => ({ how: "ripened", ...place(form), ...amount(form) }) },
  { key: "cut", act: "prepare", name: "Cut", confirm: "It is cut", look: "main", when: (detail) => edible(detail) && !detail.stack.frozen, input: (form) => ({ how: "cut", ...place(form), ...amount(form) }) },
  { key: "cooked", act: "prepare", name: "Cook", confirm: "It is cooked", look: "main", when: (detail) => edible(detail) && !detail.stack.frozen, input: (form) => ({ how: "cooked", ...place(form), ...amount(form) }), note: "Cooking starts a new life; it mends nothing that is past its safety date." },
  { key: "portion", act: "portion", name: "Portions", confirm: "Make the portions", look: "main", when: there, input: (form) => portionInput(form), note: "The cost is shared to the cent; what is left over stays a stack of its own." },
  { key: "decant", act: "decant", name: "Into a jar", confirm: "Pour it in", look: "main", when: there, input: (form) => ({ container_id: Number(form.get("container_id")), ...amount(form) }), note: "That opens it; the date and the directions follow the food." },
  { key: "top-up", act: "top-up", name: "Top it up", confirm: "Pour it in", look: "main", when: (detail) => detail.stack.open || detail.facts.container_id !== null, input: (form) => ({ from_lot_id: Number(form.get("from_lot_id")), ...amount(form) }), note: "The earliest date of the parts counts; the parts are remembered." },
  { key: "store", act: "store", name: "Store it otherwise", confirm: "It is stored so", look: "main", when: (detail) => there(detail) && detail.storage.ways.length > 0, input: (form) => ({ method: form.get("method") }) },
  { key: "amend", act: "amend", name: "Change what is known", confirm: "Keep it so", look: "main", when: () => true, input: (form, detail) => amendInput(form, detail) },
  { key: "correct", act: "correct", name: "The amount is wrong", confirm: "That is what is there", look: "main", when: () => true, input: (form) => ({ amount: text(form, "amount").replace(",", ".") || "0", why: text(form, "why") }), note: "A further movement puts it right; nothing is overwritten." },
  { key: "throw", act: "throw", name: "Throw", confirm: "Let it go", look: "grave", when: there, input: (form) => ({ outcome: form.get("outcome"), why: form.get("why"), ...amount(form) }) },
];

function lookInput(form: FormData, detail: StackDetail): Input {
  const signs = form.getAll("sign").map(String);
  const means = detail.look.signs.filter((one) => signs.includes(one.sign)).map((one) => one.means);
  const said = text(form, "result");
  const verdict = means.includes("bad") ? "bad" : means.includes("turning") ? "turning" : "good";
  return { result: said === "" ? verdict : said, ...(signs.length > 0 ? { signs } : {}) };
}

function portionInput(form: FormData): Input {
  const count = text(form, "count");
  return { ...(count === "" ? amount(form, "size") : { count: Number(count) }), ...amount(form), ...place(form), ...(text(form, "label") ? { label: text(form, "label") } : {}) };
}

const KNOWN = ["label", "printed_on", "printed_kind", "made_on", "directions", "bought_for", "lot_text", "wrapping"] as const;
const NULLABLE = ["printed_on", "printed_kind", "made_on"];

/** Only what changed, with what it said before, so that two people do not overwrite each other. */
function amendInput(form: FormData, detail: StackDetail): Input {
  const changed = KNOWN.filter((name) => form.has(name) && text(form, name) !== (detail.facts[name] ?? "") && !(name === "printed_kind" && text(form, "printed_on") === ""));
  const values = Object.fromEntries(changed.map((name) => [name, text(form, name) === "" && NULLABLE.includes(name) ? null : text(form, name)]));
  const was = Object.fromEntries(changed.filter((name) => name !== "wrapping").map((name) => [name, detail.facts[name]]));
  return { ...values, was };
}
