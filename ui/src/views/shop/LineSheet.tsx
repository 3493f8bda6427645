import type { ListItem } from "../../api/types";
import { useMoney, useSession } from "../../app/session";
import { Amount, amountIn, Day, Form, Submit, Text, Whole } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { addDays } from "../../words/common";
import * as say from "../../words/shop";
import type { useListActs } from "./useListActs";

/** All about one line: what its packs cost and when, how many, what was paid, and how to be rid of it. */
export function LineSheet({
  item,
  acts,
  onClose,
}: {
  item: ListItem;
  acts: ReturnType<typeof useListActs>;
  onClose: () => void;
}) {
  const money = useMoney();
  const save = async (form: FormData) => {
    const paid = amountIn(form, "paid");
    const count = Number(form.get("count") ?? 0);
    await acts.change(item, {
      ...(count > 0 && count !== item.packs[0]?.count ? { count } : {}),
      ...(paid === "" ? {} : { paid_minor: Math.round(Number(paid) * 100) }),
      note: String(form.get("note") ?? ""),
    });
    onClose();
    return true;
  };
  const strike = async () => {
    onClose();
    await acts.strike(item);
  };
  return (
    <Sheet open onClose={onClose} title={item.text}>
      <p className="text-soft mt-1">{say.why(item)}</p>
      {item.packs.length > 0 && (
        <ul className="mt-2">
          {item.packs.map((pack) => (
            <li key={pack.size}>{say.price(pack, money)}</li>
          ))}
        </ul>
      )}
      {item.ref !== null && (
        <Form className="grid gap-3 mt-4" onSave={save}>
          {item.packs.length > 0 && (
            <Whole name="count" label={say.howMany} min={1} max={999} defaultValue={item.packs[0]?.count} />
          )}
          <Amount
            name="paid"
            label={say.paid}
            places={2}
            whole={6}
            defaultValue={item.paid_minor === null ? "" : (item.paid_minor / 100).toFixed(2)}
          />
          <Text name="note" label={say.note} maxLength={300} defaultValue={item.note} />
          <Submit>{say.keepLine}</Submit>
        </Form>
      )}
      {item.ref !== null && (
        <Button className="mt-4" onClick={strike}>
          {say.strike}
        </Button>
      )}
      {item.food_id !== null && item.source === "list" && <Silence item={item} acts={acts} onClose={onClose} />}
    </Sheet>
  );
}

const FORTNIGHT = 14;

function Silence({
  item,
  acts,
  onClose,
}: {
  item: ListItem;
  acts: ReturnType<typeof useListActs>;
  onClose: () => void;
}) {
  const today = useSession().today;
  const save = async (form: FormData) => {
    const until = String(form.get("until"));
    if (item.food_id === null) return false;
    const done = await acts.silence(item.food_id, item.text, until, String(form.get("because") ?? ""));
    if (done && item.ref !== null) await acts.strike(item);
    if (done) onClose();
    return done;
  };
  return (
    <Form className="grid gap-3 mt-6 border-t border-zinc2 pt-4" onSave={save}>
      <h3>{say.silence}</h3>
      <Day name="until" label={say.silenceUntil} required min={today} defaultValue={addDays(today, FORTNIGHT)} />
      <Text name="because" label={say.because} placeholder={say.becauseHint} maxLength={200} />
      <Submit>{say.silence}</Submit>
    </Form>
  );
}
