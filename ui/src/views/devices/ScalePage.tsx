import { useState } from "react";
import { useActs } from "../../app/acts";
import { Button } from "../../kit/kit";
import { Amount, Form } from "../../kit/form";
import * as say from "../../words/devices";

/** Stands in for a kitchen scale: what is set here lies on it. */
export default function ScalePage() {
  const { note } = useActs();
  const [grams, setGrams] = useState("750");
  const [lies, setLies] = useState<string | null>(null);
  const put = async (amount: string) => {
    const done = await note<{ grams: string }>(
      "/api/scale",
      { grams: amount.replace(",", "."), steady: true },
      say.aReading,
    );
    if (done) setLies(done.grams);
  };
  return (
    <div className="max-w-[620px] grid gap-4">
      <div>
        <h1>{say.simulatedScale}</h1>
        <p className="text-soft">{say.standsInFor}</p>
      </div>
      <output className="board p-6 font-head text-huge text-center" aria-live="polite">
        {lies ?? "0"} g
      </output>
      <Form className="flex gap-2 items-end flex-wrap" onSave={() => put(grams)}>
        <Amount
          wide="grow"
          label={say.gramsJarAll}
          places={3}
          whole={6}
          required
          value={grams}
          onChange={(event) => setGrams(event.target.value)}
        />
        <Button type="submit" look="main">
          {say.putItOn}
        </Button>
        <Button onClick={() => void put("0")}>{say.emptyIt}</Button>
      </Form>
    </div>
  );
}
