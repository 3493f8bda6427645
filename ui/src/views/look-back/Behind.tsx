import { useQuery } from "@tanstack/react-query";
import { lookBackBehindQuery } from "../../api/queries";
import { useMoney } from "../../app/session";
import { Sheet } from "../../kit/Sheet";
import { Loaded } from "../../kit/state";
import { shortDay } from "../../words/common";
import * as say from "../../words/lookBack";

export interface Asked {
  way: say.Way | "spent";
  key: string;
  name: string;
}

/** Every movement behind a sum. */
export function Behind({ asked, from, to, onClose }: { asked: Asked; from: string; to: string; onClose: () => void }) {
  const money = useMoney();
  const query = useQuery(lookBackBehindQuery(asked.way, asked.key, from, to));
  return (
    <Sheet open onClose={onClose} title={say.behind(asked.name)}>
      <Loaded query={query} what={say.adding}>
        {({ outcomes }) => (
          <ul className="mt-2">
            {outcomes.map((one) => (
              <li key={one.movement_id} className="border-t border-zinc2 py-1.5 flex gap-3">
                <span className="grow min-w-0">
                  <b>{one.food}</b> {one.amount}
                  <span className="block text-small text-soft">
                    {[
                      shortDay(one.on),
                      one.how,
                      say.noted(one.person, one.place),
                      one.pack === "" ? null : say.inPacks(one.pack),
                      one.shop,
                      one.days_left === null ? null : say.daysLeft(one.days_left),
                    ]
                      .filter(Boolean)
                      .join(" · ")}
                  </span>
                </span>
                <span className="whitespace-nowrap text-right">
                  {money(one.value_minor)}
                  {one.estimated && <span className="block text-tiny text-soft">{say.guessed}</span>}
                </span>
              </li>
            ))}
          </ul>
        )}
      </Loaded>
    </Sheet>
  );
}
