import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { jarsQuery } from "../../api/queries";
import type { Place, PortionBench } from "../../api/types";
import { amountIn, Pick } from "../../kit/form";
import * as say from "../../words/bench";
import { Weight } from "./Takes";

/** Bones and trimmings that are saved for stock, and the tub they go into. */
export function Scraps({ jar, places }: { jar: string; places: Place[] }) {
  const tubs = (useQuery(jarsQuery).data ?? []).filter((one) => one.kind === "tub");
  const [into, setInto] = useState("");
  return (
    <>
      <Weight label={say.scrapsWeight} name="scraps_g" jar={jar} placeholder={say.scrapsNote} />
      <Pick
        label={say.scrapsInto}
        name="scraps_into"
        value={into}
        onChange={(event) => setInto(event.target.value)}
        options={[
          ["", say.noTub],
          ...tubs.map((one): [string, string] => [`tub/${one.id}`, one.name]),
          ...places.map((one): [string, string] => [`place/${one.id}`, one.name]),
        ]}
      />
    </>
  );
}

/** What a form says is saved; nothing where nothing was weighed. */
export function scrapsOf(form: FormData): Saved {
  const grams = amountIn(form, "scraps_g");
  if (grams === "") return {};
  const [kind, id] = String(form.get("scraps_into") ?? "").split("/");
  const into = kind === "tub" ? { container_id: Number(id) } : kind === "place" ? { place_id: Number(id) } : {};
  return { by_products: [{ g: grams, ...into }] };
}

type Saved = { by_products?: PortionBench["by_products"] };
