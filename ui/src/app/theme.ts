const KEY = "nut-shelf.theme";
export type Theme = "light" | "dark" | "system";

export function theme(): Theme {
  const kept = localStorage.getItem(KEY);
  return kept === "light" || kept === "dark" ? kept : "system";
}

export function applyTheme(next?: Theme): void {
  if (next) localStorage.setItem(KEY, next);
  const chosen = next ?? theme();
  const dark = chosen === "dark" || (chosen === "system" && matchMedia("(prefers-color-scheme: dark)").matches);
  document.documentElement.dataset.theme = dark ? "dark" : "light";
}

matchMedia("(prefers-color-scheme: dark)").addEventListener("change", () => applyTheme());
