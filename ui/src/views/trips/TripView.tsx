import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "wouter";
import { tripQuery, tripsQuery } from "../../api/trips";
import type { TripPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/trips";
import { EditTrip } from "./EditTrip";
import { TripBalance } from "./TripBalance";
import { TripGrid } from "./TripGrid";

/** A trip: its meals by day with what stands against each, and what it comes to. */
export default function TripView() {
  const id = Number(useParams<{ id: string }>().id);
  const query = useQuery(tripQuery(id));
  return (
    <Loaded query={query} what={say.fetching}>
      {(page) => <Page page={page} />}
    </Loaded>
  );
}

function Page({ page }: { page: TripPage }) {
  const { act } = useActs();
  const { today } = useSession();
  const [changing, setChanging] = useState(false);
  const [filling, setFilling] = useState(false);
  const trips = useQuery(tripsQuery).data;
  const { trip } = page;
  const some = page.days.some((day) => day.meals.some((meal) => meal.dishes.length > 0));
  const fill = async (keep: boolean) => {
    setFilling(true);
    await act(`/api/trips/${trip.id}/fill`, { keep }, say.fill).finally(() => setFilling(false));
  };
  return (
    <>
      <Back to="/trips">{say.trips}</Back>
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 mb-3">
        <h1>{trip.name}</h1>
        <span className="text-soft grow">
          {say.from(dayWords(trip.leaves_on, today), dayWords(trip.back_on, today))}, {say.people(page.people)}
        </span>
        {some && (
          <Button aria-busy={filling} disabled={filling} onClick={() => void fill(true)}>
            {say.fillOpen}
          </Button>
        )}
        <Button look="main" aria-busy={filling} disabled={filling} onClick={() => void fill(false)}>
          {say.fill}
        </Button>
        <Link className="btn" to={`/trips/${trip.id}/packing`}>
          {say.packing}
        </Link>
        <Button onClick={() => setChanging(true)}>{say.changeTrip}</Button>
      </div>
      <div className="grid gap-4">
        <TripGrid page={page} />
        <TripBalance page={page} />
      </div>
      {changing && trips && <EditTrip trip={trip} page={trips} onClose={() => setChanging(false)} />}
    </>
  );
}
