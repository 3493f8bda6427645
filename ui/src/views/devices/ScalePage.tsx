import { useState, type FormEvent } from "react";
import { useActs } from "../../app/acts";
import { Button } from "../../kit/kit";

/** Stands in for a kitchen scale: what is set here lies on it. */
export default function ScalePage() {
  const { note } = useActs();
  const [grams, setGrams] = useState("750");
  const [lies, setLies] = useState<string | null>(null);
  const put = async (amount: string) => {
    const done = await note<{ grams: string }>("/api/scale", { grams: amount.replace(",", "."), steady: true }, "a reading");
    if (done) setLies(done.grams);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void put(grams);
  };
  return (
    <div className="max-w-[620px] grid gap-4">
      <div><h1>Simulated scale</h1><p className="text-soft">Stands in for a kitchen scale. Put something on it here; wherever the app asks for a weight, it reads this one and takes the jar’s own weight off.</p></div>
      <output className="board p-6 font-head text-[44px] text-center" aria-live="polite">{lies ?? "0"} g</output>
      <form className="flex gap-2 items-end flex-wrap" onSubmit={submit}>
        <label className="grid gap-1 grow"><span className="font-semibold">Grams, jar and all</span><input className="field" inputMode="decimal" required pattern="[0-9]{1,6}([.,][0-9]{1,3})?" value={grams} onChange={(event) => setGrams(event.target.value)} /></label>
        <Button type="submit" look="main">Put it on</Button>
        <Button onClick={() => void put("0")}>Empty it</Button>
      </form>
    </div>
  );
}
