import { useState } from "react";
import { useQuery } from "@tanstack/react-query";
import { post, Problem } from "../../api/client";
import { placesQuery } from "../../api/queries";
import type { Draft, Spread } from "../../api/types";
import { useActs } from "../../app/acts";
import { Form, Submit, Text } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { putAwayFrom, usual } from "../../label-line/model";
import { shortDay } from "../../words/common";
import * as say from "../../words/audit";

/** How a glut would go over the days: taken in one act, the rest into the freezer. */
export function SpreadOut({ spread, onDone }: { spread: Spread; onDone: () => void }) {
  const { act } = useActs();
  const put = async () => {
    const meals = spread.meals.map(({ on, meal, recipe_id, choices }) => ({ on, meal, recipe_id, choices }));
    if (await act("/api/plan/fill", { meals }, spread.name)) onDone();
  };
  const freeze = () =>
    act(
      `/api/stacks/${spread.lot_id}/move`,
      { place_id: spread.freezer_id, amount: spread.rest_amount },
      `${say.freezeRest}: ${spread.name}`,
    );
  return (
    <Board className="mt-2" title={say.overDays(spread.amount, spread.name)}>
      {spread.meals.length === 0 && <p>{say.noDish}</p>}
      <ul className="mt-1">
        {spread.meals.map((one) => (
          <li key={one.on} className="border-t border-zinc2 py-1">
            <b>{shortDay(one.on)}</b> {one.meal}: {one.name} <span className="text-soft">{say.takes(one.takes)}</span>
          </li>
        ))}
      </ul>
      {spread.rest !== null && (
        <p className="mt-1">
          {say.rest(`${spread.rest} ${spread.name}`)} {!spread.freezes && say.noFreeze}
        </p>
      )}
      <div className="flex flex-wrap gap-2 mt-2">
        {spread.meals.length > 0 && (
          <Button look="main" onClick={put}>
            {say.putThere(spread.meals.length)}
          </Button>
        )}
        {spread.rest !== null && spread.freezes && spread.freezer_id !== null && (
          <Button title={spread.freeze_note} onClick={freeze}>
            {say.freezeRest}
          </Button>
        )}
        <Button look="plain" onClick={onDone}>
          {say.closeSpread}
        </Button>
      </div>
    </Board>
  );
}

/** Says once that there is far too much of something: it is put away, and spread. */
export function Glut({ onSpread }: { onSpread: (lot: number) => void }) {
  const { act } = useActs();
  const [trouble, setTrouble] = useState("");
  const fridge = useQuery(placesQuery).data?.find((place) => place.kind === "fridge");
  const save = async (fields: FormData) => {
    const text = String(fields.get("glut")).trim();
    setTrouble("");
    try {
      const draft = await post<Draft>("/api/label-line", { text });
      const body = putAwayFrom(draft, {
        ...usual(draft),
        ...(draft.usual_place || draft.place || !fridge ? {} : { place_id: fridge.id }),
      });
      if (!body) {
        setTrouble(say.cannotRead);
        return false;
      }
      const done = await act("/api/stacks", body, text, { typed: text });
      const lot = (done as { lot_id?: number } | null)?.lot_id;
      if (lot) onSpread(lot);
      return done;
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      setTrouble(error.words);
      return false;
    }
  };
  return (
    <Board title={say.glut} note={say.glutNote}>
      <Form onSave={save} keep="glut" label={say.glut} className="flex flex-wrap gap-2 items-end mt-1">
        <Text label={say.glutLabel} name="glut" required maxLength={200} />
        <Submit>{say.putAway}</Submit>
      </Form>
      {trouble !== "" && (
        <p role="alert" className="text-beet mt-1">
          {trouble}
        </p>
      )}
    </Board>
  );
}
