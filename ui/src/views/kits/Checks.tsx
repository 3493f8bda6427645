import type { KitPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board, Button } from "../../kit/kit";
import * as say from "../../words/kits";

function found(told: KitPage): { text: string; grave: boolean }[] {
  const { checks, kit } = told;
  const water = told.lines.some((line) => line.line === "water" && Number(line.have) > 0);
  const list = (words: (names: string[]) => string, names: string[]) => (names.length > 0 ? words(names) : "");
  const rows: [string, boolean][] = [
    [
      Number(checks.heat_l) > 0 ? say.heat(checks.heat_l, `${checks.fuel} ${checks.fuel_unit}`, checks.canisters) : "",
      false,
    ],
    [
      kit.no_power && Number(checks.fuel) > Number(checks.fuel_have)
        ? say.fuelShort(`${checks.fuel_have} ${checks.fuel_unit}`)
        : "",
      true,
    ],
    [Number(checks.cook_water_l) > 0 ? say.cookWater(checks.cook_water_l) : "", false],
    [
      water ? (checks.water_apart ? say.waterApart(checks.water_kept_percent) : say.waterTogether) : "",
      !checks.water_apart,
    ],
    [checks.salty ? say.salt(checks.sodium_mg) : "", true],
    [list(say.oneSided, checks.one_sided), false],
    [list(say.bigPacks, checks.too_big), true],
    [checks.opener ? say.opener : "", false],
    [kit.may_leave ? list(say.glass, checks.glass) : "", true],
    [list(say.bag, checks.bag), false],
    [checks.taste_days < kit.days ? say.taste(checks.taste_days, kit.days) : "", true],
    [list(say.tasteless, checks.tasteless), true],
    [list(say.softening, checks.softening), true],
    [list(say.mice, checks.mice), false],
    ...told.lacks.map((one): [string, boolean] => [say.cannot(one.food, one.grams, one.needs, one.feeds), true]),
  ];
  return rows.filter(([text]) => text).map(([text, grave]) => ({ text, grave }));
}

/** What a kit is checked for as a whole, and what goes in besides food. */
export function Checks({ told }: { told: KitPage }) {
  const { act } = useActs();
  const supplies = told.supplies.filter((one) => one.amount > 0);
  return (
    <Board title={say.checks}>
      <ul className="mt-1">
        {found(told).map((one) => (
          <li key={one.text} className={`border-t border-zinc2 py-1 ${one.grave ? "text-beet" : ""}`}>
            {one.text}
          </li>
        ))}
      </ul>
      <details className="mt-2">
        <summary className="cursor-pointer text-rim font-semibold w-max min-h-[24px] phone:py-[10px]">
          {say.besides}
        </summary>
        <ul>
          {supplies.map((one) => (
            <li key={one.name} className="flex gap-3 border-t border-zinc2 py-1">
              <span className="grow">
                {one.name} {one.note && <span className="block text-soft text-small">{one.note}</span>}
              </span>
              <span className="whitespace-nowrap">{say.supply(one.amount, one.unit)}</span>
              <span className={`w-[9ch] text-right ${one.gap > 0 ? "text-beet" : "text-soft"}`}>
                {one.gap > 0 ? `${say.gap} ${one.gap}` : one.coming > 0 ? say.coming : ""}
              </span>
            </li>
          ))}
        </ul>
        {supplies.some((one) => one.gap > 0) && (
          <Button
            className="mt-2"
            onClick={() =>
              act(`/api/kits/${told.kit.id}/close`, { fetch: false, buy: "none", supplies: true }, say.saved)
            }
          >
            {say.listSupplies}
          </Button>
        )}
      </details>
    </Board>
  );
}
