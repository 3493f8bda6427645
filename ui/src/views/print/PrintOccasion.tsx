import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "wouter";
import { occasionQuery } from "../../api/queries";
import type { Occasion } from "../../api/types";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { shortDay } from "../../words/common";
import * as say from "../../words/occasions";
import * as print from "../../words/print";
import { Schedule } from "../occasions/Schedule";

function Paper({ one }: { one: Occasion }) {
  return (
    <article className="paper max-w-[900px]">
      <div className="no-print flex gap-2 mb-3">
        <Button look="main" onClick={() => window.print()}>
          {print.print}
        </Button>
        <Link className="btn" to={`/occasions/${one.id}`}>
          {one.name}
        </Link>
      </div>
      <h1>{one.name}</h1>
      {one.on !== null && (
        <p>{say.occasionPaper(`${shortDay(one.on)} ${one.on.slice(0, 4)}`, one.heads, one.serve_at)}</p>
      )}
      <h2 className="mt-4">{say.menu}</h2>
      <ul>
        {one.menu.map((dish) => (
          <li key={dish.dish}>
            <b>{dish.name}</b>, {say.portions(dish.servings)}
            {dish.missing.length > 0 && <span className="block text-small">{say.lacks(dish.missing.join("; "))}</span>}
          </li>
        ))}
      </ul>
      <h2 className="mt-4">{say.beginWhen}</h2>
      <p className="text-small">{say.hands(one.cooks, one.ovens)}</p>
      <Schedule one={one} bars={false} />
      {one.notes !== "" && (
        <>
          <h2 className="mt-4">{say.notes}</h2>
          <p>{one.notes}</p>
        </>
      )}
    </article>
  );
}

/** An occasion on paper: its menu, and what to begin when. */
export default function PrintOccasion() {
  const { id } = useParams<{ id: string }>();
  const query = useQuery(occasionQuery(Number(id)));
  return (
    <Loaded query={query} what={say.fetchingOne}>
      {(one) => <Paper one={one} />}
    </Loaded>
  );
}
