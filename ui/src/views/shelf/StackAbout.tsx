import { Link } from "wouter";
import type { StackDetail } from "../../api/types";
import { useSession } from "../../app/session";
import { dayWords } from "../../kit/words";

const WAYS: Record<string, string> = { bag: "in a bag", jar: "in a closed jar or box", water: "standing in water", paper: "in paper or cloth", vacuum: "without air" };

/** What else is known of a stack, its label, and how to keep such food. */
export function About({ detail }: { detail: StackDetail }) {
  const { today } = useSession();
  const facts = detail.facts;
  const rows: [string, string][] = [
    ["Directions", facts.directions], ["Bought for", facts.bought_for], ["Lot", facts.lot_text], ["Stored", detail.storage.now ? (WAYS[detail.storage.now] ?? detail.storage.now) : ""],
    ["Wrapped in", facts.wrapping.replaceAll("_", " ")], ["Last seen", facts.seen_on ? dayWords(facts.seen_on, today) : ""],
  ];
  return (
    <section aria-label="About it">
      <dl className="grid grid-cols-[110px_1fr] gap-x-3 gap-y-1 text-small">
        {rows.filter(([, value]) => value !== "").map(([name, value]) => <div key={name} className="contents"><dt className="text-soft">{name}</dt><dd>{value}</dd></div>)}
        {detail.parts.map((part) => <div key={part.name + part.on} className="contents"><dt className="text-soft">Topped up</dt><dd>{part.name}, {dayWords(part.on, today)}{part.good_until ? `, good until ${dayWords(part.good_until, today)}` : ""}</dd></div>)}
      </dl>
      <div className="flex flex-wrap gap-2 mt-2">
        <Link className="btn" to={`/keeping?food=${detail.stack.food_id}`}>How to keep it</Link>
        <Link className="btn" to={`/labels?stacks=${detail.stack.id}`}>Label</Link>
      </div>
    </section>
  );
}
