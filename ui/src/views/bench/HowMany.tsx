import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { jarsQuery } from "../../api/queries";
import { Toggles } from "../../kit/choices";
import { Pick, Whole } from "../../kit/form";
import * as say from "../../words/bench";
import { Weight } from "./Takes";

/** So many portions, portions of one size, or as many jars as it fills. */
export function HowMany({ jar = "", unit = "g" }: { jar?: string; unit?: "g" | "ml" }) {
  const [by, setBy] = useState("count");
  const empty = (useQuery(jarsQuery).data ?? []).filter((one) => one.empty > 0 && one.kind !== "bottle");
  return (
    <>
      <div className="flex flex-wrap items-center gap-2">
        <span className="font-semibold">{say.howMany}</span>
        <Toggles
          label={say.howMany}
          options={[
            ["count", say.soMany],
            ["size", say.ofOneSize],
            ...(empty.length > 0 ? [["jars", say.byJar] as [string, string]] : []),
          ]}
          value={by}
          onPick={(next) => next && setBy(next)}
        />
      </div>
      {by === "count" && (
        <Whole label={say.portionsField} name="count" min={1} max={500} required defaultValue={4} />
      )}
      {by === "size" && <Weight label={say.sizeField} name="size_g" jar={jar} unit={unit} required />}
      {by === "jars" && (
        <Pick
          label={say.whichJars}
          name="container_id"
          none={say.chooseJars}
          required
          options={empty.map((one): [string, string] => [String(one.id), say.jarOf(one.name, one.empty)])}
        />
      )}
    </>
  );
}
