import { useQuery, type UseQueryResult } from "@tanstack/react-query";
import { useEffect, type ReactNode } from "react";
import { post, Problem } from "../../api/client";
import type { Foresight } from "../../api/types";
import { useSession } from "../../app/session";
import { Hint } from "../../kit/Hint";
import { useSettled } from "../../kit/useSettled";
import { dayWords } from "../../words/common";
import * as say from "../../words/shelf";

/** Nobody wants to know what half a number would do. */
const PAUSE = 200;

/** Which stack it speaks of. */
function whose(stack: Foresight["stacks"][number]): string {
  if (stack.new) return say.stackItsOwn;
  return stack.this ? say.ofThisStack : stack.name;
}

function untilWords(stack: Foresight["stacks"][number], today: string): string {
  if (stack.state === "stop") return say.notToEatWord;
  if (!stack.usable_until) return say.noDate;
  if (stack.state !== "look") return say.goodUntil(dayWords(stack.usable_until, today));
  return stack.usable_until < today
    ? say.lookFirstIts(dayWords(stack.usable_until, today))
    : say.lookFirstThen(dayWords(stack.usable_until, today));
}

/** What an act would do to the dates, told before it is done: the act itself, tried and taken back. */
export function Effect({
  id,
  act,
  input,
  onDanger,
}: {
  id: number;
  act: string;
  input: Record<string, unknown>;
  onDanger?: (danger: boolean) => void;
}) {
  const { today } = useSession();
  const asked = useSettled(JSON.stringify(input), PAUSE);
  const query = useQuery({
    queryKey: ["house", "foresee", id, act, asked],
    queryFn: () => post<Foresight>(`/api/stacks/${id}/foresee`, { act, input: JSON.parse(asked) as unknown }),
    retry: false,
    placeholderData: (before) => before,
    gcTime: 5000,
    staleTime: Infinity,
    refetchInterval: false,
    refetchOnWindowFocus: false,
  });
  const danger = query.data?.stacks.some((stack) => stack.state === "stop") ?? false;
  useEffect(() => onDanger?.(danger), [danger, onDanger]);
  // Two lines are kept free for it, so that no button below moves away under a thumb when the answer comes.
  return (
    <div role="status" className="min-h-[44px] text-small">
      {said(query, today)}
    </div>
  );
}

function said(query: UseQueryResult<Foresight>, today: string): ReactNode {
  if (query.error instanceof Problem)
    return (
      <p className="text-beet font-semibold">
        {query.error.words}
      </p>
    );
  if (!query.data) return <p className="text-soft">{say.workingOutDate}</p>;
  return (
    <ul aria-label={say.whatDoesDate} className="grid gap-1 border-l-4 border-rim pl-3">
      {query.data.stacks.map((stack, index) => (
        <li key={`${stack.name}-${index}`}>
          <b>{stack.amount}</b> {whose(stack)} {say.inside}{" "}
          {stack.place}:{" "}
          <Hint className={`font-bold ${stack.state === "stop" ? "text-beet" : ""}`} words={stack.steps.join(" ")}>
            {untilWords(stack, today)}
          </Hint>
          {stack.state === "stop" && <span className="block text-beet">{stack.steps.at(-1)}</span>}
          {stack.warnings.map((line) => (
            <span key={line} className="block text-beet font-semibold">
              {line}
            </span>
          ))}
        </li>
      ))}
      {query.data.stacks.length === 0 && <li>{say.nothingLeftThen}</li>}
    </ul>
  );
}
