import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Link } from "wouter";
import { kitRefreshQuery } from "../../api/queries";
import { letters } from "../../api/outbox";
import type { KitRefresh } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { useKept } from "../../app/useKept";
import { Fold } from "../../kit/Fold";
import { Button } from "../../kit/kit";
import { Mark } from "../../kit/Mark";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/kits";

type Stack = KitRefresh["look"][number];

/** The next refresh of a kit, to tick at the shelf: what leaves, what comes in, what is bought. */
export function Refresh({ kit, on }: { kit: number; on: string }) {
  const { today } = useSession();
  return (
    <Fold title={say.refresh} note={dayWords(on, today)}>
      <Steps kit={kit} />
    </Fold>
  );
}

function Steps({ kit }: { kit: number }) {
  const query = useQuery(kitRefreshQuery(kit));
  const { today } = useSession();
  const { act } = useActs();
  const waits = useWaiting(`/api/kits/${kit}/refresh`);
  const put = (body: object, name: string) => act(`/api/kits/${kit}/refresh`, body, name);
  return (
    <Loaded query={query} what={say.fetching}>
      {(plan) => (
        <>
          <p className="text-soft text-small">{say.refreshPlan(plan.stay, dayWords(plan.must_reach, today))}</p>
          {plan.look.map((one) => (
            <Row key={one.lot_id} stack={one} note={say.lookFirst}>
              <Link className="btn" to={`/shelf?stack=${one.lot_id}`}>
                {say.lookAt}
              </Link>
            </Row>
          ))}
          {plan.kitchen.map((one) => (
            <Row key={one.lot_id} stack={one} note={say.eatIt(one.weeks, one.per_week, dayWords(one.eat_by, today))}>
              {waits.has(one.lot_id) ? (
                <Waits />
              ) : (
                <Button aria-label={say.takeOut(one.name)} onClick={() => put({ take_out: one.lot_id }, one.name)}>
                  {say.toKitchen}
                </Button>
              )}
            </Row>
          ))}
          {plan.fetch.map((one) => (
            <Row key={one.lot_id} stack={one} note={one.place}>
              {waits.has(one.lot_id) ? (
                <Waits />
              ) : (
                <Button
                  aria-label={say.putInNamed(one.name)}
                  onClick={() => put({ put_in: one.lot_id, packs: one.packs }, one.name)}
                >
                  {say.putIn}
                </Button>
              )}
            </Row>
          ))}
          {plan.buy.length > 0 && <p className="mt-2">{say.buyFor(plan.buy)}</p>}
          <Button className="my-2" look="main" onClick={() => put({ done: true }, say.refresh)}>
            {say.refreshDone}
          </Button>
        </>
      )}
    </Loaded>
  );
}

/** Stacks of a refresh that were ticked and wait for the house to hear of it. */
function useWaiting(path: string): ReadonlySet<number> {
  const mine = useKept(letters).filter((one) => one.path === path && one.state === "pending");
  const bodies = mine.map((one) => one.body as { take_out?: number; put_in?: number });
  return new Set(bodies.flatMap((body) => [body.take_out, body.put_in]).filter((id) => id !== undefined));
}

const Waits = () => <span className="text-soft text-small">{say.waitsForSignal}</span>;

function Row({ stack, note, children }: { stack: Stack; note: string; children: ReactNode }) {
  return (
    <div className="flex gap-3 items-center border-t border-zinc2 py-1.5">
      <Mark kind={stack.mark} className="size-6 shrink-0" />
      <span className="grow min-w-0">
        {`${stack.name} ${stack.amount}`}
        <span className="block text-soft text-small">{note}</span>
      </span>
      {children}
    </div>
  );
}
