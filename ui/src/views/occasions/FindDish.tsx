import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { recipesQuery } from "../../api/queries";
import type { RecipeBrief } from "../../api/types";
import { Text } from "../../kit/form";
import { Button } from "../../kit/kit";
import * as say from "../../words/occasions";

const SHOWN = 6;

/** Finds one of the household's dishes by its name. */
export function FindDish({ label, onPick }: { label: string; onPick: (dish: RecipeBrief) => void }) {
  const [find, setFind] = useState("");
  const word = find.trim().toLowerCase();
  const all = useQuery(recipesQuery).data ?? [];
  const found = word.length < 2 ? [] : all.filter((one) => !one.archived && one.name.toLowerCase().includes(word));
  return (
    <div className="grid gap-1">
      <Text
        label={label}
        value={find}
        placeholder={say.findDish}
        onChange={(event) => setFind(event.target.value)}
        onKeyDown={(event) => event.key === "Enter" && event.preventDefault()}
      />
      <ul aria-label={say.foundDishes} className="grid gap-1">
        {found.slice(0, SHOWN).map((dish) => (
          <li key={dish.key}>
            <Button
              className="card w-full"
              onClick={() => {
                setFind("");
                onPick(dish);
              }}
            >
              {dish.name}
            </Button>
          </li>
        ))}
      </ul>
      {word.length > 1 && found.length === 0 && <p className="text-soft text-small">{say.noDish}</p>}
    </div>
  );
}
