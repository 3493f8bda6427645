import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { batchesQuery } from "../../api/bench";
import { placesQuery, shelfQuery } from "../../api/queries";
import type { BatchesPage, Place } from "../../api/types";
import { useMoney, useSession } from "../../app/session";
import { Toggles } from "../../kit/choices";
import { Board } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/preserve";
import { BatchGoing } from "./BatchGoing";
import { BenchTabs } from "./BenchTabs";
import { NewBatch } from "./NewBatch";

/** Freezing, drying and bottling: what is under way, the next batch, and what the last ones gave. */
export default function PreserveBench() {
  const page = useQuery(batchesQuery);
  const shelf = useQuery(shelfQuery).data?.stacks ?? [];
  const places = useQuery(placesQuery).data ?? [];
  const [way, setWay] = useState("drying");
  return (
    <>
      <BenchTabs title={say.preserve} about={say.about} />
      <Loaded query={page} what={say.fetching}>
        {(data) => (
          <div className="grid grid-cols-2 phone:grid-cols-1 gap-4 items-start">
            <Board title={say.begin}>
              <div className="grid gap-3 mt-2">
                <Toggles
                  label={say.wayLabel}
                  options={say.ways}
                  value={way}
                  onPick={(next) => next && setWay(next)}
                />
                <NewBatch key={way} way={way} page={data} shelf={shelf} places={places} />
              </div>
            </Board>
            <div className="grid gap-4">
              <Going page={data} places={places} />
              <Done done={data.done} />
            </div>
          </div>
        )}
      </Loaded>
    </>
  );
}

function Going({ page, places }: { page: BatchesPage; places: Place[] }) {
  return (
    <Board title={say.going}>
      {page.going.length === 0 ? (
        <p className="text-soft mt-2">{say.noneGoing}</p>
      ) : (
        <ul className="grid gap-4 mt-2">
          {page.going.map((batch) => (
            <li key={batch.id} className="border-t border-zinc2 pt-2 first:border-0 first:pt-0">
              <BatchGoing batch={batch} places={places} />
            </li>
          ))}
        </ul>
      )}
    </Board>
  );
}

function Done({ done }: { done: BatchesPage["done"] }) {
  const { today } = useSession();
  const money = useMoney();
  return (
    <Board title={say.done}>
      {done.length === 0 ? (
        <p className="text-soft mt-2">{say.noneDone}</p>
      ) : (
        <ul className="mt-2">
          {done.map((batch) => (
            <li key={batch.id} className="border-t border-zinc2 py-1">
              <span className="font-semibold">{batch.name}</span>
              <span className="text-soft">
                {", "}
                {say.processWord(batch.process)} {dayWords(batch.finished_on, today)}
              </span>
              <span className="block">
                {[
                  say.wentIn(batch.in),
                  batch.out && batch.yield_percent ? say.cameOut(batch.out, batch.yield_percent) : "",
                  ...batch.jars.map((jar) => say.jars(jar.sealed + jar.unsealed, jar.ml, jar.unsealed)),
                  batch.hours === "0" ? "" : say.took(batch.hours),
                  say.cost(money(batch.value_minor)),
                ]
                  .filter(Boolean)
                  .join("; ")}
              </span>
              {(batch.source || batch.note) && (
                <span className="block text-soft text-small">
                  {[batch.source, batch.note].filter(Boolean).join(". ")}
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
    </Board>
  );
}
