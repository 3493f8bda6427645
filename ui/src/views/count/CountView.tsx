import { useQuery } from "@tanstack/react-query";
import { Link } from "wouter";
import { useGo } from "../../app/address";
import { countsQuery } from "../../api/queries";
import type { CountPlace, Counts } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board, Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/count";

/** Which place to count: counts under way first, then what is due, then the rest. */
export default function CountView() {
  const query = useQuery(countsQuery);
  return (
    <Loaded query={query} what={say.lookingAtPlaces}>
      {(counts) => <Start counts={counts} />}
    </Loaded>
  );
}

function Start({ counts }: { counts: Counts }) {
  const free = counts.places.filter((place) => !counts.open.some((one) => one.place_id === place.id));
  const due = free.filter((place) => place.due);
  const rest = free.filter((place) => !place.due);
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1 mb-3">
        <h1>{say.countIt}</h1>
        <span className="text-soft">{say.onePlaceAt}</span>
      </div>
      {counts.open.length > 0 && (
        <Board tone="mustard" title={say.underWay} className="mb-4">
          <ul className="mt-2 grid gap-2">
            {counts.open.map((one) => (
              <li key={one.id} className="flex items-center gap-3 border-t border-zinc2 pt-2">
                <span className="grow min-w-0">
                  <b>{one.place}</b>
                  <span className="block text-soft text-small">
                    {one.person} {say.began} {say.countLines(one.lines)} {say.soFar}
                  </span>
                </span>
                <Link className="btn" data-look="main" to={`/count/${one.id}`}>
                  {say.goOn}
                </Link>
              </li>
            ))}
          </ul>
        </Board>
      )}
      {counts.places.length === 0 ? (
        <Empty title={say.thereNoPlace}>{say.makePlaceFirst}</Empty>
      ) : (
        <div className="grid gap-4 wide:grid-cols-2 items-start">
          <Board title={say.dueForLook} note={say.householdsRhythmOr}>
            {due.length === 0 && <p className="mt-2 text-soft">{say.noPlaceDue}</p>}
            <List places={due} all={counts.places} />
          </Board>
          {rest.length > 0 && (
            <Board title={say.everyOtherPlace}>
              <List places={rest} all={counts.places} />
            </Board>
          )}
        </div>
      )}
    </>
  );
}

function List({ places, all }: { places: CountPlace[]; all: CountPlace[] }) {
  const { act } = useActs();
  const go = useGo();
  const { today } = useSession();
  const begin = async (place: CountPlace) => {
    const made = await act<{ count_id: number }>("/api/counts", { place_id: place.id }, say.count(place.name));
    if (made) void go(`/count/${made.count_id}`);
  };
  return (
    <ul className="mt-2 grid gap-1">
      {places.map((place) => (
        <li key={place.id} className="flex items-center gap-3 border-t border-zinc2 py-2">
          <span className="grow min-w-0">
            <b>{place.name}</b>
            {place.parent_id !== null && (
              <span className="text-soft">
                {" "}
                {say.inIt} {all.find((one) => one.id === place.parent_id)?.name}
              </span>
            )}
            <span className="block text-soft text-small">
              {say.countStacks(place.stacks)}
              {place.reason
                ? `; ${place.reason}`
                : place.counted_on
                  ? say.countedOn(dayWords(place.counted_on, today))
                  : ""}
            </span>
          </span>
          <Button onClick={() => void begin(place)} aria-label={say.countPlace(place.name)}>
            {say.countIt}
          </Button>
        </li>
      ))}
    </ul>
  );
}
