import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "wouter";
import { tripQuery, tripsQuery } from "../../api/trips";
import type { TripPage } from "../../api/types";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import { neverMind, takeThese } from "../../words/meals";
import * as say from "../../words/trips";
import { EditTrip } from "./EditTrip";
import { TripBalance } from "./TripBalance";
import { TripGrid } from "./TripGrid";
import { useTripFilling } from "./useTripFilling";

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
  const { today } = useSession();
  const [changing, setChanging] = useState(false);
  const filling = useTripFilling(page.trip.id);
  const trips = useQuery(tripsQuery).data;
  const { trip } = page;
  const some = page.days.some((day) => day.meals.some((meal) => meal.dishes.length > 0));
  return (
    <>
      <Back to="/trips">{say.trips}</Back>
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 mb-3">
        <h1>{trip.name}</h1>
        <span className="text-soft grow">
          {say.from(dayWords(trip.leaves_on, today), dayWords(trip.back_on, today))}, {say.people(page.people)}
        </span>
        {filling.running ? (
          <>
            <span role="status" className="text-soft">
              {filling.grid ? say.foundSoFar(filling.grid.open, filling.grid.faults) : say.lookingForMeals}
            </span>
            <Button onClick={filling.stop}>{neverMind}</Button>
            <Button look="main" disabled={!filling.grid} onClick={filling.take}>
              {takeThese}
            </Button>
          </>
        ) : (
          <>
            {some && <Button onClick={() => filling.start(true)}>{say.fillOpen}</Button>}
            <Button look="main" onClick={() => filling.start(false)}>
              {say.fill}
            </Button>
          </>
        )}
        <Link className="btn" to={`/trips/${trip.id}/packing`}>
          {say.packing}
        </Link>
        <Button onClick={() => setChanging(true)}>{say.changeTrip}</Button>
      </div>
      <div className="grid gap-4">
        <TripGrid page={page} proposed={filling.grid} />
        <TripBalance page={page} />
      </div>
      {changing && trips && <EditTrip trip={trip} page={trips} onClose={() => setChanging(false)} />}
    </>
  );
}
