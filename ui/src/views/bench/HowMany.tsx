import { useState } from "react";
import { Toggles } from "../../kit/choices";
import { Whole } from "../../kit/form";
import * as say from "../../words/bench";
import { Weight } from "./Takes";

/** So many portions, or portions of one size. */
export function HowMany({ jar = "" }: { jar?: string }) {
  const [by, setBy] = useState("count");
  return (
    <>
      <div className="flex flex-wrap items-center gap-2">
        <span className="font-semibold">{say.howMany}</span>
        <Toggles
          label={say.howMany}
          options={[
            ["count", say.soMany],
            ["size", say.ofOneSize],
          ]}
          value={by}
          onPick={(next) => next && setBy(next)}
        />
      </div>
      {by === "count" ? (
        <Whole label={say.portionsField} name="count" min={1} max={500} required defaultValue={4} />
      ) : (
        <Weight label={say.sizeField} name="size_g" jar={jar} required />
      )}
    </>
  );
}
