import type { ProblemDocument } from "../api/types";
import { shortDay } from "./common";

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** A refusal as this household reads it: the days it names are written as everywhere else on the page. */
export function refusalWords(document: ProblemDocument): ProblemDocument {
  const days = Object.values(document.params ?? {}).filter((told): told is string => DAY.test(String(told)));
  if (days.length === 0) return document;
  const worded = (text: string) =>
    days.reduce((said, day) => said.replaceAll(day, `${shortDay(day)} ${day.slice(0, 4)}`), text);
  return {
    ...document,
    title: worded(document.title),
    remedy: document.remedy === null ? null : worded(document.remedy),
    errors: document.errors.map((fault) => ({ ...fault, detail: worded(fault.detail) })),
  };
}
