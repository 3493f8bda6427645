import { useState } from "react";
import type { Food } from "../../api/types";
import { Button } from "../../kit/kit";
import { FindFood } from "../keeping/FindFood";
import * as say from "../../words/recipes";
import { linesOf, type Known, type Read } from "./model";

const BLANK = {
  food_id: null,
  food: null,
  amount: null,
  unit: null,
  words: null,
  optional: false,
  made: false,
  note: "",
  heading: false,
  substitutes: [],
  questions: [],
};

function meaning(read: Read): string {
  if (read.heading) return say.heading;
  if (read.food === null) return say.asWords;
  return [
    read.words ?? say.noAmount,
    read.food,
    read.note,
    read.optional ? say.optional : "",
    read.made ? say.isMade : "",
  ]
    .filter(Boolean)
    .join(", ");
}

/** What may stand in for a line's food, and how much of it for a gram. */
function StandIns({ line, read, onCorrect }: { line: string; read: Read; onCorrect: (next: Read) => void }) {
  const [finding, setFinding] = useState(false);
  const put = (substitutes: Read["substitutes"]) => onCorrect({ ...read, substitutes });
  const others = (id: number) => read.substitutes.filter((one) => one.food_id !== id);
  return (
    <div className="text-small">
      <ul>
        {read.substitutes.map((one) => (
          <li key={one.food_id} className="flex flex-wrap gap-2 items-center">
            <span>
              {one.food} {say.standsIn}
            </span>
            <input
              className="field !w-[64px]"
              aria-label={say.factorOf(one.food)}
              inputMode="decimal"
              defaultValue={one.factor}
              onChange={(event) => {
                const factor = event.target.value.replace(",", ".");
                if (Number(factor) > 0)
                  put(read.substitutes.map((other) => (other.food_id === one.food_id ? { ...one, factor } : other)));
              }}
            />
            <Button look="plain" aria-label={say.notStandIn(one.food)} onClick={() => put(others(one.food_id))}>
              ✕
            </Button>
          </li>
        ))}
      </ul>
      <Button look="plain" aria-expanded={finding} onClick={() => setFinding(!finding)}>
        {say.mayStandIn}
      </Button>
      {finding && (
        <FindFood
          label={say.whatStandsIn(line)}
          focus
          onPick={(food) => {
            setFinding(false);
            if (food.id !== read.food_id) put([...others(food.id), { food_id: food.id, food: food.name, factor: "1" }]);
          }}
        />
      )}
    </div>
  );
}

/** One line as it was understood, with what is asked about it. */
function Line({ line, read, onCorrect }: { line: string; read: Read | undefined; onCorrect: (next: Read) => void }) {
  const [finding, setFinding] = useState(false);
  if (!read) return <li className="border-t border-zinc2 py-1.5 text-soft">{say.reading}</li>;
  const without = (field: string) => read.questions.filter((one) => one.field !== field);
  const food = (found: Pick<Food, "id" | "name">) => {
    onCorrect({ ...read, food_id: found.id, food: found.name, heading: false, questions: without("food") });
    setFinding(false);
  };
  const amount = (value: string) => {
    const size = /^([\d.]+) (g|ml)$/.exec(value);
    const next = size ? size[1]! : value;
    onCorrect({
      ...read,
      amount: next,
      unit: size ? size[2]! : read.unit,
      words: size ? value : `${next} ${read.unit === "piece" ? "" : (read.unit ?? "")}`.trim(),
      questions: without("amount"),
    });
  };
  return (
    <li className="border-t border-zinc2 py-1.5">
      <div className="flex gap-2 items-baseline">
        <span className="grow min-w-0">
          <span className={read.food === null && !read.heading ? "text-beet font-semibold" : ""}>{meaning(read)}</span>
          <span className="text-soft text-small block">{line}</span>
        </span>
        <Button look="plain" aria-expanded={finding} onClick={() => setFinding(!finding)}>
          {say.anotherFood}
        </Button>
      </div>
      {read.questions.map((question) => (
        <div key={question.field + question.text} className="flex flex-wrap gap-1 items-center mt-1">
          <span className="text-small">{question.text}</span>
          {question.answers.map((one) => (
            <button
              key={one.value}
              type="button"
              className="pill"
              data-sure="no"
              onClick={() =>
                question.field === "food" ? food({ id: Number(one.value), name: one.text }) : amount(one.value)
              }
            >
              {one.text}
            </button>
          ))}
        </div>
      ))}
      {read.food !== null && !read.made && <StandIns line={line} read={read} onCorrect={onCorrect} />}
      {finding && <FindFood label={say.whichFoodFor(line)} onPick={food} focus />}
    </li>
  );
}

/** Every line that is typed, as it is understood. */
export function ReadLines({
  text,
  known,
  onCorrect,
}: {
  text: string;
  known: Known;
  onCorrect: (line: string, next: Read) => void;
}) {
  const lines = [...new Set(linesOf(text))];
  return (
    <section aria-label={say.howRead} className="min-w-0">
      <h2 className="font-semibold">{say.howRead}</h2>
      {lines.length === 0 && <p className="text-soft">{say.nothingYet}</p>}
      <ul>
        {lines.map((line) => (
          <Line
            key={line}
            line={line}
            read={known[line]}
            onCorrect={(next) => onCorrect(line, { ...BLANK, ...next, text: line })}
          />
        ))}
      </ul>
    </section>
  );
}
