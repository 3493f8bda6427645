import type { KeepRecipe, ReadLine, Recipe, WrittenRecipe } from "../../api/types";
import { amountOf } from "../../kit/form";

/** A dish as it stands in the editor: its lines as they are typed, and what is known of them already. */
export interface Begun {
  name: string;
  meal: string;
  servings: number;
  total: number;
  active: number;
  gear: string[];
  keeps: number;
  freezes: boolean;
  tags: string;
  lines: string;
  steps: string;
  notes: string;
  source: string;
  known: Known;
  /** What is wrong with it as it was brought in. */
  problems: string[];
  /** The version it changes; none: it is a new dish. */
  changes?: number;
}

/** How lines are read, by what was typed. */
export type Known = Readonly<Record<string, Read>>;
export type Read = Pick<
  ReadLine,
  "text" | "food_id" | "food" | "amount" | "unit" | "words" | "optional" | "made" | "note"
> & { heading: boolean; substitutes: ReadLine["substitutes"]; questions: ReadLine["questions"] };

export const EMPTY: Begun = {
  name: "",
  meal: "dinner",
  servings: 2,
  total: 30,
  active: 15,
  gear: ["hob"],
  keeps: 2,
  freezes: false,
  tags: "",
  lines: "",
  steps: "",
  notes: "",
  source: "",
  known: {},
  problems: [],
};

export const linesOf = (text: string): string[] =>
  text
    .split("\n")
    .map((line) => line.trim())
    .filter((line) => line !== "");

/** A dish of the household, to be changed or made another of. */
export function fromRecipe(recipe: Recipe): Begun {
  const known: Record<string, Read> = {};
  for (const line of recipe.lines)
    known[line.text] = {
      text: line.text,
      food_id: line.food_id ?? null,
      food: line.food ?? null,
      amount: line.amount ?? null,
      unit: line.unit ?? null,
      words: line.words ?? null,
      optional: line.optional,
      made: line.made,
      note: line.note,
      heading: false,
      substitutes: line.substitutes,
      questions: [],
    };
  return {
    ...EMPTY,
    name: recipe.name,
    meal: recipe.meal,
    servings: recipe.servings,
    total: recipe.minutes,
    active: recipe.active_minutes,
    gear: recipe.gear,
    keeps: recipe.leftover_days,
    freezes: recipe.freezes,
    tags: recipe.tags.join(", "),
    lines: recipe.lines.map((line) => line.text).join("\n"),
    steps: recipe.steps.join("\n"),
    notes: recipe.notes,
    source: recipe.source,
    known,
  };
}

/** A recipe that was brought in. */
export function fromWritten(written: WrittenRecipe): Begun {
  return {
    ...EMPTY,
    name: written.name,
    meal: written.meal ?? "dinner",
    servings: written.servings ?? EMPTY.servings,
    total: written.total_minutes ?? EMPTY.total,
    active: Math.min(written.active_minutes ?? EMPTY.active, written.total_minutes ?? EMPTY.total),
    tags: written.tags.join(", "),
    lines: written.lines.map((line) => line.text).join("\n"),
    steps: written.steps.join("\n"),
    notes: written.notes,
    source: written.source,
    known: Object.fromEntries(written.lines.map((line) => [line.text, line])),
    problems: written.problems.map((one) => one.text),
  };
}

/** What is sent of a line: its food and amount where both are known, its words in any case. */
function told(text: string, read: Read | undefined): KeepRecipe["lines"][number] {
  if (!read?.food_id || !read.amount) return { text };
  return {
    text,
    food_id: read.food_id,
    amount: read.amount,
    unit: read.unit as "g" | "ml" | "piece",
    optional: read.optional,
    made: read.made,
    note: read.note,
    substitutes: read.substitutes.map((one) => ({ food_id: one.food_id, factor: one.factor })),
  };
}

/** The dish as the house takes it. */
export function toKeep(fields: FormData, known: Known, changes?: number): KeepRecipe {
  const text = (name: string) => String(fields.get(name) ?? "").trim();
  const whole = (name: string) => Math.round(Number(amountOf(fields.get(name)) || 0));
  return {
    ...(changes === undefined ? {} : { recipe_id: changes }),
    name: text("name"),
    meal: text("meal") as KeepRecipe["meal"],
    servings: whole("servings"),
    active_minutes: whole("active"),
    total_minutes: whole("total"),
    gear: fields.getAll("gear").map(String),
    leftover_days: whole("keeps"),
    freezes: fields.has("freezes"),
    tags: text("tags")
      .split(",")
      .map((one) => one.trim())
      .filter((one) => one !== ""),
    steps: linesOf(text("steps")),
    notes: text("notes"),
    source: text("source"),
    lines: linesOf(text("lines")).map((line) => told(line, known[line])),
  };
}

/** A recipe that was brought in, as the house takes it when nobody looks it over: what is not known stays as words. */
export function straight(written: WrittenRecipe): KeepRecipe {
  const begun = fromWritten(written);
  return {
    name: begun.name,
    meal: begun.meal as KeepRecipe["meal"],
    servings: begun.servings,
    active_minutes: begun.active,
    total_minutes: begun.total,
    gear: begun.gear,
    leftover_days: begun.keeps,
    freezes: begun.freezes,
    tags: written.tags,
    steps: written.steps,
    notes: begun.notes,
    source: begun.source,
    lines: linesOf(begun.lines).map((line) => told(line, begun.known[line])),
  };
}

/** Whether it can be kept as it is: it has a name and lines. */
export const whole = (written: WrittenRecipe): boolean => written.name !== "" && written.lines.length > 0;
