import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { tripsQuery } from "../../api/trips";
import type { TripsPage } from "../../api/types";
import { useSession } from "../../app/session";
import { Board, Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/trips";
import { EditTrip } from "./EditTrip";

/** Every trip that is written down, and the way to a new one. */
export default function TripsView() {
  const query = useQuery(tripsQuery);
  return (
    <Loaded query={query} what={say.fetching}>
      {(page) => <Page page={page} />}
    </Loaded>
  );
}

function Page({ page }: { page: TripsPage }) {
  const { today } = useSession();
  const [making, setMaking] = useState(false);
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1 mb-3">
        <h1>{say.trips}</h1>
        <span className="text-soft grow">{say.about}</span>
        <Button look="main" onClick={() => setMaking(true)}>
          {say.newTrip}
        </Button>
      </div>
      {page.learned.trips > 0 && (
        <p className="mb-3">
          {say.learned(page.learned.trips, page.learned.percent)}{" "}
          {page.learned.leave_out.length > 0 && say.leaveOut(page.learned.leave_out)}
        </p>
      )}
      {page.trips.length === 0 && <Empty title={say.none}>{say.noneWhy}</Empty>}
      <div className="grid gap-4 wide:grid-cols-2 items-start">
        {page.trips.map((trip) => (
          <Board
            key={trip.id}
            title={
              <Link className="underline" to={`/trips/${trip.id}`}>
                {trip.name}
              </Link>
            }
          >
            <p>
              {say.from(dayWords(trip.leaves_on, today), dayWords(trip.back_on, today))}, {say.mealsOf(trip.meals)}
            </p>
          </Board>
        ))}
      </div>
      {page.boxes.length > 0 && (
        <p className="mt-4">
          {say.boxes}{" "}
          {page.boxes.map((box) => (
            <Link key={box.place_id} className="text-rim underline mr-3" to={`/places/${box.place_id}/box`}>
              {box.name}
            </Link>
          ))}
        </p>
      )}
      {making && <EditTrip trip={null} page={page} onClose={() => setMaking(false)} />}
    </>
  );
}
