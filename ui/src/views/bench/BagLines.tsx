import { useState } from "react";
import type { AssembleBags, Stack } from "../../api/types";
import { amountOf, Pick, Text } from "../../kit/form";
import { ByScale } from "../../kit/ByScale";
import { Button } from "../../kit/kit";
import * as say from "../../words/bags";
import { forPeople } from "./Takes";

type Sent = NonNullable<AssembleBags["lines"]>[number];

/** So much of a food in one bag. */
export interface Line extends Sent {
  name: string;
}

interface Props {
  lines: Line[];
  onLines: (lines: Line[]) => void;
  shelf: Stack[];
}

/** What goes into one bag, line by line, and what else of the house could. */
export function BagLines({ lines, onLines, shelf }: Props) {
  const change = (at: number, amount: string) =>
    onLines(lines.map((line, index) => (index === at ? { ...line, amount } : line)));
  return (
    <>
      <ul className="grid gap-1">
        {lines.map((line, at) => (
          <li
            key={line.food_id}
            className="grid grid-cols-[1fr_96px_auto_auto] phone:grid-cols-[1fr_auto_auto] gap-x-2 items-center"
          >
            <span className="phone:col-span-3">{line.name}</span>
            <input
              className="field"
              inputMode="decimal"
              name={`line.${line.food_id}`}
              aria-label={`${line.name}, ${line.unit ?? "g"}`}
              value={line.amount}
              onChange={(event) => change(at, event.target.value)}
            />
            {line.unit && line.unit !== "g" ? (
              <span className="text-soft">{say.units.find(([unit]) => unit === line.unit)?.[1]}</span>
            ) : (
              <ByScale name={`line.${line.food_id}`} what={line.name} />
            )}
            <Button
              aria-label={say.leaveOut(line.name)}
              onClick={() => onLines(lines.filter((_, index) => index !== at))}
            >
              {say.leaveOutShort}
            </Button>
          </li>
        ))}
      </ul>
      <Another lines={lines} onLines={onLines} shelf={shelf} />
    </>
  );
}

function Another({ lines, onLines, shelf }: Props) {
  const [food, setFood] = useState("");
  const [amount, setAmount] = useState("");
  const [unit, setUnit] = useState("g");
  const inIt = new Set(lines.map((line) => line.food_id));
  const foods = [
    ...new Map(
      shelf
        .filter((stack) => forPeople(stack) && !inIt.has(stack.food_id) && !["stop", "look"].includes(stack.state))
        .map((stack) => [stack.food_id, stack.food]),
    ),
  ]
    .map(([id, name]): [string, string] => [String(id), name])
    .sort((one, other) => one[1].localeCompare(other[1]));
  const put = () => {
    const name = foods.find(([id]) => id === food)?.[1];
    if (!name || !(Number(amountOf(amount)) > 0)) return;
    const said = unit === "g" ? {} : unitOf(unit);
    onLines([...lines, { food_id: Number(food), name, amount: amountOf(amount), ...said }]);
    setFood("");
    setAmount("");
  };
  return (
    <div className="grid grid-cols-[1fr_80px_130px_auto] phone:grid-cols-[1fr_1fr] gap-2 items-end">
      <Pick
        label={say.addFood}
        none={say.chooseFood}
        value={food}
        options={foods}
        onChange={(event) => setFood(event.target.value)}
      />
      <Text
        label={say.amountWord}
        inputMode="decimal"
        value={amount}
        onChange={(event) => setAmount(event.target.value)}
      />
      <Pick label={say.unitWord} value={unit} options={say.units} onChange={(event) => setUnit(event.target.value)} />
      <Button onClick={put}>{say.add}</Button>
    </div>
  );
}

const unitOf = (unit: string) => ({ unit: unit as NonNullable<Sent["unit"]> });
