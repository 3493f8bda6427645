import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "wouter";
import { paperQuery } from "../../api/queries";
import type { Paper } from "../../api/types";
import { useInAddress } from "../../app/inAddress";
import { useSession } from "../../app/session";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/print";

const DAY = /^\d{4}-\d{2}-\d{2}$/;

type Part = Paper["parts"][number];

function Table({ part }: { part: Part }) {
  const whole = part.shares.reduce((sum, share) => sum + share, 0);
  const named = part.columns.some((name) => name !== "");
  return (
    <table className="w-full mt-1 border-collapse">
      <colgroup>
        {part.shares.map((share, at) => (
          <col key={at} style={{ width: `${(share / whole) * 100}%` }} />
        ))}
      </colgroup>
      {named && (
        <thead>
          <tr className="text-left border-b border-edge">
            {part.columns.map((name) => (
              <th key={name} scope="col" className="pr-3">
                {name}
              </th>
            ))}
          </tr>
        </thead>
      )}
      <tbody>
        {part.rows.map((cells, row) => (
          <tr key={row} className="border-b border-zinc2 align-top">
            {cells.map((cell, at) =>
              at === 0 ? (
                <th key={at} scope="row" className="text-left py-1.5 pr-3">
                  {cell}
                </th>
              ) : (
                <td key={at} className="py-1.5 pr-3 whitespace-pre-line">
                  {cell}
                </td>
              ),
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Sheet({ paper, pdf }: { paper: Paper; pdf: string }) {
  return (
    <article className="paper max-w-[900px]">
      <div className="no-print flex flex-wrap gap-2 mb-3">
        <Button look="main" onClick={() => window.print()}>
          {say.print}
        </Button>
        <a className="btn" href={pdf}>
          {say.asPdf}
        </a>
        <Link className="btn" to={paper.back}>
          {say.back}
        </Link>
      </div>
      <h1>{paper.title}</h1>
      {paper.subtitle !== "" && <p className="text-soft">{paper.subtitle}</p>}
      {paper.parts.map((part, at) => (
        <section key={at} className="mt-4">
          {part.heading !== null && part.heading !== "" && <h2>{part.heading}</h2>}
          {part.kind === "table" ? (
            <Table part={part} />
          ) : (
            <ul>
              {part.items.map((item) => (
                <li key={item}>{item}</li>
              ))}
            </ul>
          )}
        </section>
      ))}
    </article>
  );
}

/** A paper of the house, as it leaves the printer. */
function Room({ path, pdf }: { path: string; pdf: string }) {
  const query = useQuery(paperQuery(path));
  return (
    <Loaded query={query} what={say.gathering}>
      {(paper) => <Sheet paper={paper} pdf={`/api/print/${pdf}`} />}
    </Loaded>
  );
}

/** A week of meals on paper, for the kitchen door. */
export function PrintWeek() {
  const { today } = useSession();
  const [from] = useInAddress("from", today, (said) => DAY.test(said));
  return <Room path={`week?from=${from}`} pdf={`week.pdf?from=${from}`} />;
}

/** The shopping list on paper. */
export function PrintList() {
  const [days] = useInAddress("days", "", (said) => /^[1-9]\d?$/.test(said));
  const asked = days === "" ? "" : `?days=${days}`;
  return <Room path={`list${asked}`} pdf={`list.pdf${asked}`} />;
}

/** What is ticked as it runs out, for the cupboard door. */
export function PrintStanding() {
  return <Room path="standing" pdf="standing.pdf" />;
}

/** What is given away, for a food bank. */
export function PrintGiveAway() {
  return <Room path="give-away" pdf="give-away.pdf" />;
}

/** What became of the food in a month. */
export function PrintMonth() {
  const { today } = useSession();
  const [from] = useInAddress("from", today, (said) => DAY.test(said));
  return <Room path={`month?from=${from}`} pdf={`month.pdf?from=${from}`} />;
}

/** A kit on paper: its menu, or a card for each box. */
export function PrintKit() {
  const { id, what } = useParams<{ id: string; what: string }>();
  return <Room path={`kits/${id}/${what}`} pdf={`kits/${id}/${what}.pdf`} />;
}

/** The hours before a gale on paper, for the fridge door. */
export function PrintEvent() {
  const { id } = useParams<{ id: string }>();
  return <Room path={`events/${id}`} pdf={`events/${id}/pdf`} />;
}

/** An occasion on paper: its menu, and what to begin when. */
export function PrintOccasion() {
  const { id } = useParams<{ id: string }>();
  return <Room path={`occasions/${id}`} pdf={`occasions/${id}/pdf`} />;
}

/** A trip on paper: its meals, what is done when, bags and packing list. */
export function PrintTrip() {
  const { id } = useParams<{ id: string }>();
  return <Room path={`trips/${id}`} pdf={`trips/${id}/pdf`} />;
}
