import type { ReactNode } from "react";
import type { ForeseenPortions, PortionBench } from "../../api/types";
import { useMoney } from "../../app/session";
import * as say from "../../words/bench";
import { Beside } from "./Beside";
import { Foreseen, Stacks } from "./Foreseen";

/** What is asked of the bench. */
export type Asked = PortionBench;

/** What the portions would be: size, cost, dates, what stays over. The act itself, tried and taken back. */
export function Outcome({ asked, children }: { asked: Asked | null; children: ReactNode }) {
  return (
    <Portions path="/api/bench/portions/foresee" asked={asked} ask={say.tickOne}>
      {children}
    </Portions>
  );
}

interface Props {
  path: string;
  asked: unknown;
  /** What to do first. */
  ask: string;
  children: ReactNode;
}

/** What portions come to, however they are made. */
export function Portions({ path, asked, ask, children }: Props) {
  return (
    <Foreseen<ForeseenPortions>
      path={path}
      asked={asked}
      ask={ask}
      told={(told) => <Told told={told} />}
    >
      {children}
    </Foreseen>
  );
}

function Told({ told }: { told: ForeseenPortions }) {
  const money = useMoney();
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
          sums.trim.startsWith("0 ") ? "" : say.trimmed(sums.trim),
          sums.rest ? say.rest(sums.rest, money(sums.rest_minor)) : "",
          sums.spoiled_minor > 0 ? say.spoiledWorth(money(sums.spoiled_minor)) : "",
        ]
          .filter(Boolean)
          .join(". ")}
      </p>
      {sums.jars && (
        <p className="text-soft">
          {[say.jarTakes(sums.jars.name, sums.jars.takes), sums.jars.loose ? say.looseLids : ""]
            .filter(Boolean)
            .join(", ")}
        </p>
      )}
      {sums.room && (
        <p className={sums.room.fits ? "text-soft" : "text-beet font-semibold"}>
          {(sums.room.fits ? say.room : say.noRoom)(sums.room.needs, sums.room.place, sums.room.free)}
        </p>
      )}
      <Stacks stacks={told.stacks} />
      <Beside cost={Math.max(...sums.costs.map((one) => one.cost_minor))} kcal={sums.kcal} />
    </>
  );
}
