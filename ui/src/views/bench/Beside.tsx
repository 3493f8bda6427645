import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { readyQuery } from "../../api/bench";
import { useMoney } from "../../app/session";
import { Pick } from "../../kit/form";
import * as say from "../../words/bench";

interface Props {
  /** What one portion costs, in minor units. */
  cost: number;
  kcal: number | null;
}

/** A portion held against ready-made food the household paid for. */
export function Beside({ cost, kcal }: Props) {
  const packs = useQuery(readyQuery).data?.packs ?? [];
  const money = useMoney();
  const [food, setFood] = useState("");
  const other = packs.find((one) => String(one.food_id) === food);
  if (packs.length === 0) return null;
  return (
    <div className="mt-3 max-w-[420px]">
      <Pick
        label={say.beside}
        none={say.besideNone}
        value={food}
        options={packs.map((one): [string, string] => [
          String(one.food_id),
          say.readyPack(one.name, one.amount, money(one.price_minor)),
        ])}
        onChange={(event) => setFood(event.target.value)}
      />
      {other && (
        <p className="mt-1">
          {say.readyGives(other.kcal, other.protein_g)}.{" "}
          {kcal !== null && kcal > 0 && other.kcal > 0 && (
            <b>{say.per100(money(hundred(cost, kcal)), money(hundred(other.price_minor, other.kcal)))}</b>
          )}
        </p>
      )}
    </div>
  );
}

const hundred = (minor: number, kcal: number) => Math.round((minor * 100) / kcal);
