import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { get } from "../../api/client";
import { foodsQuery } from "../../api/queries";
import type { RecallRow } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board } from "../../kit/kit";
import { Sure } from "../../kit/Sure";
import { Form, Pick, Submit, Text } from "../../kit/form";
import * as say from "../../words/places";

/** A recall came: which stacks does it mean? By food, by the lot that is printed on them, or both. */
export default function RecallView() {
  const [rows, setRows] = useState<RecallRow[] | null>(null);
  const [find, setFind] = useState("");
  const [food, setFood] = useState("");
  const foods = useQuery(foodsQuery(find)).data ?? [];
  const { act } = useActs();
  const search = async (form: FormData) => {
    const [lot, code] = ["lot", "code"].map((name) => String(form.get(name)).trim());
    const query = new URLSearchParams({
      ...(food ? { food_id: food } : {}),
      ...(lot ? { lot } : {}),
      ...(code ? { code } : {}),
    });
    setRows((await get<{ stacks: RecallRow[] }>(`/api/recall?${query.toString()}`)).stacks);
  };
  const apart = async () => {
    if (await act("/api/recall", { lot_ids: (rows ?? []).map((row) => row.stack.id), reason: "recall" }, "recall"))
      setRows(null);
  };
  return (
    <div className="grid gap-4 wide:grid-cols-2 items-start">
      <div className="wide:col-span-2">
        <h1>{say.recall}</h1>
        <p className="text-soft">{say.makerCallsSomething}</p>
      </div>
      <Form className="board p-3 grid gap-3" onSave={search}>
        <Text
          label={say.food}
          value={find}
          onChange={(event) => setFind(event.target.value)}
          placeholder={say.findAFood}
        />
        <Pick
          label={say.whichFood}
          value={food}
          onChange={(event) => setFood(event.target.value)}
          none={say.anyFood}
          options={foods.map((one) => [String(one.id), one.name] as const)}
        />
        <Text label={say.lotOrPart} name="lot" maxLength={60} placeholder="L7-B" />
        <Text
          label={say.barCodePack}
          name="code"
          inputMode="numeric"
          maxLength={14}
          pattern="[0-9]{8,14}"
          placeholder="4006381333931"
        />
        <Submit>{say.findWhatMeans}</Submit>
      </Form>
      {rows === null ? (
        <Board title={say.whatIsMeant}>
          <p className="text-soft mt-2">{say.foundStandsHere}</p>
        </Board>
      ) : (
        <Board tone="beet" title={rows.length === 0 ? say.nothingHereMeant : say.mayBeMeant(rows.length)}>
          <ul className="mt-2">
            {rows.map((row) => (
              <li key={row.stack.id} className="border-t border-zinc2 py-2">
                <b>{row.stack.name}</b> {row.stack.amount}{" "}
                <span className="text-soft">
                  {say.inIt} {row.place}
                  {row.lot_text ? say.lot(row.lot_text) : say.noLotNoted}
                </span>
              </li>
            ))}
          </ul>
          {rows.length > 0 && (
            <div className="mt-3">
              <Sure look="grave" ask={say.surelyApart(rows.length)} yes={say.setApartNow} onYes={apart}>
                {say.setAllApart}
              </Sure>
            </div>
          )}
        </Board>
      )}
    </div>
  );
}
