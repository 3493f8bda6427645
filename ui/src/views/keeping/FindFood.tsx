import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { foodsQuery } from "../../api/queries";
import type { Food } from "../../api/types";
import { Text } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Mark } from "../../kit/Mark";
import * as say from "../../words/food";

/** Finds one food by a few letters. */
export function FindFood({
  label,
  onPick,
  focus = false,
}: {
  label: string;
  onPick: (food: Food) => void;
  focus?: boolean;
}) {
  const [find, setFind] = useState("");
  const asked = find.trim().length > 1;
  const query = useQuery({ ...foodsQuery(find), enabled: asked });
  const found = (asked && query.data) || [];
  return (
    <div className="grid gap-1">
      <Text
        label={label}
        value={find}
        placeholder={say.find}
        autoFocus={focus}
        onChange={(event) => setFind(event.target.value)}
        onKeyDown={(event) => event.key === "Enter" && event.preventDefault()}
      />
      <ul aria-label={say.found} className="grid gap-1">
        {found.slice(0, 6).map((food) => (
          <li key={food.id}>
            <Button className="card w-full" onClick={() => onPick(food)}>
              <Mark kind={food.mark} />
              {food.name}
            </Button>
          </li>
        ))}
      </ul>
      {asked && found.length === 0 && <p className="text-soft text-small">{say.unknown}</p>}
    </div>
  );
}
