import { useQuery } from "@tanstack/react-query";
import { Link } from "wouter";
import { placesQuery, shelfQuery } from "../../api/queries";
import type { Place, Stack } from "../../api/types";
import { useSession } from "../../app/session";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords, inDays, placeWords, stateWords } from "../../words/common";
import * as say from "../../words/print";

/** The whole shelf on paper: every stack, place by place, what turns first on top. */
export default function PrintShelf() {
  const shelf = useQuery(shelfQuery);
  const places = useQuery(placesQuery);
  return (
    <Loaded query={shelf} what={say.gatheringTheShelf}>
      {(data) => (
        <Loaded query={places} what={say.gatheringTheShelf}>
          {(rows) => <Paper stacks={data.stacks} places={rows} />}
        </Loaded>
      )}
    </Loaded>
  );
}

function Paper({ stacks, places }: { stacks: Stack[]; places: Place[] }) {
  const { household, today } = useSession();
  const filled = places
    .map((place) => ({ place, here: stacks.filter((stack) => stack.place_id === place.id) }))
    .filter(({ here }) => here.length > 0);
  return (
    <article className="paper max-w-[900px]">
      <div className="no-print flex gap-2 mb-3">
        <Button look="main" onClick={() => window.print()}>
          {say.print}
        </Button>
        <Link className="btn" to="/shelf">
          {say.backShelf}
        </Link>
      </div>
      <h1>
        {household?.name}
        {say.whatIsThere}
      </h1>
      <p className="text-soft">
        {dayWords(today, today)}; {stacks.length} {say.stacks}
      </p>
      {filled.map(({ place, here }) => (
        <PlaceTable key={place.id} place={place} here={here} />
      ))}
    </article>
  );
}

function PlaceTable({ place, here }: { place: Place; here: Stack[] }) {
  const { household, today } = useSession();
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-small mt-4 border-collapse">
        <caption className="text-left font-head font-semibold text-lead">
          {place.name}{" "}
          <span className="text-soft text-small font-body font-normal">{placeWords(place, household?.degrees)}</span>
        </caption>
        <thead>
          <tr className="text-left border-b border-edge">
            <th className="w-[14px]" />
            <th>{say.what}</th>
            <th>{say.howMuch}</th>
            <th>{say.until}</th>
            <th>{say.stillHas}</th>
            <th>{say.eatenOrHow}</th>
          </tr>
        </thead>
        <tbody>
          {here.map((stack) => (
            <tr key={stack.id} className="border-b border-zinc2">
              <td className="pr-2">
                <span className="inline-block size-[12px] border border-edge" aria-hidden="true" />
              </td>
              <td className="pr-3 py-0.5">{stack.name}</td>
              <td className="pr-3">{stack.level ?? stack.amount}</td>
              <td className="pr-3 whitespace-nowrap">
                {stack.usable_until ? dayWords(stack.usable_until, today).split(",")[0] : ""}
              </td>
              <td className="pr-3 whitespace-nowrap">
                {stack.days_left === null || stack.days_left < 0 || stack.state === "stop"
                  ? stateWords(stack.state)
                  : inDays(stack.days_left)}
              </td>
              <td className="w-[150px]" />
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
