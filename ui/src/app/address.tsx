import type { ReactNode } from "react";
import { Link, useLocation } from "wouter";

/** Where the app is: the path alone. */
export function usePath(): string {
  return useLocation()[0];
}

/** Goes to another view. */
export function useGo(): (to: string, options?: { replace?: boolean }) => void {
  return useLocation()[1];
}

interface Tab {
  to: string;
  className: (here: boolean) => string;
  children: ReactNode;
}

/** A link to a view that knows whether one is there, or in a part of it. */
export function TabLink({ to, className, children }: Tab) {
  const path = usePath();
  const here = path === to || (to !== "/" && path.startsWith(`${to}/`));
  return (
    <Link to={to} className={className(here)} aria-current={here ? "page" : undefined}>
      {children}
    </Link>
  );
}
