import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { stackQuery } from "../../api/queries";
import type { Place, StackDetail, Tie } from "../../api/types";
import { useActs } from "../../app/acts";
import { useKeys } from "../../app/keys";
import { useMoney, useSession } from "../../app/session";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { Loaded } from "../../kit/state";
import { dayTab, dayWords, shortDay, stateWords } from "../../kit/words";
import { LevelAct, MoveAct, TakeAct, ThrowAct } from "./StackActs";

type Panel = "take" | "move" | "throw" | null;

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
    <Sheet open={id !== null} onClose={onClose} title={query.data?.stack.name ?? "Stack"}>
      {id !== null && <Loaded query={query} what="Fetching the stack">{(detail) => <Body key={detail.stack.id} panel={panel === "move" || panel === "throw" ? panel : null} detail={detail} places={places} tie={tied.get(detail.stack.id)} onClose={onClose} onPick={onPick} />}</Loaded>}
    </Sheet>
  );
}

function Body({ detail, panel, places, tie, onClose, onPick }: { detail: StackDetail; panel: Panel; places: Place[]; tie: Tie | undefined; onClose: () => void; onPick: (id: number) => void }) {
  const money = useMoney();
  const stack = detail.stack;
  const gone = Number(stack.on_hand) === 0;
  return (
    <div className="grid gap-4 mt-1">
      <p className="text-soft">
        <b className="text-ink">{gone ? "nothing left" : stack.amount}</b> in {detail.place}, {money(stack.value_minor)}{stack.value_estimated ? " (estimated)" : ""}
        {stack.name !== stack.food && <><br />kept like: {stack.food}</>}
        {tie && <><br /><span className="text-pea font-semibold">{tie.amount} set aside for {tie.name}, {shortDay(tie.on)}</span></>}
      </p>
      <Reasons detail={detail} />
      {!gone && <Doings first={panel} detail={detail} places={places} onClose={onClose} onPick={onPick} />}
      {detail.cautions.length > 0 && <ul className="text-[13.5px] border-l-4 border-mustard pl-3">{detail.cautions.map((line) => <li key={line}>{line}</li>)}</ul>}
      <History detail={detail} />
    </div>
  );
}

function Reasons({ detail }: { detail: StackDetail }) {
  const { today } = useSession();
  const stack = detail.stack;
  return (
    <section className="board p-3" data-state={stack.state}>
      <span className="tab-day !text-[15px]">{dayTab(stack)}</span>
      <h3 className="mt-2">{stack.usable_until ? `Last good day: ${dayWords(stack.usable_until, today)}` : "No date"}</h3>
      <p className="text-soft text-[13.5px]">{stateWords(stack.state)}{detail.safety_until ? ", a matter of safety" : ""}; school: {detail.school}</p>
      <ol aria-label="Why" className="list-decimal pl-5 mt-2 grid gap-1 text-[14px]">{detail.steps.map((step) => <li key={step}>{step}</li>)}</ol>
      {detail.warnings.map((line) => <p key={line} className="mt-2 font-semibold text-beet">{line}</p>)}
    </section>
  );
}

function Doings({ first, detail, places, onClose, onPick }: { first: Panel; detail: StackDetail; places: Place[]; onClose: () => void; onPick: (id: number) => void }) {
  const { act } = useActs();
  const [panel, setPanel] = useState<Panel>(first);
  const stack = detail.stack;
  const freezer = places.find((place) => place.kind === "freezer" && place.id !== stack.place_id);
  const path = `/api/stacks/${stack.id}`;
  const go = async (verb: string, body: unknown) => {
    setPanel(null);
    const done = await act(`${path}/${verb}`, body, `${verb} ${stack.name}`);
    if (done?.lot_id && done.lot_id !== stack.id) onPick(done.lot_id);
    return done;
  };
  const one = () => void go("take", {});
  const look = () => void go("look", { result: "good" });
  const open = () => void go("open", {});
  const freeze = () => freezer && void go("move", { place_id: freezer.id });
  useKeys({ t: one, o: () => !stack.open && open(), m: () => setPanel("move"), f: freeze ? () => freeze() : () => undefined, l: look, x: () => setPanel("throw") });
  return (
    <section aria-label="What to do" className="grid gap-3">
      <div className="flex flex-wrap gap-2">
        <Button look="main" onClick={one}>{stack.open ? "Finish it" : "Take one"}</Button>
        <Button aria-expanded={panel === "take"} onClick={() => setPanel(panel === "take" ? null : "take")}>Take some</Button>
        {!stack.open && <Button onClick={open}>Open</Button>}
        <Button aria-expanded={panel === "move"} onClick={() => setPanel(panel === "move" ? null : "move")}>Move</Button>
        {freezer && !stack.frozen && <Button onClick={freeze}>Freeze</Button>}
        <Button onClick={look}>Looked: good</Button>
        <Button look="grave" onClick={() => void go("look", { result: "bad" })}>Looked: bad</Button>
        <Button look="grave" aria-expanded={panel === "throw"} onClick={() => setPanel(panel === "throw" ? null : "throw")}>Throw</Button>
      </div>
      {panel === "take" && <TakeAct stack={stack} onDo={(body) => void go("take", body)} />}
      {panel === "move" && <MoveAct stack={stack} places={places} onDo={(body) => void go("move", body)} />}
      {panel === "throw" && <ThrowAct stack={stack} onDo={(body) => void go("throw", body).then((done) => done && onClose())} />}
      <LevelAct stack={stack} onDo={(body) => void go("level", body)} />
    </section>
  );
}

function History({ detail }: { detail: StackDetail }) {
  const { undo } = useActs();
  const money = useMoney();
  return (
    <section aria-label="History">
      <h3>History</h3>
      <ul>
        {[...detail.history].reverse().map((row) => (
          <li key={row.act_id} className="flex gap-2 items-center border-b border-zinc2 py-1.5 text-[14px]">
            <div className={`grow ${row.undone ? "line-through text-soft" : ""}`}>
              {row.summary}{row.why ? ` (${row.why.replaceAll("_", " ")})` : ""}
              <div className="text-soft text-[13px]">{row.person}, {shortDay(row.occurred_on)}{row.amount ? `, ${row.amount}` : ""}{row.value_minor ? `, ${money(Math.abs(row.value_minor))}` : ""}</div>
            </div>
            {row.undoable && <Button look="plain" aria-label={`Undo: ${row.summary}`} onClick={() => void undo(row.act_id)}>Undo</Button>}
          </li>
        ))}
      </ul>
    </section>
  );
}
