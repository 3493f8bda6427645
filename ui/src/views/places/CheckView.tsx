import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "wouter";
import { useGo } from "../../app/address";
import { waiting } from "../../api/outbox";
import { placeCheckQuery } from "../../api/queries";
import type { PlaceCheck } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Toggles } from "../../kit/choices";
import { Tick } from "../../kit/form";
import { Board, Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/check";

type Stack = PlaceCheck["stacks"][number];
type Found = Record<number, string>;

/** Looking through a place, a box of a kit above all: each stack good, turning or bad, in one act. */
export default function CheckView() {
  const id = Number(useParams<{ id: string }>().id);
  const query = useQuery(placeCheckQuery(id));
  return (
    <div>
      <Back to={`/places?place=${id}`}>{say.backToPlace}</Back>
      <Loaded query={query} what={say.fetching}>
        {(check) => <Check key={check.place_id} check={check} />}
      </Loaded>
    </div>
  );
}

/** What is past its date, or stood beside pests, is told by itself: no thumb blesses it with the rest. */
const ownLook = (stack: Stack) => ["look", "stop"].includes(stack.state) || stack.beside_pests;

function Check({ check }: { check: PlaceCheck }) {
  const { act } = useActs();
  const { today } = useSession();
  const go = useGo();
  const [found, setFound] = useState<Found>({});
  const [damp, setDamp] = useState(false);
  const open = check.stacks.filter((stack) => !found[stack.lot_id]);
  const plain = open.filter((stack) => !ownLook(stack));
  const said = check.stacks.length - open.length;
  const path = `/api/places/${check.place_id}/check`;
  const send = async () => {
    const list = check.stacks.flatMap((stack) => {
      const result = found[stack.lot_id];
      return result ? [{ lot_id: stack.lot_id, result }] : [];
    });
    const done = await act(path, { found: list, damp }, say.lookThroughPlace(check.place));
    if (done || waiting().some((letter) => letter.path === path && letter.state === "pending"))
      void go(`/places?place=${check.place_id}`);
  };
  return (
    <>
      <h1>{say.lookThroughPlace(check.place)}</h1>
      <p className="text-soft mb-3">
        {[
          check.checked_on ? say.lastDone(dayWords(check.checked_on, today)) : say.neverDone,
          check.due_on ? say.dueOn(dayWords(check.due_on, today)) : "",
        ]
          .filter(Boolean)
          .join(", ")}
      </p>
      {check.stacks.length === 0 && <Empty title={say.nothing} />}
      {check.stacks.length > 0 && <p className="mb-3 max-w-[70ch]">{check.box ? say.boxAsks : say.placeAsks}</p>}
      <div className="grid gap-3">
        {check.lists.map((list) => (
          <List key={list.kind} list={list} check={check} found={found} onFound={setFound} />
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 mt-4">
        {check.box && <Tick label={say.damp} checked={damp} onChange={(event) => setDamp(event.target.checked)} />}
        {plain.length > 0 && (
          <Button
            onClick={() => setFound({ ...found, ...Object.fromEntries(plain.map((stack) => [stack.lot_id, "good"])) })}
          >
            {plain.length === check.stacks.length ? say.allGood(plain.length) : say.restIsGood(plain.length)}
          </Button>
        )}
        {(check.box || said > 0) && (
          <Button look="main" onClick={() => void send()}>
            {say.done}
          </Button>
        )}
        <span className="text-soft text-small" role="status">
          {check.stacks.length > 0 && say.saidOf(said, check.stacks.length)}
        </span>
      </div>
    </>
  );
}

function List({
  list,
  check,
  found,
  onFound,
}: {
  list: PlaceCheck["lists"][number];
  check: PlaceCheck;
  found: Found;
  onFound: (found: Found) => void;
}) {
  const means = [...new Set(list.signs.map((one) => one.means))].filter((one) => one !== "good");
  return (
    <Board title={say.LISTS[list.kind] ?? list.kind}>
      <ul className="text-soft text-small max-w-[80ch]">
        {means.map((one) => (
          <li key={one}>
            {say.signs(
              one,
              list.signs.filter((sign) => sign.means === one).map((sign) => sign.sign),
            )}
          </li>
        ))}
      </ul>
      <ul className="mt-1">
        {check.stacks
          .filter((stack) => stack.list === list.kind)
          .map((stack) => (
            <Row
              key={stack.lot_id}
              stack={stack}
              result={found[stack.lot_id] ?? ""}
              onResult={(result) => onFound({ ...found, [stack.lot_id]: result })}
            />
          ))}
      </ul>
    </Board>
  );
}

function Row({ stack, result, onResult }: { stack: Stack; result: string; onResult: (result: string) => void }) {
  const { today } = useSession();
  const warns = [
    stack.beside_pests ? say.besidePests : "",
    stack.old_water_days ? say.oldWater(stack.old_water_days) : "",
  ].filter(Boolean);
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-zinc2 py-1.5">
      <span className="grow min-w-[16ch]">
        <Link className="underline" to={`/shelf?stack=${stack.lot_id}`}>
          {stack.name}
        </Link>{" "}
        {stack.amount}
        <span className="block text-soft text-small">
          {stack.usable_until ? dayWords(stack.usable_until, today) : say.noDate}
          {warns.length > 0 && <b className="text-beet font-semibold">{`, ${warns.join(", ")}`}</b>}
        </span>
      </span>
      <Toggles label={say.howIs(stack.name)} options={say.RESULTS} value={result} onPick={onResult} />
    </li>
  );
}
