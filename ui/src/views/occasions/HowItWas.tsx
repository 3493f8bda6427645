import { useState } from "react";
import type { Occasion } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Day, Form, Submit, Whole } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { shortDay } from "../../words/common";
import * as say from "../../words/occasions";

type Time = Occasion["times"][number];

const PORTIONS = "[0-9]{1,3}([.,][0-9]{1,2})?";

function portions(form: FormData, name: string): string | null {
  return (
    String(form.get(name) ?? "")
      .trim()
      .replace(",", ".") || null
  );
}

function Portions({ name, label, value, ...rest }: { name: string; label: string; value: string; required?: boolean }) {
  return (
    <td>
      <input
        className="field !w-[80px]"
        name={name}
        aria-label={label}
        inputMode="decimal"
        pattern={PORTIONS}
        defaultValue={value}
        {...rest}
      />
    </td>
  );
}

function Note({ one, time, onDone }: { one: Occasion; time: Time | undefined; onDone: () => void }) {
  const { act } = useActs();
  const { today } = useSession();
  const dishes =
    time?.dishes ?? one.menu.map(({ dish, name, servings }) => ({ dish, name, cooked: servings, left: null }));
  const save = async (form: FormData) => {
    const body = {
      on: String(form.get("on")),
      heads: Number(form.get("heads")),
      notes: String(form.get("notes")),
      dishes: dishes.map((dish, at) => ({
        dish: dish.dish,
        cooked: portions(form, `cooked.${at}`) ?? "0",
        left: portions(form, `left.${at}`),
      })),
    };
    const done = await act(`/api/occasions/${one.id}/note`, body, say.howItWas);
    if (done) onDone();
    return done;
  };
  return (
    <Form onSave={save} label={say.writeDown} keep={`occasion.${one.id}.note`} className="grid gap-3 mt-2">
      <span className="flex flex-wrap gap-3">
        <Day label={say.held_on} name="on" max={today} required defaultValue={time?.on ?? today} />
        <Whole label={say.came} name="heads" min={0} max={500} required defaultValue={time?.heads ?? one.heads} />
      </span>
      {dishes.length > 0 && (
        <table>
          <thead>
            <tr className="text-left">
              <th scope="col" />
              <th scope="col" className="w-[90px]">
                {say.cooked}
              </th>
              <th scope="col" className="w-[90px]">
                {say.left}
              </th>
            </tr>
          </thead>
          <tbody>
            {dishes.map((dish, at) => (
              <tr key={dish.dish}>
                <th scope="row" className="text-left font-normal">
                  {dish.name}
                </th>
                <Portions name={`cooked.${at}`} label={say.cookedOf(dish.name)} value={dish.cooked} required />
                <Portions name={`left.${at}`} label={say.leftOf(dish.name)} value={dish.left ?? ""} />
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <label className="grid gap-1">
        <span className="font-semibold">{say.otherwise}</span>
        <textarea className="field !h-[84px] py-2" name="notes" maxLength={2000} defaultValue={time?.notes ?? ""} />
      </label>
      <Submit>{say.save}</Submit>
    </Form>
  );
}

/** What was cooked and left each time, and what to do otherwise. */
export function HowItWas({ one }: { one: Occasion }) {
  const { today } = useSession();
  const [writing, setWriting] = useState(false);
  const past = one.times.filter((time) => time.on <= today);
  const open = past.find((time) => time.dishes.every((dish) => dish.left === null));
  return (
    <Board className="p-3" title={say.howItWas}>
      {past.length === 0 && <p className="text-soft mt-1">{say.never}</p>}
      <ul>
        {past.map((time) => (
          <li key={time.id} className="border-t border-zinc2 py-2">
            <b>
              {shortDay(time.on)} {time.on.slice(0, 4)}
            </b>
            , {say.heads(time.heads)}
            {time.notes !== "" && <p>{time.notes}</p>}
            <ul className="text-small text-soft">
              {time.dishes.map((dish) => (
                <li key={dish.dish}>
                  {dish.name}: {say.noted(dish.cooked, dish.left)}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      {writing ? (
        <Note one={one} time={open} onDone={() => setWriting(false)} />
      ) : (
        <Button className="mt-2" onClick={() => setWriting(true)}>
          {say.writeDown}
        </Button>
      )}
    </Board>
  );
}
