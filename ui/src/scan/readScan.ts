import { post } from "../api/client";
import type { PutAway, Scanned } from "../api/types";

/** What a scanner sends, not what people type: a code of digits, an element string, or the address of a stack. */
export function isScan(text: string): boolean {
  const typed = text.trim();
  return (
    /^\d{8}$|^\d{12,14}$/.test(typed) ||
    /^\]/.test(typed) ||
    /^\(\d{2,4}\)/.test(typed) ||
    /^\d{16,}/.test(typed) ||
    /\/s\/\d+$/.test(typed) ||
    /^https?:\/\/\S+\/01\/\d{8,14}/i.test(typed)
  );
}

export interface Known {
  /** A stack's own label was scanned. */
  stack: number | null;
  /** A code nobody has told us about yet. */
  unknown: string | null;
  /** Enough to put a pack away, but for the place. */
  draft: Omit<PutAway, "place_id"> | null;
  words: string;
}

type Fact = keyof Omit<PutAway, "place_id" | "food_id" | "count">;
const FACTS: Fact[] = ["amount", "unit", "printed_on", "printed_kind", "made_on", "lot_text"];

function draftOf(scanned: Scanned): Known["draft"] {
  const draft = scanned.draft;
  if (!draft?.food_id) return null;
  const facts = Object.fromEntries(
    FACTS.map((name) => [name, draft[name as keyof typeof draft]]).filter(
      ([, value]) => value !== null && value !== undefined,
    ),
  );
  return { food_id: draft.food_id, count: draft.count, ...facts };
}

export async function readScan(text: string): Promise<Known> {
  const scanned = await post<Scanned>("/api/scan", { text });
  const words = scanned.words || [scanned.pack, scanned.food?.name].filter(Boolean).join(" ");
  return {
    stack: scanned.stack?.id ?? null,
    unknown: scanned.kind === "unknown_pack" ? scanned.code : null,
    draft: draftOf(scanned),
    words,
  };
}
