import type { ReactNode } from "react";
import { Link } from "wouter";

/** The way back to where a page belongs. */
export function Back({ to, children }: { to: string; children: ReactNode }) {
  return (
    <p className="mb-1 no-print">
      <Link className="text-rim underline" to={to}>
        {children}
      </Link>
    </p>
  );
}
