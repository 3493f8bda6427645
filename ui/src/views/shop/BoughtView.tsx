import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { Link } from "wouter";
import { boughtQuery, placesQuery } from "../../api/queries";
import type { BoughtLine, PutAway } from "../../api/types";
import { useActs } from "../../app/acts";
import { Back } from "../../kit/Back";
import { Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/shop";
import { PutCard } from "./PutCard";
import { ReceiptFold } from "./ReceiptFold";
import { begun, stackOf, type Putting } from "./putting";

type Stack = PutAway & { ref: string };

/** What was bought, until it stands somewhere: one thing at a time or all at once. */
export default function BoughtView() {
  const query = useQuery(boughtQuery);
  return (
    <>
      <Back to="/shop">{say.backToList}</Back>
      <h1 className="mb-3">{say.bought}</h1>
      <Loaded query={query} what={say.fetchingBought}>
        {(bought) =>
          bought.lines.length === 0 ? (
            <Empty title={say.basketEmpty}>{say.basketEmptyWhy}</Empty>
          ) : (
            <>
              <ReceiptFold />
              <Basket lines={bought.lines} />
            </>
          )
        }
      </Loaded>
    </>
  );
}

function Basket({ lines }: { lines: BoughtLine[] }) {
  const { act, note, tell } = useActs();
  const under = useRef(false);
  const places = useQuery(placesQuery).data ?? [];
  const [said, setSaid] = useState<Record<string, Putting[]>>({});
  const [labels, setLabels] = useState<number[]>([]);
  const [lately, setLately] = useState<{ id: number; name: string }[]>([]);
  const of = (line: BoughtLine) => said[line.ref] ?? begun(line);
  const nameOf = (ref?: string) => lines.find((line) => line.ref === ref)?.text ?? "";
  const stacks = (line: BoughtLine) => of(line).map((one) => stackOf(one, line.food_id));
  const ready = (line: BoughtLine) => line.food_id !== null && stacks(line).every((stack) => stack !== null);
  // A second press of a hurried thumb is the same press.
  const put = async (list: Stack[], words: string) => {
    if (under.current) return;
    under.current = true;
    const done = await act("/api/bought", { stacks: list }, words).finally(() => (under.current = false));
    if (!done?.lot_ids) return;
    setLabels([...labels, ...done.lot_ids]);
    setLately(done.lot_ids.map((id, at) => ({ id, name: nameOf(list[at]?.ref) })));
  };
  const one = async (line: BoughtLine) => {
    if (!ready(line)) return tell({ text: say.unfinished(line.text) });
    return put(
      stacks(line).filter((stack) => stack !== null),
      say.putWords(line.text),
    );
  };
  const all = lines.filter(ready);
  return (
    <>
      <div className="flex flex-wrap gap-3 items-center mb-3">
        {all.length > 1 && (
          <Button
            look="main"
            onClick={() =>
              put(
                all.flatMap((line) => stacks(line).filter((stack) => stack !== null)),
                say.putAll(all.length),
              )
            }
          >
            {say.putAll(all.length)}
          </Button>
        )}
        {labels.length > 0 && (
          <Link className="underline text-rim" to={`/labels?stacks=${labels.join(",")}`}>
            {say.printLabels(labels.length)}
          </Link>
        )}
        {lately.map((one) => (
          <Link key={one.id} className="underline text-rim" to={`/shelf?stack=${one.id}&do=decant`}>
            {say.intoJar(one.name)}
          </Link>
        ))}
      </div>
      <div className="grid gap-3 wide:grid-cols-2 items-start">
        {lines.map((line) => (
          <PutCard
            key={line.ref}
            line={line}
            list={of(line)}
            places={places}
            onChange={(list) => setSaid({ ...said, [line.ref]: list })}
            onPut={() => one(line)}
            onWithout={() => act("/api/bought", { without: [line.ref] }, say.cleared(line.text))}
            onNotBought={() => note(`/api/list/${line.ref}/mark`, { status: "open" }, say.notBought)}
          />
        ))}
      </div>
    </>
  );
}
