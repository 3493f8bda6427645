import type { Letter } from "../../api/outbox";
import type { List, ListItem } from "../../api/types";

/** `refused`: why the house did not take in what was done to it here. */
export type Shown = ListItem & { waits: boolean; refused: string | null };

export interface ShownAisle {
  aisle: string;
  items: Shown[];
}

interface Written {
  ref: string;
  text?: string;
  food_id?: number;
  ticked?: boolean;
}

const MARK = /^\/api\/list\/([a-z0-9]+)\/mark$/;
const CHANGE = /^\/api\/list\/([a-z0-9]+)$/;

function open(letters: Letter[]): Letter[] {
  return letters.filter((letter) => letter.state === "pending");
}

/** The last thing this device wrote of each line and the house has not taken in yet. */
export function marks(letters: Letter[]): Map<string, ListItem["status"]> {
  return new Map(
    open(letters).flatMap((letter) => {
      const ref = MARK.exec(letter.path)?.[1];
      return ref ? [[ref, (letter.body as { status: ListItem["status"] }).status]] : [];
    }),
  );
}

function changes(letters: Letter[]): Map<string, { count?: number; note?: string; paid_minor?: number | null }> {
  return new Map(
    open(letters).flatMap((letter) => {
      const ref = CHANGE.exec(letter.path)?.[1];
      return ref ? [[ref, letter.body as object]] : [];
    }),
  );
}

/** What the house would not take in of each line, in its own words. */
function refusals(letters: Letter[]): Map<string, string> {
  return new Map(
    letters
      .filter((letter) => letter.state === "refused")
      .flatMap((letter) => {
        const ref = MARK.exec(letter.path)?.[1] ?? CHANGE.exec(letter.path)?.[1] ?? writtenRef(letter);
        return ref ? [[ref, letter.problem?.title ?? ""]] : [];
      }),
  );
}

function writtenRef(letter: Letter): string | undefined {
  return letter.path === "/api/list" ? (letter.body as Written).ref : undefined;
}

/** What was written on this device and the house does not know of yet. */
export function written(letters: Letter[]): Written[] {
  return open(letters).flatMap((letter) => (letter.path === "/api/list" ? [letter.body as Written] : []));
}

const OTHER = "Other";

function own(line: Written, marked: Map<string, ListItem["status"]>): Shown {
  return {
    ref: line.ref,
    food_id: null,
    text: line.text ?? "",
    aisle: OTHER,
    amount: null,
    packs: [],
    reasons: [],
    cost_minor: null,
    estimated: false,
    at_home: [],
    source: "own",
    by: null,
    status: marked.get(line.ref) ?? (line.ticked ? "ticked" : "open"),
    note: "",
    ticked_by: [],
    changed_by: null,
    paid_minor: null,
    lessened: false,
    late: false,
    too_much: null,
    in_shop: null,
    waits: true,
    refused: null,
  };
}

/**
 * The list as this device has it: what the house said, and over it what was ticked, changed and written here and waits
 * to be sent. Amounts and money stay as the house said them.
 */
export function shown(list: List, letters: Letter[]): ShownAisle[] {
  const marked = marks(letters);
  const changed = changes(letters);
  const added = written(letters);
  const refused = refusals(letters);
  const byFood = new Map(added.flatMap((line) => (line.food_id === undefined ? [] : [[line.food_id, line]])));
  const items = [...list.aisles.flatMap((aisle) => aisle.items), ...list.removed, ...list.additions];
  const known = new Set(items.map((item) => item.ref));
  const over = items.map((item): Shown => {
    const taken = item.ref === null && item.food_id !== null ? byFood.get(item.food_id) : undefined;
    const ref = item.ref ?? taken?.ref ?? null;
    const status = (ref === null ? undefined : marked.get(ref)) ?? (taken?.ticked ? "ticked" : item.status);
    const change = ref === null ? undefined : changed.get(ref);
    return {
      ...item,
      ref,
      status,
      note: change?.note ?? item.note,
      paid_minor: change?.paid_minor === undefined ? item.paid_minor : change.paid_minor,
      refused: ref === null ? null : (refused.get(ref) ?? null),
      waits: taken !== undefined || (ref !== null && (marked.has(ref) || changed.has(ref))),
    };
  });
  const fresh = added
    .filter((line) => line.text !== undefined && !known.has(line.ref))
    .map((line) => own(line, marked));
  const all = [...over, ...fresh].filter((item) => item.status !== "removed");
  const additions = new Set(list.additions.map((item) => item.food_id));
  const order = list.aisles.map((aisle) => aisle.aisle);
  const aisles = [...new Set([...order, ...all.map((item) => item.aisle)])];
  return aisles
    .map((aisle) => ({
      aisle,
      items: all.filter((item) => item.aisle === aisle && (item.ref !== null || !isNew(list, additions, item))),
    }))
    .filter((aisle) => aisle.items.length > 0);
}

function isNew(list: List, additions: Set<number | null>, item: ListItem): boolean {
  return list.shopping !== null && additions.has(item.food_id);
}

/** What was struck off, here or by somebody else. */
export function struck(list: List, letters: Letter[]): ListItem[] {
  const marked = marks(letters);
  const items = [...list.aisles.flatMap((aisle) => aisle.items), ...list.removed];
  return items.filter((item) => item.ref !== null && (marked.get(item.ref) ?? item.status) === "removed");
}

/** Shown money may be added on the device. */
export function basket(aisles: ShownAisle[]): number {
  const ticked = aisles.flatMap((aisle) => aisle.items.filter((item) => item.status === "ticked"));
  return ticked.reduce((sum, item) => sum + (item.paid_minor ?? item.cost_minor ?? 0), 0);
}

/** @returns the first line that is still to be found, in the order of the aisles */
export function nextOf(aisles: ShownAisle[]): Shown | null {
  return aisles.flatMap((aisle) => aisle.items).find((item) => item.status === "open") ?? null;
}
