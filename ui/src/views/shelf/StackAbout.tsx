import { Link } from "wouter";
import type { StackDetail } from "../../api/types";
import { useSession } from "../../app/session";
import { dayWords } from "../../words/common";
import * as say from "../../words/shelf";

const WAYS: Record<string, string> = {
  bag: say.inABag,
  jar: say.inClosedJar,
  water: say.standingInWater,
  paper: say.inPaperOr,
  vacuum: say.withoutAir,
};

/** What else is known of a stack, its label, and how to keep such food. */
export function About({ detail }: { detail: StackDetail }) {
  const { today } = useSession();
  const facts = detail.facts;
  const rows: [string, string][] = [
    [say.directions, facts.directions],
    [say.boughtFor, facts.bought_for],
    [say.lot, facts.lot_text],
    [say.stored, detail.storage.now ? (WAYS[detail.storage.now] ?? detail.storage.now) : ""],
    [say.wrappedIn, facts.wrapping.replaceAll("_", " ")],
    [say.opensWith, say.OPENINGS.find(([key]) => key === facts.opening)?.[1] ?? ""],
    [say.lastSeen, facts.seen_on ? dayWords(facts.seen_on, today) : ""],
  ];
  return (
    <section aria-label={say.aboutIt}>
      <dl className="grid grid-cols-[110px_1fr] gap-x-3 gap-y-1 text-small">
        {rows
          .filter(([, value]) => value !== "")
          .map(([name, value]) => (
            <div key={name} className="contents">
              <dt className="text-soft">{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        {detail.parts.map((part) => (
          <div key={part.name + part.on} className="contents">
            <dt className="text-soft">{say.toppedUp}</dt>
            <dd>
              {part.name}, {dayWords(part.on, today)}
              {part.good_until ? say.goodUntilToo(dayWords(part.good_until, today)) : ""}
            </dd>
          </div>
        ))}
      </dl>
      <div className="flex flex-wrap gap-2 mt-2">
        <Link className="btn" to={`/keeping?food=${detail.stack.food_id}`}>
          {say.howKeep}
        </Link>
        <Link className="btn" to={`/labels?stacks=${detail.stack.id}`}>
          {say.label}
        </Link>
      </div>
    </section>
  );
}
