import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { foodsQuery } from "../api/queries";
import { Button } from "../kit/kit";
import { Text } from "../kit/form";
import * as say from "../words/app";

const MOST = 8;

/** Some foods of the house, told to a form by their keys: looked for by name, added and taken out by touch. */
export function FoodKeys({ label, name, given }: { label: string; name: string; given: readonly string[] }) {
  const [keys, setKeys] = useState(given);
  const [find, setFind] = useState("");
  const every = useQuery(foodsQuery("")).data ?? [];
  const text = find.trim().toLowerCase();
  const like =
    text.length < 2
      ? []
      : every.filter((one) => one.name.toLowerCase().includes(text) && !keys.includes(one.key)).slice(0, MOST);
  const nameOf = (key: string) => every.find((one) => one.key === key)?.name ?? key;
  const add = (key: string) => {
    setKeys([...keys, key]);
    setFind("");
  };
  return (
    <div>
      <Text
        label={label}
        value={find}
        onChange={(event) => setFind(event.target.value)}
        onKeyDown={(event) => {
          // Enter takes what was found; it does not send the whole sheet.
          if (event.key !== "Enter" || text === "") return;
          event.preventDefault();
          const first = like[0];
          if (first) add(first.key);
        }}
        placeholder={say.findFood}
      />
      <ul className="flex flex-wrap gap-1 mt-1">
        {like.map((one) => (
          <li key={one.key}>
            <Button aria-label={say.addFood(one.name)} onClick={() => add(one.key)}>{`+ ${one.name}`}</Button>
          </li>
        ))}
      </ul>
      <ul className="flex flex-wrap gap-1 mt-1">
        {keys.map((key) => (
          <li key={key}>
            <input type="hidden" name={name} value={key} />
            <Button
              look="quiet"
              aria-label={say.takeOutFood(nameOf(key))}
              onClick={() => setKeys(keys.filter((one) => one !== key))}
            >{`${nameOf(key)} ×`}</Button>
          </li>
        ))}
      </ul>
    </div>
  );
}
