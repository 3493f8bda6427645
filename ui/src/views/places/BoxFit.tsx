import { useState, type FormEvent } from "react";
import { post, Problem } from "../../api/client";
import type { Place } from "../../api/types";
import { Button } from "../../kit/kit";

/** Measure before buying: how many boxes of a size go in. */
export function BoxFit({ place }: { place: Place }) {
  const [answer, setAnswer] = useState<{ count: number; steps: string[] } | string | null>(null);
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const box = ["a", "b", "c"].map((name) => Number(form.get(name)));
    try {
      setAnswer(await post(`/api/places/${place.id}/fit`, { box_mm: box, upright: form.get("upright") === "on" }));
    } catch (error) {
      setAnswer(error instanceof Problem ? `${error.message} ${error.document.remedy ?? ""}` : "Try again.");
    }
  };
  return (
    <form className="board p-3 grid gap-3" onSubmit={(event) => void submit(event)}>
      <fieldset className="grid grid-cols-3 gap-3"><legend className="font-semibold mb-1">The box, in mm</legend>
        {[["a", "wide"], ["b", "deep"], ["c", "high"]].map(([name, label]) => <label key={name} className="grid gap-1">{label}<input className="field" name={name} type="number" min={10} max={20000} required /></label>)}
      </fieldset>
      <label className="flex items-center gap-2 min-h-[36px]"><input type="checkbox" name="upright" defaultChecked className="size-5" /> its top stays on top</label>
      <Button type="submit" look="main">How many fit?</Button>
      <div role="status">{typeof answer === "string" ? <p className="text-beet font-semibold">{answer}</p> : answer && <><p className="font-head text-[20px]">{answer.count === 0 ? "None fits." : `${answer.count} fit.`}</p><ul className="text-soft text-[13.5px]">{answer.steps.map((step) => <li key={step}>{step}</li>)}</ul></>}</div>
    </form>
  );
}
