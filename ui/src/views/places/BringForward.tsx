import { useQuery } from "@tanstack/react-query";
import { Link } from "wouter";
import { bringQuery } from "../../api/queries";
import type { BringItem, PlaceDetail } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board, Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { Why } from "../../kit/Why";
import { dayWords } from "../../words/common";
import * as say from "../../words/places";

/** What to carry from backstock to the working shelf, oldest first, one touch each. */
export default function BringForward() {
  const query = useQuery(bringQuery);
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 mb-3">
        <h1>{say.bringForward}</h1>
        <span className="text-soft">{say.whatWorkingShelf}</span>
        <Button className="no-print ml-auto phone:ml-0" onClick={() => window.print()}>
          {say.printTheList}
        </Button>
      </div>
      <Loaded query={query} what={say.holdingShelfAgainst}>
        {({ items, crossed }) => (
          <>
            <Crossed rows={crossed} />
            {items.length === 0 ? (
              <Empty title={say.nothingToBring}>
                {say.everyFoodUsed}{" "}
                <Link className="underline text-rim font-semibold" to="/keeping">
                  {say.keeping}
                </Link>
                .
              </Empty>
            ) : (
              <Board title={say.toBring(items.length)}>
                <ul className="mt-2 grid wide:grid-cols-2 gap-x-10">
                  {items.map((item) => (
                    <Item key={item.food_id} item={item} />
                  ))}
                </ul>
              </Board>
            )}
          </>
        )}
      </Loaded>
    </div>
  );
}

/** The same food in two places, so that the newer would be eaten first. */
function Crossed({ rows }: { rows: PlaceDetail["warnings"] }) {
  if (rows.length === 0) return null;
  return (
    <Board tone="mustard" title={say.newerWouldBe} className="mb-4">
      <ul className="mt-2">
        {rows.map((row) => (
          <li key={row.stack.id} className="border-t border-zinc2 py-2">
            <Link className="font-semibold underline" to={`/shelf?stack=${row.stack.id}`}>
              {row.stack.name}
            </Link>{" "}
            <span className="text-small">{row.text}</span>
          </li>
        ))}
      </ul>
    </Board>
  );
}

function Item({ item }: { item: BringItem }) {
  const { act } = useActs();
  const { today } = useSession();
  return (
    <li className="border-t border-zinc2 py-3 grid gap-1 content-start">
      <div className="flex flex-wrap gap-x-3 items-baseline">
        <b>{item.food}</b>
        <span className="text-soft text-small">
          {item.at_hand} {say.atHand} {item.working_amount} {say.wanted}
          {item.own ? say.asYouSaid : say.howFastGoes}
          {item.short ? say.shortEvenSo(item.short) : ""}
        </span>
        <span className="no-print">
          <Why steps={item.steps} />
        </span>
      </div>
      {item.picks.map((pick) => (
        <div key={pick.lot_id} className="flex items-center gap-3">
          <span className="hidden print:inline-block w-5 h-5 border-2 border-edge rounded-sm" aria-hidden="true" />
          <span className="grow">
            <b>{pick.words}</b> {say.fromIt} {pick.place}
            {pick.usable_until ? <span className="text-soft">, {dayWords(pick.usable_until, today)}</span> : ""}
            {item.to_place ? (
              <span className="text-soft">
                {" "}
                {say.to} {item.to_place}
              </span>
            ) : (
              ""
            )}
            {pick.then_until && pick.then_until !== pick.usable_until ? (
              <b className="block text-small">
                {say.thereGoodUntil} {dayWords(pick.then_until, today)}
              </b>
            ) : null}
          </span>
          {item.to_place_id !== null && (
            <Button
              className="no-print"
              aria-label={say.bring(pick.words, item.food)}
              onClick={() =>
                act(
                  `/api/stacks/${pick.lot_id}/move`,
                  { place_id: item.to_place_id, amount: pick.amount },
                  say.bringFood(item.food),
                )
              }
            >
              {say.brought}
            </Button>
          )}
        </div>
      ))}
    </li>
  );
}
