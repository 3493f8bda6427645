import { useState } from "react";
import { get } from "../api/client";
import type { Weight } from "../api/types";
import * as say from "../words/scale";
import { Button } from "./kit";

interface Props {
  /** The box of the form it fills, by name. */
  name: string;
  /** What it is the weight of, for those who hear it. */
  what: string;
  /** The jar it lies in, whose weight is taken off. */
  container?: number | undefined;
}

/** What lies on the scale goes into a box of the form it stands in, net of its jar. */
export function ByScale({ name, what, container }: Props) {
  const [trouble, setTrouble] = useState("");
  const weigh = async (form: HTMLFormElement | null) => {
    const weight = await get<Weight>(`/api/scale${container === undefined ? "" : `?container_id=${container}`}`);
    if (weight.net_g === null) return setTrouble(say.nothingLiesOn);
    if (!weight.steady) return setTrouble(say.scaleHasNot);
    setTrouble("");
    const box = form?.elements.namedItem(name);
    if (box instanceof HTMLInputElement) fill(box, weight.net_g);
  };
  return (
    <span className="grid content-end gap-1">
      <Button
        aria-label={say.weighIt(what)}
        onClick={(event) => weigh((event.currentTarget as HTMLButtonElement).form).catch(() => setTrouble(say.noScale))}
      >
        {say.weigh}
      </Button>
      {trouble && (
        <span role="alert" className="text-beet text-small">
          {trouble}
        </span>
      )}
    </span>
  );
}

/** As if somebody had typed it, so that the form hears of it. */
function fill(box: HTMLInputElement, text: string) {
  // By the element's own setter, or a box whose text React keeps would not hear of it.
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set?.call(box, text);
  box.dispatchEvent(new Event("input", { bubbles: true }));
}
