import { useQuery } from "@tanstack/react-query";
import { shelfQuery } from "../../api/queries";
import { tripChoicesQuery } from "../../api/trips";
import type { SetTripMeal, TripChoices, TripPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { amountIn, Form, Pick, Submit, Amount } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/trips";

type Dish = TripPage["days"][number]["meals"][number]["dishes"][number];

interface Props {
  page: TripPage;
  on: string;
  meal: string;
  onClose: () => void;
}

/** One meal of a trip: what is eaten, what could be instead, and what besides. */
export function MealSheet({ page, on, meal, onClose }: Props) {
  const { today } = useSession();
  const choices = useQuery(tripChoicesQuery(page.trip.id, on, meal));
  const dishes = page.days.find((day) => day.on === on)?.meals.find((one) => one.meal === meal)?.dishes ?? [];
  const title = say.choose(say.meal[meal] ?? meal, dayWords(on, today));
  return (
    <Sheet open onClose={onClose} title={title}>
      <ul className="grid gap-3 my-3">
        {dishes.map((dish) => (
          <li key={dish.id}>
            <Standing dish={dish} page={page} on={on} onClose={onClose} />
          </li>
        ))}
      </ul>
      <h3>{dishes.length > 0 ? say.instead : title}</h3>
      <Loaded query={choices} what={say.fetching}>
        {(data) => (
          <Choices choices={data.choices.filter(others(dishes))} page={page} on={on} meal={meal} onClose={onClose} />
        )}
      </Loaded>
      <Besides page={page} on={on} meal={meal} />
    </Sheet>
  );
}

/** Whether it is another than what stands there. */
const others = (dishes: Dish[]) => (one: TripChoices["choices"][number]) =>
  !dishes.some((dish) => dish.kind === one.kind && dish.key === one.key);

interface StandingProps {
  dish: Dish;
  page: TripPage;
  on: string;
  onClose: () => void;
}

function Standing({ dish, page, on, onClose }: StandingProps) {
  const { act } = useActs();
  const { today } = useSession();
  const change = (body: object, words: string) => act(`/api/trips/meals/${dish.id}/change`, body, words);
  return (
    <>
      <p className="font-semibold">
        {dish.name}
        {dish.grams && `, ${dish.grams}`}
      </p>
      {dish.faults.map((fault) => (
        <p key={fault.kind} className="text-beet text-small">
          {fault.words}
        </p>
      ))}
      <div className="flex flex-wrap gap-2 mt-1 items-end">
        {dish.kind !== "food" && (
          <Button onClick={() => void change({ pinned: !dish.pinned }, dish.pinned ? say.unpin : say.pin)}>
            {dish.pinned ? say.unpin : say.pin}
          </Button>
        )}
        {dish.kind === "bag" && (dish.stands > 0 || dish.soaked) && (
          <Button onClick={() => void change({ soaked: !dish.soaked }, say.soak)}>
            {dish.soaked ? say.noSoak : say.soak}
          </Button>
        )}
        <Button aria-label={say.takeOffOf(dish.name)} onClick={() => void change({ gone: true }, say.takeOff)}>
          {say.takeOff}
        </Button>
        {dish.kind !== "food" && (
          <Pick
            label={say.moveTo}
            value={on}
            options={page.days.map((day): [string, string] => [day.on, dayWords(day.on, today)])}
            onChange={(event) => void change({ on: event.target.value }, say.moveTo).then((done) => done && onClose())}
          />
        )}
      </div>
    </>
  );
}

interface ChoicesProps {
  choices: TripChoices["choices"];
  page: TripPage;
  on: string;
  meal: string;
  onClose: () => void;
}

function Choices({ choices, page, on, meal, onClose }: ChoicesProps) {
  const { act } = useActs();
  const put = async (one: TripChoices["choices"][number]) => {
    const body: SetTripMeal = { on, meal: meal as SetTripMeal["meal"], kind: one.kind, dish: one.key };
    if (await act(`/api/trips/${page.trip.id}/meals`, body, one.name)) onClose();
  };
  return (
    <ul className="grid gap-1 mt-1">
      {choices.map((one) => (
        <li key={`${one.kind}-${one.key}`}>
          <button
            type="button"
            className="text-left w-full border-t border-zinc2 py-1 min-h-[36px] phone:min-h-[44px] disabled:opacity-60"
            disabled={one.refused}
            onClick={() => void put(one)}
          >
            <span className="underline">{one.name}</span>
            <span className={`block text-small ${one.faults.length > 0 ? "text-beet" : "text-soft"}`}>
              {one.faults.length > 0 ? one.faults.join("; ") : say.nothingAgainst}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

function Besides({ page, on, meal }: { page: TripPage; on: string; meal: string }) {
  const { act } = useActs();
  const shelf = useQuery(shelfQuery).data?.stacks ?? [];
  const keys = new Map(page.foods.map((food) => [food.food_id, food.key]));
  const foods = [...new Map(shelf.map((stack) => [stack.food_id, stack.food]))]
    .filter(([id]) => keys.has(id))
    .map(([id, name]): [string, string] => [keys.get(id) ?? "", name])
    .sort((one, other) => one[1].localeCompare(other[1]));
  const add = async (form: FormData) => {
    const grams = amountIn(form, "grams");
    const dish = String(form.get("dish") ?? "");
    if (dish === "" || grams === "") return;
    return act(`/api/trips/${page.trip.id}/meals`, { on, meal, kind: "food", dish, grams }, say.besides);
  };
  return (
    <Form label={say.besides} onSave={add} className="grid grid-cols-[1fr_120px_auto] gap-2 items-end mt-4">
      <Pick label={say.besidesFood} name="dish" none={say.chooseFood} options={foods} />
      <Amount label={say.gramsEach} name="grams" />
      <Submit>{say.add}</Submit>
    </Form>
  );
}
