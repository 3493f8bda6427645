import type { ReactNode } from "react";
import type { AssembleBags, ForeseenBags } from "../../api/types";
import { useMoney, useSession } from "../../app/session";
import { dayWords } from "../../words/common";
import * as say from "../../words/bags";
import { Beside } from "./Beside";
import { Foreseen } from "./Foreseen";

/** How many bags it gives and why not more; what one weighs, gives and costs, and until when it is good. */
export function BagsTold({ asked, ask, children }: { asked: AssembleBags | null; ask: string; children: ReactNode }) {
  return (
    <Foreseen<ForeseenBags>
      path="/api/bench/bags/foresee"
      asked={asked}
      ask={ask}
      told={(answer) => <Told bags={answer.bags} />}
    >
      {children}
    </Foreseen>
  );
}

function Told({ bags }: { bags: ForeseenBags["bags"] }) {
  const money = useMoney();
  const { today } = useSession();
  return (
    <>
      <p className="font-semibold text-[18px]">{say.makes(bags.makes, bags.want)}</p>
      {bags.why && <p className="text-beet font-semibold">{bags.why}</p>}
      {bags.each && <Sums sums={bags.each} heat={bags.heat} />}
      {bags.plain && (
        <div className="mt-1 text-soft">
          {say.before}: {say.weighs(bags.plain.net, bags.plain.gross)}.{" "}
          {say.gives(bags.plain.kcal, bags.plain.protein_g, bags.plain.kcal_per_g)}
        </div>
      )}
      {!bags.fits && bags.packaging && (
        <p className="text-beet font-semibold">{say.tooSmall(bags.packaging, bags.larger)}</p>
      )}
      {bags.not_for.length > 0 && <p className="text-beet font-semibold">{say.notFor(bags.not_for)}</p>}
      {bags.allergens.length > 0 && <p className="text-soft text-small">{say.holdsAllergens(bags.allergens)}</p>}
      <ul className="grid gap-1 mt-2 border-l-4 border-rim pl-3">
        {bags.costs.map((one) => (
          <li key={`${one.cost_minor}-${one.until}`}>
            {say.costs(
              one.count,
              money(one.cost_minor),
              one.until ? say.goodUntil(dayWords(one.until, today)) : say.noDate,
            )}
          </li>
        ))}
      </ul>
      {bags.each && bags.costs.length > 0 && (
        <Beside cost={Math.max(...bags.costs.map((one) => one.cost_minor))} kcal={bags.each.kcal} />
      )}
    </>
  );
}

function Sums({ sums, heat }: { sums: NonNullable<ForeseenBags["bags"]["each"]>; heat: string | null }) {
  return (
    <>
      <p>{say.weighs(sums.net, sums.gross)}</p>
      <p>{say.gives(sums.kcal, sums.protein_g, sums.kcal_per_g)}</p>
      {sums.water && <p className="text-soft">{say.water(sums.water, sums.eaten, heat)}</p>}
    </>
  );
}
