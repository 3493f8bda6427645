import { useState } from "react";
import { post, Problem } from "../../api/client";
import type { Place } from "../../api/types";
import { Form, Submit, Tick, Whole } from "../../kit/form";
import * as say from "../../words/places";

/** Measure before buying: how many boxes of a size go in. */
export function BoxFit({ place }: { place: Place }) {
  const [answer, setAnswer] = useState<{ count: number; steps: string[] } | string | null>(null);
  const submit = async (form: FormData) => {
    const box = ["a", "b", "c"].map((name) => Number(form.get(name)));
    try {
      setAnswer(await post(`/api/places/${place.id}/fit`, { box_mm: box, upright: form.get("upright") === "on" }));
    } catch (error) {
      setAnswer(error instanceof Problem ? error.words : say.tryAgain);
    }
  };
  return (
    <Form className="board p-3 grid gap-3" onSave={submit}>
      <fieldset className="grid grid-cols-3 gap-3">
        <legend className="font-semibold mb-1">{say.boxInMm}</legend>
        {[
          ["a", "wide"],
          ["b", "deep"],
          ["c", "high"],
        ].map(([name, label]) => (
          <Whole key={name} label={label} name={name} min={10} max={20000} required />
        ))}
      </fieldset>
      <Tick name="upright" defaultChecked label={say.itsTopStays} />
      <Submit>{say.howManyFit}</Submit>
      <div role="status">
        {typeof answer === "string" ? (
          <p className="text-beet font-semibold">{answer}</p>
        ) : (
          answer && (
            <>
              <p className="font-head text-head">{answer.count === 0 ? say.noneFits : say.fit(answer.count)}</p>
              <ul className="text-soft text-small">
                {answer.steps.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ul>
            </>
          )
        )}
      </div>
    </Form>
  );
}
