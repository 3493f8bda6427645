import { useQuery } from "@tanstack/react-query";
import { kitBoxesQuery, kitMenuQuery } from "../../api/queries";
import type { KitBoxes, KitMenu } from "../../api/types";
import { Fold } from "../../kit/Fold";
import { Loaded } from "../../kit/state";
import * as say from "../../words/kits";

/** What becomes of a kit: its meals, days by meals, and the boxes it is dealt into. */
export function Layout({ kit }: { kit: number }) {
  return (
    <div className="grid gap-4">
      <Fold title={say.menu}>
        <Menu kit={kit} />
      </Fold>
      <Fold title={say.boxes}>
        <Boxes kit={kit} />
      </Fold>
    </div>
  );
}

function Menu({ kit }: { kit: number }) {
  const query = useQuery(kitMenuQuery(kit));
  return (
    <Loaded query={query} what={say.layingOut}>
      {(menu) => (
        <>
          <p className="text-soft text-small">{say.menuNote(menu.heat_l, menu.cook_water_l)}</p>
          {menu.days.map((day) => (
            <MenuDay key={day.day} day={day} />
          ))}
          {menu.left.length > 0 && (
            <p className="text-soft text-small my-1">
              {say.leftOver(menu.left.map((one) => `${one.name} ${one.amount}`))}
            </p>
          )}
        </>
      )}
    </Loaded>
  );
}

function MenuDay({ day }: { day: KitMenu["days"][number] }) {
  return (
    <section className="mt-2">
      <h3 className="font-semibold">
        {say.dayNumber(day.day)}{" "}
        <span className="font-normal text-soft text-small">{say.ofNeed(day.kcal, day.percent)}</span>
      </h3>
      <dl>
        {day.meals.map((meal) => (
          <div key={meal.meal} className="flex gap-3 border-t border-zinc2 py-1">
            <dt className="w-[9ch] shrink-0 text-soft">{say.MEALS[meal.meal]}</dt>
            <dd className="grow">
              {meal.food.length === 0 ? say.nothing : meal.food.map((one) => `${one.name} ${one.amount}`).join("; ")}
              {meal.food.length > 0 && meal.nothing_for.length > 0 && (
                <span className="block text-beet text-small">{say.nothingFor(meal.nothing_for)}</span>
              )}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function Boxes({ kit }: { kit: number }) {
  const query = useQuery(kitBoxesQuery(kit));
  return (
    <Loaded query={query} what={say.dealing}>
      {(dealt) => (
        <>
          <p className="text-soft text-small">{say.boxesNote(dealt.carry_trips, dealt.carriers)}</p>
          {dealt.boxes.map((box) => (
            <Box key={box.number} box={box} of={dealt.boxes.length} />
          ))}
          <Kept dealt={dealt} />
        </>
      )}
    </Loaded>
  );
}

function Box({ box, of }: { box: KitBoxes["boxes"][number]; of: number }) {
  const minds = [box.opener ? say.boxOpener : "", box.glass ? say.boxGlass : ""].filter(Boolean);
  return (
    <section className="mt-2">
      <h3 className="font-semibold">
        {say.boxNumber(box.number, of)}{" "}
        <span className="font-normal text-soft text-small">
          {[say.boxFacts(box.kg, box.fill_percent), ...minds].join(" · ")}
        </span>
      </h3>
      <ul>
        {box.packs.map((one) => (
          <li key={one.lot_id} className="border-t border-zinc2 py-0.5">{`${one.count} x ${one.name}, ${one.pack}`}</li>
        ))}
      </ul>
    </section>
  );
}

function Kept({ dealt }: { dealt: KitBoxes }) {
  return (
    <>
      <h3 className="font-semibold mt-2">{say.ifLost}</h3>
      <ul className="text-small mb-1">
        {dealt.kept.map((one) => (
          <li key={one.label} className={one.well_spread ? "" : "text-beet"}>
            {`${one.label} ${one.percent} %`}
            {!one.well_spread && ` ${say.badlySpread}`}
          </li>
        ))}
      </ul>
      {dealt.left_out.length > 0 && <p className="text-beet text-small mb-1">{say.inNoBox(dealt.left_out)}</p>}
    </>
  );
}
