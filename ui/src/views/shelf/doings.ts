import { amountIn } from "../../kit/form";
import type { Place, StackDetail } from "../../api/types";
import * as say from "../../words/shelf";

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
  const typed = amountIn(form, name);
  return typed === "" ? {} : { [name]: typed };
};
const place = (form: FormData): Input =>
  text(form, "place_id") === "" ? {} : { place_id: Number(form.get("place_id")) };
const there = (detail: StackDetail) => Number(detail.stack.on_hand) > 0;
const cold = (places: Place[], detail: StackDetail, kind: Place["kind"]) =>
  places.find((one) => one.kind === kind && one.id !== detail.stack.place_id);
const edible = (detail: StackDetail) => there(detail) && !["supplies", "pet", "water"].includes(detail.stack.group);

/** Everything hands do to a stack that needs an answer or a look at its date first. */
export const DOINGS: Doing[] = [
  {
    key: "take",
    act: "take",
    name: say.takeSome,
    confirm: say.takeIt,
    look: "main",
    when: there,
    input: (form) => amount(form),
    note: say.partSealedPack,
  },
  {
    key: "open",
    act: "open",
    name: say.open,
    confirm: say.openIt,
    look: "main",
    when: (detail) => there(detail) && !detail.stack.open,
    input: () => ({}),
  },
  {
    key: "move",
    act: "move",
    name: say.move,
    confirm: say.moveIt,
    look: "main",
    when: there,
    input: (form) => ({ ...place(form), ...amount(form) }),
    note: say.intoFreezerFreezing,
  },
  {
    key: "freeze",
    act: "move",
    name: say.freeze,
    confirm: say.freezeIt,
    look: "main",
    when: (detail, places) =>
      there(detail) &&
      detail.stack.group !== "supplies" &&
      !detail.stack.frozen &&
      cold(places, detail, "freezer") !== undefined,
    input: (form, detail, places) => ({ place_id: cold(places, detail, "freezer")?.id, ...amount(form) }),
    note: say.coolFirstLeave,
  },
  {
    key: "thaw",
    act: "move",
    name: say.thaw,
    confirm: say.thawIt,
    look: "main",
    when: (detail, places) => there(detail) && detail.stack.frozen && cold(places, detail, "fridge") !== undefined,
    input: (form, detail, places) => ({ place_id: cold(places, detail, "fridge")?.id, ...amount(form) }),
    note: say.inFridgeOn,
  },
  {
    key: "look",
    act: "look",
    name: say.look,
    confirm: say.noteIt,
    look: "main",
    when: there,
    input: lookInput,
  },
  {
    key: "ripened",
    act: "prepare",
    name: say.itIsRipe,
    confirm: say.itIsRipe,
    look: "main",
    when: (detail) => there(detail) && detail.facts.situation === "ripening" && detail.stack.state === "not_ready",
    input: (form) => ({ how: "ripened", ...place(form), ...amount(form) }),
  },
  {
    key: "cut",
    act: "prepare",
    name: say.cut,
    confirm: say.itIsCut,
    look: "main",
    when: (detail) => edible(detail) && !detail.stack.frozen,
    input: (form) => ({ how: "cut", ...place(form), ...amount(form) }),
  },
  {
    key: "cooked",
    act: "prepare",
    name: say.cook,
    confirm: say.itIsCooked,
    look: "main",
    when: (detail) => edible(detail) && !detail.stack.frozen,
    input: (form) => ({ how: "cooked", ...place(form), ...amount(form) }),
    note: say.cookingStartsNew,
  },
  {
    key: "portion",
    act: "portion",
    name: say.portions,
    confirm: say.makeThePortions,
    look: "main",
    when: there,
    input: (form) => portionInput(form),
    note: say.costSharedCent,
  },
  {
    key: "take-apart",
    act: "take-apart",
    name: say.takeApart,
    confirm: say.takeItApart,
    when: (detail) => there(detail) && detail.stack.noun === "bag",
    input: (form) => amount(form),
    note: say.noLongerThanBag,
  },
  {
    key: "decant",
    act: "decant",
    name: say.intoAJar,
    confirm: say.pourItIn,
    look: "main",
    when: there,
    input: (form) => ({ container_id: Number(form.get("container_id")), ...amount(form) }),
    note: say.opensDateDirections,
  },
  {
    key: "top-up",
    act: "top-up",
    name: say.topItUp,
    confirm: say.pourItIn,
    look: "main",
    when: (detail) => detail.stack.open || detail.facts.container_id !== null,
    input: (form) => ({ from_lot_id: Number(form.get("from_lot_id")), ...amount(form) }),
    note: say.earliestDateParts,
  },
  {
    key: "set-apart",
    act: "set-apart",
    name: say.setApart,
    confirm: say.keepItFor,
    look: "main",
    when: (detail) => there(detail) && !detail.facts.quarantined && detail.stack.state !== "stop",
    input: (form) => ({
      for: text(form, "for"),
      ...amount(form),
      ...(text(form, "until") === "" ? {} : { until: text(form, "until") }),
    }),
    note: say.mealsLeaveIt,
  },
  {
    key: "store",
    act: "store",
    name: say.storeItOtherwise,
    confirm: say.storedSo,
    look: "main",
    when: (detail) => there(detail) && detail.storage.ways.length > 0,
    input: (form) => ({ method: form.get("method") }),
  },
  {
    key: "amend",
    act: "amend",
    name: say.changeWhatKnown,
    confirm: say.keepItSo,
    look: "main",
    when: () => true,
    input: (form, detail) => amendInput(form, detail),
  },
  {
    key: "correct",
    act: "correct",
    name: say.amountWrong,
    confirm: say.whatThere,
    look: "main",
    when: () => true,
    input: (form) => ({ amount: amountIn(form, "amount") || "0", why: text(form, "why") }),
    note: say.furtherMovementPuts,
  },
  {
    key: "throw",
    act: "throw",
    name: say.throwIt,
    confirm: say.letItGo,
    look: "grave",
    when: there,
    input: (form) => ({ outcome: form.get("outcome"), why: form.get("why"), ...amount(form) }),
  },
  {
    key: "pests",
    act: "sort-pests",
    name: say.binGnawed,
    confirm: say.binKeepRest,
    look: "grave",
    when: (detail) => there(detail) && !detail.facts.quarantined && detail.stack.state !== "stop",
    input: (form) => ({
      packs: Math.max(1, Number(form.get("packs") || 1)),
      inner: Number(form.get("inner") || 0),
      kept: Number(form.get("kept") || 0),
    }),
    note: say.outerGoesToo,
  },
];

/** Where nobody says what it is, the house reads it from the signs. */
function lookInput(form: FormData): Input {
  const signs = form.getAll("sign").map(String);
  const said = text(form, "result");
  return { ...(said === "" ? {} : { result: said }), ...(signs.length > 0 ? { signs } : {}) };
}

function portionInput(form: FormData): Input {
  const count = text(form, "count");
  return {
    ...(count === "" ? amount(form, "size") : { count: Number(count) }),
    ...amount(form),
    ...place(form),
    ...(text(form, "label") ? { label: text(form, "label") } : {}),
  };
}

const KNOWN = [
  "label",
  "printed_on",
  "printed_kind",
  "made_on",
  "directions",
  "bought_for",
  "lot_text",
  "wrapping",
  "opening",
] as const;
/** What the house says of itself where nobody said anything. */
const GUESSED = ["wrapping", "opening"] as readonly string[];
const NULLABLE = ["printed_on", "printed_kind", "made_on"];

/** Only what changed, with what it said before, so that two people do not overwrite each other. */
function amendInput(form: FormData, detail: StackDetail): Input {
  const changed = KNOWN.filter(
    (name) =>
      form.has(name) &&
      text(form, name) !== (detail.facts[name] ?? "") &&
      !(name === "printed_kind" && text(form, "printed_on") === "") &&
      !(name === "opening" && text(form, name) === ""),
  );
  const values = Object.fromEntries(
    changed.map((name) => [name, text(form, name) === "" && NULLABLE.includes(name) ? null : text(form, name)]),
  );
  const was = Object.fromEntries(
    changed.filter((name) => !GUESSED.includes(name)).map((name) => [name, detail.facts[name]]),
  );
  return { ...values, was };
}
