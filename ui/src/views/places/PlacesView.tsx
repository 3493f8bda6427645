import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "wouter";
import { placesQuery } from "../../api/queries";
import type { Place } from "../../api/types";
import { useSession } from "../../app/session";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords, placeWords } from "../../words/common";
import { NewPlace } from "../../app/NewPlace";
import { PlaceSheet } from "./PlaceSheet";
import * as say from "../../words/places";
import { css } from "../../kit/css";

/** Every place, those inside others under them. */
export default function PlacesView() {
  const query = useQuery(placesQuery);
  const [params, setParams] = useSearchParams();
  const [making, setMaking] = useState(false);
  const keeper = useSession().person?.role === "keeper";
  const id = params.get("place");
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 mb-3">
        <h1>{say.places}</h1>
        <span className="flex flex-wrap gap-2 ml-auto phone:ml-0">
          <Link className="btn" to="/bring-forward">
            {say.bringForward}
          </Link>
          <Link className="btn" to="/jars">
            {say.jarsAndBoxes}
          </Link>
          {keeper && <Button onClick={() => setMaking(true)}>{say.newPlace}</Button>}
        </span>
      </div>
      <Loaded query={query} what={say.lookingAtPlaces}>
        {(places) => <Tree places={places} onPick={(place) => setParams({ place: String(place) })} />}
      </Loaded>
      {id && <PlaceSheet id={Number(id)} places={query.data ?? []} onClose={() => setParams({}, { replace: true })} />}
      {making && <NewPlace onClose={() => setMaking(false)} />}
    </>
  );
}

function Tree({ places, onPick }: { places: Place[]; onPick: (id: number) => void }) {
  const roots = places.filter((place) => !places.some((other) => other.id === place.parent_id));
  return (
    <ul className="grid gap-3 wide:grid-cols-2">
      {roots.map((place) => (
        <Node key={place.id} place={place} places={places} onPick={onPick} />
      ))}
    </ul>
  );
}

function Node({ place, places, onPick }: { place: Place; places: Place[]; onPick: (id: number) => void }) {
  const unit = useSession().household?.degrees ?? "c";
  const { today } = useSession();
  const inner = places.filter((other) => other.parent_id === place.id);
  return (
    <li className="board p-3">
      <button type="button" className="w-full text-left flex gap-3 items-start" onClick={() => onPick(place.id)}>
        {place.photo && (
          <img
            src={`/api/places/${place.id}/photo`}
            alt=""
            className="w-[76px] h-[58px] object-cover rounded-md shrink-0"
            loading="lazy"
          />
        )}
        <span className="grow min-w-0">
          <span
            className={css(
              "font-head text-lead font-semibold underline",
              "decoration-dotted underline-offset-4 decoration-edge",
            )}
          >
            {place.name}
          </span>
          <span className="block text-soft text-small">{placeWords(place, unit)}</span>
          <span className="block text-soft text-small">
            {place.counted_on ? say.counted(dayWords(place.counted_on, today)) : say.neverCounted}
            {place.fill_percent !== null ? say.full(place.fill_percent) : ""}
            {place.dark ? say.dark : ""}
          </span>
        </span>
      </button>
      {inner.length > 0 && (
        <ul className="mt-2 pl-4 border-l-2 border-zinc2 grid gap-2">
          {inner.map((one) => (
            <Node key={one.id} place={one} places={places} onPick={onPick} />
          ))}
        </ul>
      )}
    </li>
  );
}
