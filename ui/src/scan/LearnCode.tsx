import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Suspense, useState } from "react";
import { foodsQuery } from "../api/queries";
import type { Food } from "../api/types";
import { useActs } from "../app/acts";
import { Button } from "../kit/kit";
import { lazily } from "../kit/lazily";
import { Sheet } from "../kit/Sheet";
import { packKey } from "../label-line/packs";
import { Amount, Form, Submit } from "../kit/form";
import { Find } from "../kit/choices";
import * as say from "../words/scan";

const NewFood = lazily(
  () => import("../app/aside"),
  (module) => module.NewFood,
);

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
    <Sheet open onClose={onClose} title={say.codeNewHere}>
      <p className="text-soft mt-1">
        {code.replace(/^0+/, "")}
        {say.sayOnceWhat}
      </p>
      {food ? (
        <Size code={code} food={food} onAnother={() => setFood(null)} onLearnt={onLearnt} onClose={onClose} />
      ) : (
        <div className="grid gap-2 mt-3">
          <Find data-find={undefined} autoFocus label={say.whichFood} value={find} onFind={setFind} />
          <div role="group" aria-label={say.foods} className="grid gap-1">
            {found.map((one) => (
              <Button
                key={one.id}
                className="!justify-start !whitespace-normal !text-left"
                onClick={() => setFood(one)}
              >
                {one.name}
              </Button>
            ))}
          </div>
          {find.trim().length > 1 && (
            <Button look="plain" onClick={() => setMaking(true)}>
              {say.noneTheseNew}
            </Button>
          )}
          <Suspense fallback={null}>
            {making && <NewFood name={find.trim()} onMade={made} onClose={() => setMaking(false)} />}
          </Suspense>
        </div>
      )}
    </Sheet>
  );
}

const UNITS: Record<Food["dimension"], "g" | "ml" | "piece"> = { mass: "g", volume: "ml", count: "piece" };

function Size({
  code,
  food,
  onAnother,
  onLearnt,
  onClose,
}: {
  code: string;
  food: Food;
  onAnother: () => void;
  onLearnt: () => void;
  onClose: () => void;
}) {
  const { act } = useActs();
  const [amount, setAmount] = useState("");
  const unit = UNITS[food.dimension];
  const learn = async (size: string, its: "g" | "ml" | "piece") => {
    const done = await act("/api/barcodes", { code, food_id: food.id, amount: size, unit: its }, say.learn(code));
    if (!done) return;
    onClose();
    onLearnt();
  };
  return (
    <Form className="grid gap-3 mt-3" onSave={() => learn(amount, unit)}>
      <div className="flex items-center gap-2">
        <b className="grow">{food.name}</b>
        <Button onClick={onAnother}>{say.anotherFood}</Button>
      </div>
      <div role="group" aria-label={say.sizeOnePack} className="flex flex-wrap gap-2">
        {food.packs.map((pack) => (
          <Button key={packKey(pack)} onClick={() => void learn(pack.amount, pack.unit)}>
            {pack.words}
          </Button>
        ))}
      </div>
      <Amount label={say.orAnotherSize} unit={unit === "piece" ? "pieces" : unit} required onAmount={setAmount} />
      <Submit>{say.thatIsIt}</Submit>
    </Form>
  );
}
