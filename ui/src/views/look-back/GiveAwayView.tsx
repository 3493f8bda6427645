import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { giveAwayQuery } from "../../api/queries";
import type { GiveAway } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Form, Submit, Text } from "../../kit/form";
import { Board, Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/giveAway";

type Offer = GiveAway["stacks"][number];

function Row({ one, ticked, onTick }: { one: Offer; ticked: boolean; onTick: () => void }) {
  const { today } = useSession();
  return (
    <li className="border-t border-zinc2">
      <label className="flex gap-3 py-2 min-h-[44px]">
        <input type="checkbox" checked={ticked} onChange={onTick} className="size-5 mt-0.5 shrink-0" />
        <span className="grow min-w-0">
          <b>{one.name}</b> {one.amount}
          <span className="block text-small text-soft">
            {[one.place, say.until(dayWords(one.until, today)), say.WHY[one.why], say.holds(one.allergens)]
              .filter(Boolean)
              .join(" · ")}
          </span>
        </span>
        <span className="whitespace-nowrap">{one.weight}</span>
      </label>
    </li>
  );
}

function Offers({ stacks }: { stacks: Offer[] }) {
  const { act } = useActs();
  const [ticked, setTicked] = useState<ReadonlySet<number>>(new Set());
  const chosen = stacks.filter((one) => ticked.has(one.stack_id));
  const tick = (id: number) => {
    const next = new Set(ticked);
    if (!next.delete(id)) next.add(id);
    setTicked(next);
  };
  const hand = async (form: FormData) => {
    const body = {
      stacks: chosen.map((one) => ({ lot_id: one.stack_id, amount: one.raw })),
      to: String(form.get("to") ?? ""),
    };
    const done = await act("/api/look-back/give-away", body, say.handed);
    if (done) setTicked(new Set());
    return done;
  };
  return (
    <Board>
      <div className="flex flex-wrap gap-2 items-center">
        <Button look="plain" onClick={() => setTicked(new Set(stacks.map((one) => one.stack_id)))}>
          {say.all}
        </Button>
        <Link className="underline text-rim" to="/print/give-away">
          {say.print}
        </Link>
      </div>
      <ul>
        {stacks.map((one) => (
          <Row key={one.stack_id} one={one} ticked={ticked.has(one.stack_id)} onTick={() => tick(one.stack_id)} />
        ))}
      </ul>
      {chosen.length > 0 && (
        <Form onSave={hand} label={say.handed} className="flex flex-wrap gap-2 items-end mt-2">
          <Text label={say.to} name="to" maxLength={120} placeholder={say.example} />
          <Submit>{say.handOver(chosen.length)}</Submit>
        </Form>
      )}
    </Board>
  );
}

/** What could be given away: ticked, printed, handed over. */
export default function GiveAwayView() {
  const query = useQuery(giveAwayQuery);
  return (
    <>
      <Back to="/look-back">{say.back}</Back>
      <h1 className="mt-1">{say.title}</h1>
      <p className="text-soft mb-3">{say.about}</p>
      <Loaded query={query} what={say.looking}>
        {({ stacks }) =>
          stacks.length === 0 ? <Empty title={say.nothing}>{say.nothingWhy}</Empty> : <Offers stacks={stacks} />
        }
      </Loaded>
    </>
  );
}
