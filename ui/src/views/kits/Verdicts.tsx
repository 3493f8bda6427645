import { useState } from "react";
import type { Outage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Select } from "../../kit/choices";
import { Tick } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import * as say from "../../words/outage";

type Stack = Outage["stacks"][number];
type Found = Readonly<Record<number, string>>;

interface RowProps {
  stack: Stack;
  ticked: boolean;
  found: string;
  onTick: () => void;
  onFound: (state: string) => void;
}

function Row({ stack, ticked, found, onTick, onFound }: RowProps) {
  const out = stack.verdict === "throw";
  return (
    <li className="border-t border-zinc2 py-1.5">
      <label className="flex gap-3 min-h-[36px] phone:min-h-[44px]">
        <input type="checkbox" checked={ticked} onChange={onTick} className="size-5 mt-0.5 shrink-0" />
        <span className="grow min-w-0">
          <b>{stack.name}</b> {stack.amount}
          <span className="block text-soft text-small">{[stack.place, say.RULES[stack.rule]].join(" · ")}</span>
        </span>
        <span className={`text-right font-semibold ${out ? "text-beet" : ""}`}>{say.VERDICTS[stack.verdict]}</span>
      </label>
      {stack.where === "freezer" && (
        <Select
          label={say.found(stack.name)}
          options={say.FOUND}
          value={found}
          className="!w-auto ml-8"
          onPick={onFound}
        />
      )}
    </li>
  );
}

/** What to keep and what not, with its rule; done one by one or all at once, and taken back by one undo. */
export function Verdicts({
  outage,
  found,
  onFound,
}: {
  outage: Outage;
  found: Found;
  onFound: (id: number, state: string) => void;
}) {
  const { act } = useActs();
  const [ticked, setTicked] = useState<ReadonlySet<number>>(new Set());
  const [replace, setReplace] = useState(true);
  const chosen = outage.stacks.filter((one) => ticked.has(one.lot_id));
  const tick = (id: number) => {
    const next = new Set(ticked);
    if (!next.delete(id)) next.add(id);
    setTicked(next);
  };
  const settle = async () => {
    const stacks = chosen.map(({ lot_id }) => ({ lot_id, ...(found[lot_id] ? { finding: found[lot_id] } : {}) }));
    const done = await act(`/api/outages/${outage.id}/settle`, { stacks, replace }, say.settled);
    if (done) setTicked(new Set());
    return done;
  };
  return (
    <Board title={say.over} note={say.overNote} tone="mustard">
      <div className="flex flex-wrap items-center gap-3 mt-1">
        <Button onClick={() => setTicked(new Set(outage.stacks.map((one) => one.lot_id)))}>{say.all}</Button>
        <Tick label={say.replace} checked={replace} onChange={(event) => setReplace(event.target.checked)} />
      </div>
      <ul className="mt-1">
        {outage.stacks.map((one) => (
          <Row
            key={one.lot_id}
            stack={one}
            ticked={ticked.has(one.lot_id)}
            found={found[one.lot_id] ?? ""}
            onTick={() => tick(one.lot_id)}
            onFound={(state) => onFound(one.lot_id, state)}
          />
        ))}
      </ul>
      {chosen.length > 0 && (
        <Button look="main" className="mt-2" onClick={settle}>
          {say.settle(chosen.length)}
        </Button>
      )}
    </Board>
  );
}
