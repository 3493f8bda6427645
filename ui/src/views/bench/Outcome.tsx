import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { post, Problem } from "../../api/client";
import type { ForeseenPortions, PortionBench } from "../../api/types";
import { useMoney, useSession } from "../../app/session";
import { Hint } from "../../kit/Hint";
import { Board } from "../../kit/kit";
import { useSettled } from "../../kit/useSettled";
import { dayWords } from "../../words/common";
import * as say from "../../words/bench";

/** What is asked of the bench. */
export type Asked = PortionBench;

/** Nobody wants to know what half a number would do. */
const PAUSE = 250;

/** What the portions would be: size, cost, dates, what stays over. The act itself, tried and taken back. */
export function Outcome({ asked, children }: { asked: Asked | null; children: ReactNode }) {
  const settled = useSettled(JSON.stringify(asked), PAUSE);
  const query = useQuery({
    queryKey: ["house", "foresee", "bench", settled],
    queryFn: () => post<ForeseenPortions>("/api/bench/portions/foresee", JSON.parse(settled) as Asked),
    enabled: settled !== "null",
    retry: false,
    placeholderData: (before) => before,
    gcTime: 5000,
    staleTime: Infinity,
  });
  return (
    <Board title={say.itComesTo}>
      <div role="status" className="mt-2 min-h-[120px]">
        {asked === null ? (
          <p className="text-soft">{say.tickOne}</p>
        ) : query.error instanceof Problem ? (
          <p className="text-beet font-semibold">{query.error.words}</p>
        ) : query.data ? (
          <Told told={query.data} />
        ) : (
          <p className="text-soft">{say.workingOut}</p>
        )}
      </div>
      {children}
    </Board>
  );
}

function Told({ told }: { told: ForeseenPortions }) {
  const money = useMoney();
  const { today } = useSession();
  const sums = told.portions;
  const gives = say.gives(sums.kcal, sums.protein_g);
  return (
    <>
      <p className="font-semibold text-[18px]">{say.so(sums.count, sums.share, sums.pool)}</p>
      <p>{say.costs(sums.costs.map((one) => say.cost(one.count, money(one.cost_minor))))}</p>
      {gives && (
        <p className="text-soft">
          {say.each} {gives}
        </p>
      )}
      <p className="text-soft text-small">
        {[
          sums.trim === "0 g" ? "" : say.trimmed(sums.trim),
          sums.rest ? say.rest(sums.rest, money(sums.rest_minor)) : "",
          sums.spoiled_minor > 0 ? say.spoiledWorth(money(sums.spoiled_minor)) : "",
        ]
          .filter(Boolean)
          .join(". ")}
      </p>
      <ul className="grid gap-1 mt-2 border-l-4 border-rim pl-3">
        {told.stacks.map((stack, index) => (
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
    </>
  );
}

function ending(stack: ForeseenPortions["stacks"][number], today: string): string {
  if (stack.state === "stop") return say.notToEat;
  return stack.usable_until ? say.goodUntil(dayWords(stack.usable_until, today)) : say.noDate;
}
