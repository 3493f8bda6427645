import { useState } from "react";
import type { Today } from "../../api/types";
import { useActs } from "../../app/acts";
import { Fold } from "../../kit/Fold";
import { Button } from "../../kit/kit";
import { ShelfChip } from "../shelf/ShelfChip";
import { Amount, Form, Submit, amountIn } from "../../kit/form";
import * as say from "../../words/today";

type Asked = Today["questions"][number];

/** At most three questions a day, only where the answer could change a meal or a purchase. */
export function StillThere({ questions, onPick }: { questions: Asked[]; onPick: (id: number) => void }) {
  if (questions.length === 0) return null;
  return (
    <Fold
      tone="mustard"
      title={say.stillThere}
      note={say.comingMealCounts(questions.length === 1 ? say.oneThing : say.things(questions.length))}
    >
      <ul className="mt-1">
        {questions.map((one) => (
          <Question key={one.stack.id} one={one} onPick={onPick} />
        ))}
      </ul>
    </Fold>
  );
}

function Question({ one, onPick }: { one: Asked; onPick: (id: number) => void }) {
  const { act } = useActs();
  const [open, setOpen] = useState(false);
  const path = `/api/stacks/${one.stack.id}/seen`;
  const submit = (form: FormData) => act(path, { amount: amountIn(form, "amount") }, say.seen(one.stack.name));
  return (
    <li className="border-t border-zinc2 py-2 grid gap-1">
      <div className="grid grid-cols-[170px_minmax(0,1fr)] gap-3 items-center">
        <ShelfChip stack={one.stack} place={one.place} onPick={() => onPick(one.stack.id)} />
        <span className="text-small leading-snug" title={one.steps.join(" ")}>
          {one.needed} {say.ofItFor} {one.meals.join(", ")}
          <span className="block text-soft text-small">
            {one.place}. {one.steps[0]}
          </span>
        </span>
      </div>
      <div className="flex flex-wrap gap-2">
        <Button look="main" onClick={() => act(path, {}, say.seen(one.stack.name))}>
          {say.yes} {one.stack.amount}
        </Button>
        <Button aria-expanded={open} onClick={() => setOpen(!open)}>
          {say.anotherAmount}
        </Button>
        <Button look="grave" onClick={() => act(path, { amount: "0" }, say.seen(one.stack.name))}>
          {say.gone}
        </Button>
      </div>
      {open && (
        <Form className="flex gap-2 items-end" onSave={submit}>
          <Amount
            label={say.howMuch(one.stack.name)}
            unit={one.stack.noun ?? (one.stack.unit === "piece" ? "pieces" : one.stack.unit)}
            name="amount"
            autoFocus
            required
          />
          <Submit>{say.thatMuch}</Submit>
        </Form>
      )}
    </li>
  );
}
