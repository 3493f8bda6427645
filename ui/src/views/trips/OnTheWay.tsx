import { useQuery } from "@tanstack/react-query";
import { placesQuery, usualFoodsQuery } from "../../api/queries";
import { useActs } from "../../app/acts";
import { Amount, amountIn, Day, Form, Pick, Submit, Whole } from "../../kit/form";
import { Fold } from "../../kit/Fold";
import * as say from "../../words/trips";

const COLD = ["fridge", "freezer"];

/** What is bought on the way goes into a bag, and is set apart for the trip. */
export function OnTheWay({ id }: { id: number }) {
  const { act } = useActs();
  const foods = useQuery(usualFoodsQuery).data ?? [];
  const places = (useQuery(placesQuery).data ?? []).filter((place) => !COLD.includes(place.kind));
  const buy = async (form: FormData) => {
    const amount = amountIn(form, "amount");
    const printed = String(form.get("printed_on") ?? "");
    return act(
      `/api/trips/${id}/bought`,
      {
        food_id: Number(form.get("food")),
        place_id: Number(form.get("place")),
        count: String(Number(form.get("count"))),
        ...(amount === "" ? {} : { amount, unit: "g" }),
        ...(printed === "" ? {} : { printed_on: printed, printed_kind: "best_before" }),
      },
      say.onTheWay,
    );
  };
  return (
    <Fold title={say.onTheWay}>
      <Form label={say.onTheWay} onSave={buy} className="grid gap-3 my-2" keep={`trip.${id}.bought`}>
        <Pick
          label={say.whatBought}
          name="food"
          none={say.chooseFood}
          required
          options={foods.map((food): [string, string] => [String(food.id), food.name])}
        />
        <div className="grid grid-cols-2 gap-2">
          <Whole label={say.howManyPacks} name="count" min={1} max={99} required defaultValue={1} />
          <Amount label={say.packSize} name="amount" unit="g" />
        </div>
        <Day label={say.goodUntil} name="printed_on" />
        <Pick
          label={say.bagBought}
          name="place"
          none={say.chooseBag}
          required
          options={places.map((place): [string, string] => [String(place.id), place.name])}
        />
        <div>
          <Submit>{say.boughtIt}</Submit>
        </div>
      </Form>
    </Fold>
  );
}
