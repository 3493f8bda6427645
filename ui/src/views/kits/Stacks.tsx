import { Link } from "wouter";
import type { KitPage } from "../../api/types";
import { useSession } from "../../app/session";
import { FirstOf } from "../../kit/Fold";
import { Board } from "../../kit/kit";
import { Mark } from "../../kit/Mark";
import { dayWords } from "../../words/common";
import * as say from "../../words/kits";

type Stack = KitPage["stacks"][number];
const MOST = 14;

function Row({ stack }: { stack: Stack }) {
  const { today } = useSession();
  const counts = stack.reason === "counts";
  const facts = [
    stack.place,
    stack.until ? say.until(dayWords(stack.until, today)) : "",
    stack.fits ? "" : say.tooBig,
    ...(counts ? stack.gives.map((one) => say.gives(one.amount, one.unit, one.label)) : []),
  ];
  return (
    <li className="flex gap-3 border-t border-zinc2 py-1.5">
      <Mark kind={stack.mark} className="size-6 shrink-0" />
      <span className="grow min-w-0">
        <Link className="underline" to={`/shelf?stack=${stack.lot_id}`}>
          {stack.name}
        </Link>{" "}
        {stack.amount}
        <span className="block text-soft text-small">{facts.filter(Boolean).join(" · ")}</span>
        {stack.warnings.map((text) => (
          <span key={text} className="block text-beet text-small">
            {text}
          </span>
        ))}
      </span>
      {!counts && <span className="text-small text-beet text-right max-w-[16ch]">{say.REASONS[stack.reason]}</span>}
    </li>
  );
}

/** What belongs to a kit, what each gives, and why something does not count. */
export function Stacks({ stacks }: { stacks: Stack[] }) {
  return (
    <Board title={say.inTheKit}>
      {stacks.length === 0 ? (
        <p className="text-soft mt-1">{say.nothingIn}</p>
      ) : (
        <ul className="mt-1">
          <FirstOf list={stacks} most={MOST} what="">
            {(stack) => <Row key={stack.lot_id} stack={stack} />}
          </FirstOf>
        </ul>
      )}
    </Board>
  );
}
