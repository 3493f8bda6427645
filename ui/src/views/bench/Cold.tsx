import { useState } from "react";
import type { Place } from "../../api/types";
import { amountIn, Pick, Whole } from "../../kit/form";
import * as say from "../../words/bench";

/** How many stay fresh, where those go, and which freezer has the rest. */
export function Cold({ places, none = say.staysThere }: { places: Place[]; none?: string }) {
  const [frozen, setFrozen] = useState("");
  const option = (place: Place): [string, string] => [String(place.id), place.name];
  return (
    <>
      <Pick
        label={say.frozenPlace}
        name="frozen_place_id"
        value={frozen}
        onChange={(event) => setFrozen(event.target.value)}
        options={[["", say.noFreezer], ...places.filter((place) => place.kind === "freezer").map(option)]}
      />
      {frozen !== "" && <Whole label={say.fresh} name="fresh" min={0} max={500} defaultValue={0} />}
      <Pick
        label={frozen === "" ? say.allPlace : say.freshPlace}
        name="place_id"
        options={[["", none], ...places.map(option)]}
      />
    </>
  );
}

const number = (form: FormData, name: string) =>
  form.get(name) === null || form.get(name) === "" ? {} : { [name]: Number(form.get(name)) };

/** What the fields above and the number of portions say, as it is sent. */
export const coldOf = (form: FormData) => ({
  ...number(form, "frozen_place_id"),
  ...(form.get("frozen_place_id") ? number(form, "fresh") : {}),
  ...number(form, "place_id"),
});

/** What is said of how many: so many, of one size, or into jars; nothing while none of that is said. */
export const howManyOf = (form: FormData) => {
  const size = form.has("size_g") ? amountIn(form, "size_g") : "";
  return { ...(size === "" ? {} : { size_g: size }), ...number(form, "count"), ...number(form, "container_id") };
};
