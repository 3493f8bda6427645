const SIZE = /^([\d.]+)(kg|g|l|ml)?$/;
const FACTOR: Record<string, number> = { kg: 1000, l: 1000 };

/** "400g" of the food tables as base amount and unit; a bare number is pieces. */
export function sizeOf(pack: string): { amount: string; unit: "g" | "ml" | "piece" } | null {
  const match = SIZE.exec(pack);
  if (!match?.[1]) return null;
  const unit = match[2];
  const amount = String(Number(match[1]) * (FACTOR[unit ?? ""] ?? 1));
  if (!unit) return { amount, unit: "piece" };
  return { amount, unit: unit.endsWith("g") ? "g" : "ml" };
}

export function packWords(pack: string): string {
  return /[a-z]/.test(pack) ? pack.replace(/(\d)([a-z])/, "$1 $2") : `${pack} pieces`;
}
