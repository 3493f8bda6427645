import type { Today } from "../../api/types";
import { useMoney } from "../../app/session";
import { FirstOf, Fold } from "../../kit/Fold";
import { dayWords, shortName } from "../../words/common";
import * as say from "../../words/today";

/** What nobody will have eaten in time as things stand, and what runs out: both folded, with their sums in sight. */
export function Ahead({ today, onPick }: { today: Today; onPick: (id: number) => void }) {
  const money = useMoney();
  const lost = today.goes_past.reduce((sum, one) => sum + one.value_minor, 0);
  return (
    <>
      {today.goes_past.length > 0 && (
        <Fold title={say.goesPast} note={say.goesPastNote(money(lost))} tone="mustard">
          <ul className="pb-2">
            <FirstOf list={today.goes_past} most={8} what={say.goesPast}>
              {(one) => (
                <li key={one.stack_id} className="border-t border-zinc2 py-1 text-small">
                  <button
                    type="button"
                    className="text-left hover:underline phone:min-h-[44px]"
                    onClick={() => onPick(one.stack_id)}
                  >
                    {say.lostOf(one.amount, shortName(one.name), one.place)}
                  </button>{" "}
                  <span className="text-soft">
                    {dayWords(one.on, today.today)}, {money(one.value_minor)}
                  </span>
                </li>
              )}
            </FirstOf>
          </ul>
        </Fold>
      )}
      {today.runs_out.length > 0 && (
        <Fold title={say.runsOut} note={say.runsOutNote(today.runs_out.length)}>
          <ul className="pb-2">
            <FirstOf list={today.runs_out} most={8} what={say.runsOut}>
              {(one) => (
                <li key={one.food_id} className="border-t border-zinc2 py-1 text-small">
                  {shortName(one.food)} <span className="text-soft">{dayWords(one.on, today.today)}</span>
                </li>
              )}
            </FirstOf>
          </ul>
        </Fold>
      )}
    </>
  );
}
