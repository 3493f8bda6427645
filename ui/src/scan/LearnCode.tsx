import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Suspense, useState } from "react";
import { foodsQuery } from "../api/queries";
import type { Food } from "../api/types";
import { useActs } from "../app/acts";
import { Button } from "../kit/kit";
import { lazily } from "../kit/lazily";
import { Sheet } from "../kit/Sheet";
import { packWords, sizeOf } from "../label-line/packs";
import { Amount, Form, Submit, amountOf } from "../kit/form";

const NewFood = lazily(() => import("../views/keeping/NewFood"), (module) => module.default);

/** An unknown code is learnt once: which food, and how much one pack holds. */
export function LearnCode({ code, onClose, onLearnt }: { code: string; onClose: () => void; onLearnt: () => void }) {
  const [find, setFind] = useState("");
  const [food, setFood] = useState<Food | null>(null);
  const [making, setMaking] = useState(false);
  const client = useQueryClient();
  const found = (useQuery(foodsQuery(find)).data ?? []).slice(0, 10);
  const made = async (id: number, name: string) => {
    setMaking(false);
    setFind(name);
    const all = await client.fetchQuery({ ...foodsQuery(name), staleTime: 0 });
    setFood(all.find((one) => one.id === id) ?? null);
  };
  return (
    <Sheet open onClose={onClose} title="A code that is new here">
      <p className="text-soft mt-1">{code.replace(/^0+/, "")}: say once what it is, and it is known from then on.</p>
      {food ? <Size code={code} food={food} onAnother={() => setFood(null)} onLearnt={onLearnt} onClose={onClose} /> : (
        <div className="grid gap-2 mt-3">
          <input className="field" autoFocus aria-label="Which food is it" placeholder="Which food is it" value={find} onChange={(event) => setFind(event.target.value)} />
          <div role="group" aria-label="Foods" className="grid gap-1">{found.map((one) => <Button key={one.id} className="!justify-start !whitespace-normal !text-left" onClick={() => setFood(one)}>{one.name}</Button>)}</div>
          {find.trim().length > 1 && <Button look="plain" onClick={() => setMaking(true)}>None of these: a new food</Button>}
          <Suspense fallback={null}>{making && <NewFood name={find.trim()} onMade={made} onClose={() => setMaking(false)} />}</Suspense>
        </div>
      )}
    </Sheet>
  );
}

const UNITS: Record<Food["dimension"], "g" | "ml" | "piece"> = { mass: "g", volume: "ml", count: "piece" };

function Size({ code, food, onAnother, onLearnt, onClose }: { code: string; food: Food; onAnother: () => void; onLearnt: () => void; onClose: () => void }) {
  const { act } = useActs();
  const [amount, setAmount] = useState("");
  const unit = UNITS[food.dimension];
  const learn = async (size: string, its: "g" | "ml" | "piece") => {
    const done = await act("/api/barcodes", { code, food_id: food.id, amount: size, unit: its }, `learn ${code}`);
    if (!done) return;
    onClose();
    onLearnt();
  };
  return (
    <Form className="grid gap-3 mt-3" onSave={() => learn(amountOf(amount), unit)}>
      <div className="flex items-center gap-2"><b className="grow">{food.name}</b><Button onClick={onAnother}>Another food</Button></div>
      <div role="group" aria-label="Size of one pack" className="flex flex-wrap gap-2">
        {food.packs.map((pack) => {
          const size = sizeOf(pack);
          return size && <Button key={pack} onClick={() => void learn(size.amount, size.unit)}>{packWords(pack)}</Button>;
        })}
      </div>
      <Amount label="Or another size" unit={unit === "piece" ? "pieces" : unit} required value={amount} onChange={(event) => setAmount(event.target.value)} />
      <Submit>That is it</Submit>
    </Form>
  );
}
