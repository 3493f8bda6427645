import type { StackDetail } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { Button } from "../../kit/kit";
import { dayTab, dayWords, shortDay, stateWords } from "../../words/common";
import * as say from "../../words/shelf";

/** What of it is kept for somebody or something, and until when. */
export function Reserved({ detail }: { detail: StackDetail }) {
  const { act } = useActs();
  if (detail.reserved.length === 0) return null;
  return (
    <ul aria-label={say.setApart} className="grid gap-1">
      {detail.reserved.map((held) => (
        <li key={held.id} className="flex items-center gap-2">
          <span className="grow">
            <b>{held.amount}</b> {say.keptFor(held.for, held.until && shortDay(held.until))}
          </span>
          <Button
            look="plain"
            aria-label={say.releaseIt(held.amount, held.for)}
            onClick={() => act(`/api/reservations/${held.id}/release`, {}, say.releaseIt(held.amount, held.for))}
          >
            {say.release}
          </Button>
        </li>
      ))}
    </ul>
  );
}

export function Reasons({ detail }: { detail: StackDetail }) {
  const { today } = useSession();
  const stack = detail.stack;
  return (
    <section className="board p-3" data-state={stack.state}>
      <span className="tab-day !text-base">{dayTab(stack)}</span>
      <h3 className="mt-2">
        {stack.usable_until ? say.lastGoodDay(dayWords(stack.usable_until, today)) : say.noDateHead}
      </h3>
      <p className="text-soft text-small">
        {stateWords(stack.state)}
        {detail.safety_until ? say.matterSafety : ""}
        {say.school} {detail.school}
      </p>
      <ol aria-label={say.why} className="list-decimal pl-5 mt-2 grid gap-1 text-small">
        {detail.steps.map((step, index) => (
          <li key={`${index}-${step}`}>{step}</li>
        ))}
      </ol>
      {detail.ripening.length > 0 && (
        <ul className="mt-2 text-small border-l-4 border-pea pl-3">
          {detail.ripening.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {detail.warnings.map((line) => (
        <p key={line} className="mt-2 font-semibold text-beet">
          {line}
        </p>
      ))}
    </section>
  );
}

export function History({ detail }: { detail: StackDetail }) {
  const { undo } = useActs();
  const money = useMoney();
  return (
    <section aria-label={say.history}>
      <h3>{say.history}</h3>
      <ul>
        {[...detail.history].reverse().map((row) => (
          <li key={row.act_id} className="flex gap-2 items-center border-b border-zinc2 py-1.5 text-small">
            <div className={`grow ${row.undone ? "line-through text-soft" : ""}`}>
              {row.summary}
              {row.why ? ` (${row.why.replaceAll("_", " ")})` : ""}
              <div className="text-soft text-small">
                {row.person}, {shortDay(row.occurred_on)}
                {row.amount ? `, ${row.amount}` : ""}
                {row.value_minor ? `, ${money(Math.abs(row.value_minor))}` : ""}
              </div>
            </div>
            {row.undoable && (
              <Button look="plain" aria-label={say.undo(row.summary)} onClick={() => undo(row.act_id)}>
                {say.undoIt}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
