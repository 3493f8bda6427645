import { Link } from "wouter";
import { usePath } from "../../app/address";
import * as say from "../../words/bench";

/** The jobs of the bench, one beside the other. */
export function BenchTabs({ title, about }: { title: string; about: string }) {
  const path = usePath();
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 mb-3">
      <h1>{title}</h1>
      <nav aria-label={say.jobs} className="flex flex-wrap gap-1">
        {say.tabs.map(([to, words]) => (
          <Link
            key={to}
            to={to}
            className="btn"
            data-look={path === to ? "main" : "quiet"}
            aria-current={path === to ? "page" : undefined}
          >
            {words}
          </Link>
        ))}
      </nav>
      <span className="text-soft">{about}</span>
    </div>
  );
}
