import { mine } from "../api/kept";

type Fields = Record<string, string[]>;

const at = (name: string) => mine(`nut-shelf.form.${name}`);

/** What stands in a form right now, but for passwords and files. */
function fieldsOf(form: HTMLFormElement): Fields {
  const secret = new Set(
    Array.from(form.elements).flatMap((one) =>
      one instanceof HTMLInputElement && ["password", "file"].includes(one.type) ? [one.name] : [],
    ),
  );
  const fields: Fields = {};
  for (const [name, value] of new FormData(form)) {
    if (typeof value === "string" && !secret.has(name)) (fields[name] ??= []).push(value);
  }
  // A box that was unticked is not in the form's data, and still was said.
  for (const one of form.elements)
    if (one instanceof HTMLInputElement && one.type === "checkbox" && one.name) fields[one.name] ??= [];
  return fields;
}

export function keepFields(name: string, form: HTMLFormElement): void {
  sessionStorage.setItem(at(name), JSON.stringify(fieldsOf(form)));
}

export function forgetFields(name: string): void {
  sessionStorage.removeItem(at(name));
}

/** Puts what was typed before back. @returns whether there was anything */
export function restoreFields(name: string, form: HTMLFormElement): boolean {
  const kept = sessionStorage.getItem(at(name));
  if (kept === null || kept === JSON.stringify(fieldsOf(form))) return false;
  const fields = JSON.parse(kept) as Fields;
  for (const one of form.elements) {
    if (!(one instanceof HTMLInputElement || one instanceof HTMLSelectElement || one instanceof HTMLTextAreaElement))
      continue;
    const values = fields[one.name];
    if (!values) continue;
    if (one instanceof HTMLInputElement && ["checkbox", "radio"].includes(one.type))
      one.checked = values.includes(one.value);
    else if (values[0] !== undefined) one.value = values[0];
  }
  return true;
}
