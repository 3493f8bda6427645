import marks from "../../../data/marks.json";

const PATHS: Partial<Record<string, string>> = marks;

/** The drawn mark of a kind of pack or of loose food. What it tells stands in words beside it. */
export function Mark({ kind, className = "" }: { kind: string; className?: string }) {
  const path = PATHS[kind];
  if (path === undefined) return null;
  return (
    <svg viewBox="0 0 20 20" aria-hidden="true" className={`mark ${className}`}>
      <path d={path} />
    </svg>
  );
}
