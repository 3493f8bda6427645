import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { post, Problem } from "../../api/client";
import type { ForeseenPortions } from "../../api/types";
import { useSession } from "../../app/session";
import { Hint } from "../../kit/Hint";
import { Board } from "../../kit/kit";
import { useSettled } from "../../kit/useSettled";
import { dayWords } from "../../words/common";
import * as say from "../../words/bench";

/** Nobody wants to know what half a number would do. */
const PAUSE = 250;

interface Props<Answer> {
  path: string;
  /** What is asked; nothing while it cannot be asked yet. */
  asked: unknown;
  /** What to do first, while nothing is asked. */
  ask: string;
  told: (answer: Answer) => ReactNode;
  /** It stands in a board already. */
  bare?: boolean;
  children: ReactNode;
}

/** What an act of the bench would come to, before anything moves: the act itself, tried and taken back. */
export function Foreseen<Answer>({ path, asked, ask, told, bare = false, children }: Props<Answer>) {
  const settled = useSettled(JSON.stringify(asked), PAUSE);
  const query = useQuery({
    queryKey: ["house", "foresee", path, settled],
    queryFn: () => post<Answer>(path, JSON.parse(settled) as unknown),
    enabled: settled !== "null",
    retry: false,
    placeholderData: (before) => before,
    gcTime: 5000,
    staleTime: Infinity,
  });
  const outcome = (
    <>
      <div role="status" className={bare ? "" : "mt-2 min-h-[120px]"}>
        {asked === null ? (
          <p className="text-soft">{ask}</p>
        ) : query.error instanceof Problem ? (
          <p className="text-beet font-semibold">{query.error.words}</p>
        ) : query.data ? (
          told(query.data)
        ) : (
          <p className="text-soft">{say.workingOut}</p>
        )}
      </div>
      {children}
    </>
  );
  return bare ? outcome : <Board title={say.itComesTo}>{outcome}</Board>;
}

/** Every stack it touches, where it will stand and until when it is good. */
export function Stacks({ stacks }: { stacks: ForeseenPortions["stacks"] }) {
  const { today } = useSession();
  return (
    <ul className="grid gap-1 mt-2 border-l-4 border-rim pl-3">
      {stacks.map((stack, index) => (
        <li key={`${stack.name}-${index}`}>
          <b>{stack.amount}</b>{" "}
          <Hint className={stack.state === "stop" ? "text-beet font-semibold" : ""} words={stack.steps.join(" ")}>
            {say.until(stack.name, stack.place, ending(stack, today))}
          </Hint>
          {stack.warnings.map((line) => (
            <span key={line} className="block text-beet text-small">
              {line}
            </span>
          ))}
        </li>
      ))}
    </ul>
  );
}

function ending(stack: ForeseenPortions["stacks"][number], today: string): string {
  if (stack.state === "stop") return say.notToEat;
  return stack.usable_until ? say.goodUntil(dayWords(stack.usable_until, today)) : say.noDate;
}
