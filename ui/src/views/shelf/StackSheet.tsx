import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { useGo } from "../../app/address";
import { waiting } from "../../api/outbox";
import { stackQuery } from "../../api/queries";
import type { Place, StackDetail, Tie } from "../../api/types";
import { useActs } from "../../app/acts";
import { useKeys } from "../../app/keys";
import { useMoney, useSession } from "../../app/session";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { Loaded } from "../../kit/state";
import { shortDay } from "../../words/common";
import { ActPanel } from "./ActPanel";
import { DOINGS, type Input } from "./doings";
import { LevelAct } from "./LevelAct";
import { History, Reasons, Reserved } from "./StackParts";
import { About } from "./StackAbout";
import { StackCare } from "./StackCare";
import * as say from "../../words/shelf";

interface Props {
  id: number | null;
  places: Place[];
  tied: Map<number, Tie>;
  /** Which form is open from the start. */
  panel?: string | null;
  onClose: () => void;
  onPick: (id: number) => void;
}

/** One stack: its date with the reasons, what can be done with it, its history. */
export function StackSheet({ id, places, tied, panel, onClose, onPick }: Props) {
  const query = useQuery({ ...stackQuery(id ?? 0), enabled: id !== null });
  return (
    <Sheet open={id !== null} onClose={onClose} title={query.data?.stack.name ?? say.stack}>
      {id !== null && (
        <Loaded query={query} what={say.fetchingTheStack}>
          {(detail) => (
            <Body
              key={detail.stack.id}
              panel={panel ?? null}
              detail={detail}
              places={places}
              tie={tied.get(detail.stack.id)}
              onClose={onClose}
              onPick={onPick}
            />
          )}
        </Loaded>
      )}
    </Sheet>
  );
}

interface BodyProps {
  detail: StackDetail;
  panel: string | null;
  places: Place[];
  tie: Tie | undefined;
  onClose: () => void;
  onPick: (id: number) => void;
}

function Body({ detail, panel, places, tie, onClose, onPick }: BodyProps) {
  const money = useMoney();
  const stack = detail.stack;
  const gone = Number(stack.on_hand) === 0;
  return (
    <div className="grid gap-4 mt-1">
      <p className="text-soft">
        <b className="text-ink">{gone ? say.nothingLeft : stack.amount}</b> {say.inside} {detail.place}
        {detail.facts.container ? say.inIt(detail.facts.container) : ""}, {money(stack.value_minor)}
        {stack.value_estimated ? " (estimated)" : ""}
        {stack.name !== stack.food && (
          <>
            <br />
            {say.keptLike} {stack.food}
          </>
        )}
        {tie && (
          <>
            <br />
            <span className="text-pea font-semibold">
              {tie.amount} {say.setAsideFor} {tie.name}, {shortDay(tie.on)}
            </span>
          </>
        )}
      </p>
      <Reserved detail={detail} />
      <Reasons detail={detail} />
      <Doings first={panel} detail={detail} places={places} onClose={onClose} onPick={onPick} />
      {detail.cautions.length > 0 && (
        <ul className="text-small border-l-4 border-mustard pl-3">
          {detail.cautions.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {!gone && (
        <p>
          <Link className="text-rim underline" to={`/make?with=${stack.food_id}`}>
            {say.makeWithIt}
          </Link>
        </p>
      )}
      <About detail={detail} />
      <StackCare detail={detail} />
      <History detail={detail} />
    </div>
  );
}

const FIRST = ["take", "open", "move", "freeze", "thaw", "look", "throw"];

/** The open form, and its keys. */
function usePanel(first: string | null, detail: StackDetail, places: Place[]) {
  const possible = DOINGS.filter((doing) => doing.when(detail, places));
  const [key, setKey] = useState<string | null>(first);
  const toggle = (next: string) => setKey((now) => (now === next ? null : next));
  return {
    possible,
    doing: possible.find((one) => one.key === key) ?? null,
    toggle,
    close: () => setKey(null),
    show: setKey,
  };
}

/** How a letter names what is to be done. */
const VERBS: Record<string, string> = {
  take: say.takeIt2,
  open: say.open,
  move: say.move,
  throw: say.throwAway,
  look: say.look,
  level: say.level,
  prepare: say.prepare,
  store: say.store,
  portion: say.portion,
  "take-apart": say.takeApart,
  decant: say.pour,
  "top-up": say.topUp,
  correct: say.correct,
  amend: say.change,
  "set-apart": say.setApart,
  "sort-pests": say.sortPests,
};

function Doings({
  first,
  detail,
  places,
  onClose,
  onPick,
}: Omit<BodyProps, "panel" | "tie"> & { first: string | null }) {
  const { act } = useActs();
  const stack = detail.stack;
  const { possible, doing, toggle, close, show } = usePanel(first, detail, places);
  const [more, setMore] = useState(false);
  const travel = useGo();
  const go = async (verb: string, body: Input) => {
    const path = `/api/stacks/${stack.id}/${verb}`;
    const done = await act(path, body, `${VERBS[verb] ?? verb}: ${stack.name}`);
    // What was refused stays open with all that was typed; what is done, or on its way, is closed.
    const taken = done ?? waiting().some((letter) => letter.path === path && letter.state === "pending");
    if (taken) close();
    if (done && verb === "throw") onClose();
    if (done?.lot_id && done.lot_id !== stack.id) onPick(done.lot_id);
    return taken;
  };
  const there = Number(stack.on_hand) > 0;
  const one = () => void (there && go("take", {}));
  useKeys(
    {
      t: one,
      o: () => show("open"),
      m: () => show("move"),
      f: () => show("freeze"),
      l: () => show("look"),
      x: () => show("throw"),
      k: () => void travel(`/keeping?food=${stack.food_id}`),
    },
    { within: "sheet" },
  );
  const button = (key: string) => {
    const found = possible.find((candidate) => candidate.key === key);
    return (
      found && (
        <Button
          key={key}
          look={found.look === "grave" ? "grave" : "quiet"}
          aria-expanded={doing?.key === key}
          onClick={() => toggle(key)}
        >
          {found.name}
        </Button>
      )
    );
  };
  const rest = possible.filter((candidate) => !FIRST.includes(candidate.key));
  return (
    <section aria-label={say.whatToDo} className="grid gap-3">
      <div className="flex flex-wrap gap-2">
        {there && (
          <Button look="main" onClick={one}>
            {stack.open ? say.finishIt : say.takeOne}
          </Button>
        )}
        {FIRST.map(button)}
        <Button aria-expanded={more} onClick={() => setMore(!more)}>
          {more ? say.less : say.moreOnes}
        </Button>
      </div>
      {more && (
        <div className="flex flex-wrap gap-2" role="group" aria-label={say.moreToDo}>
          {rest.map((candidate) => button(candidate.key))}
          <Apart detail={detail} />
        </div>
      )}
      {doing && <ActPanel key={doing.key} doing={doing} detail={detail} places={places} onDo={go} />}
      {there && <LevelAct stack={stack} onDo={(body) => void go("level", body)} />}
    </section>
  );
}

/** Pests or a recall: it is set apart as not to eat, until a keeper lets it back. */
function Apart({ detail }: { detail: StackDetail }) {
  const { act } = useActs();
  const keeper = useSession().person?.role === "keeper";
  const path = `/api/stacks/${detail.stack.id}`;
  if (detail.facts.quarantined)
    return keeper ? (
      <Button onClick={() => act(`${path}/clear`, {}, say.backOnShelf(detail.stack.name))}>{say.putBackOnShelf}</Button>
    ) : (
      <span className="text-soft">{say.keeperCanLet}</span>
    );
  return (
    <>
      <Button
        look="grave"
        onClick={() => act(`${path}/quarantine`, { reason: "pest" }, say.pestsInIt(detail.stack.name))}
      >
        {say.pestsFound}
      </Button>
      <Button
        look="grave"
        onClick={() => act(`${path}/quarantine`, { reason: "recall" }, say.recalled(detail.stack.name))}
      >
        {say.recalledIt}
      </Button>
    </>
  );
}
