/** One colour for each way out, the same in every chart; each chart has its table, so none is told by colour alone. */
export const TONES: Record<string, string> = {
  eaten: "var(--pea)",
  given_away: "var(--rim)",
  animals: "var(--edge)",
  composted: "var(--mustard)",
  binned: "var(--beet)",
  lost: "var(--soft)",
};

const ROW = ["var(--rim)", "var(--mustard)", "var(--pea)", "var(--beet)", "var(--edge)", "var(--zinc2)"];

/** @param at place of a kind of food among those that cost most */
export function toneAt(at: number): string {
  return ROW[Math.min(at, ROW.length - 1)] ?? "var(--edge)";
}
