import { useQuery } from "@tanstack/react-query";
import { Link } from "wouter";
import { kitBoxesQuery, kitMenuQuery } from "../../api/queries";
import type { KitBoxes, KitMenu } from "../../api/types";
import { useActs } from "../../app/acts";
import { Fold } from "../../kit/Fold";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/kitLayout";

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
          <Link className="btn w-max mt-1" to={`/print/kit/${kit}/menu`}>
            {say.printMenu}
          </Link>
          {menu.days.map((day) => (
            <MenuDay key={day.day} kit={kit} day={day} />
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

function MenuDay({ kit, day }: { kit: number; day: KitMenu["days"][number] }) {
  const { act } = useActs();
  const eat = (meal: KitMenu["days"][number]["meals"][number]) =>
    act(
      `/api/kits/${kit}/eaten`,
      {
        day: day.day,
        meal: meal.meal,
        foods: meal.food.map((one) => ({ food_id: one.food_id, grams: one.grams })),
      },
      say.eatenMeal(day.day, say.MEALS[meal.meal] ?? meal.meal),
    );
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
            {meal.food.length > 0 && (
              <dd className="shrink-0">
                <Button
                  aria-label={say.eatenMeal(day.day, say.MEALS[meal.meal] ?? meal.meal)}
                  onClick={() => void eat(meal)}
                >
                  {say.eaten}
                </Button>
              </dd>
            )}
          </div>
        ))}
      </dl>
    </section>
  );
}

function Boxes({ kit }: { kit: number }) {
  const query = useQuery(kitBoxesQuery(kit));
  const { act } = useActs();
  const pack = (boxes: DealtBox[]) => act(`/api/kits/${kit}/pack`, { boxes: boxes.map(asPacked) }, say.packing);
  return (
    <Loaded query={query} what={say.dealing}>
      {(dealt) => (
        <>
          <p className="text-soft text-small">{say.boxesNote(dealt.carry_trips, dealt.carriers)}</p>
          <div className="flex flex-wrap gap-2 mt-1">
            {dealt.boxes.filter(open).length > 1 && (
              <Button look="main" onClick={() => pack(dealt.boxes.filter(open))}>
                {say.packAll}
              </Button>
            )}
            <Link className="btn" to={`/print/kit/${kit}/boxes`}>
              {say.printCards}
            </Link>
            {dealt.boxes.some((box) => box.place_id !== null) && (
              <a className="btn" href={`/api/labels/lids.pdf?kit=${kit}`}>
                {say.printLids}
              </a>
            )}
          </div>
          {dealt.boxes.map((box) => (
            <Box key={box.number} box={box} of={dealt.boxes.length} onPack={() => pack([box])} />
          ))}
          {dealt.loose.length > 0 && (
            <section className="mt-2">
              <h3 className="font-semibold">{say.beside}</h3>
              <ul>
                {dealt.loose.map((one) => (
                  <li key={one.lot_id} className="border-t border-zinc2 py-0.5">
                    {`${one.count} x ${one.name}, ${one.pack}`}{" "}
                    <span className="text-soft text-small">{one.place}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <Kept dealt={dealt} />
        </>
      )}
    </Loaded>
  );
}

type DealtBox = KitBoxes["boxes"][number];

/** Whether something is dealt to it that does not stand in it yet. */
const open = (box: DealtBox) => box.packs.some((one) => !one.in);

const asPacked = (box: DealtBox) => ({
  number: box.number,
  holds: box.holds,
  packs: box.packs.filter((one) => !one.in).map((one) => ({ lot_id: one.lot_id, count: one.count })),
});

function Box({ box, of, onPack }: { box: DealtBox; of: number; onPack: () => Promise<unknown> }) {
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
          <li key={one.lot_id} className="flex gap-3 border-t border-zinc2 py-0.5">
            <span className="grow">{`${one.count} x ${one.name}, ${one.pack}`}</span>
            {one.in && <span className="text-soft text-small">{say.inIt}</span>}
          </li>
        ))}
      </ul>
      {open(box) && (
        <Button className="mt-1" aria-label={say.packedBox(box.number)} onClick={onPack}>
          {say.packed}
        </Button>
      )}
      {box.place_id !== null && (
        <span className="flex flex-wrap gap-x-4 text-small mt-1">
          <Link className="text-rim underline" to={`/shelf?place=${box.place_id}`}>
            {say.whatIsInIt}
          </Link>
          <Link className="text-rim underline" to={`/places/${box.place_id}/check`}>
            {say.lookThroughIt}
          </Link>
        </span>
      )}
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
