import { useState } from "react";
import { post, Problem } from "../../api/client";
import type { Food, PackCheck } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney } from "../../app/session";
import { Back } from "../../kit/Back";
import { Amount, amountIn, Form, Pick, Submit } from "../../kit/form";
import { Board } from "../../kit/kit";
import { FindFood } from "../keeping/FindFood";
import * as say from "../../words/packs";

const PACKS = [0, 1];
const UNITS: [string, string][] = [
  ["g", "g"],
  ["kg", "kg"],
  ["ml", "ml"],
  ["l", "l"],
];

type Offer = "two_for" | "half_price" | "third_free";
type Pack = { amount: string; unit: "g" | "ml"; price_minor: number; offer?: Offer };

/** What was typed of a pack, in the house's own unit; nothing where one of both is missing. */
function packIn(fields: FormData, at: number): Pack[] {
  const unit = String(fields.get(`unit${at}`));
  const size = Number(amountIn(fields, `size${at}`));
  const price = amountIn(fields, `price${at}`);
  const offer = String(fields.get(`offer${at}`) ?? "");
  if (!(size > 0) || price === "") return [];
  const amount = unit === "kg" || unit === "l" ? size * 1000 : size;
  return [
    {
      amount: String(Number(amount.toFixed(3))),
      unit: unit.endsWith("g") ? "g" : "ml",
      price_minor: Math.round(Number(price) * 100),
      ...(offer ? { offer: offer as Offer } : {}),
    },
  ];
}

function Row({ at }: { at: number }) {
  return (
    <fieldset className="flex flex-wrap gap-3 items-end">
      <legend className="sr-only">{say.packNumber(at)}</legend>
      <Amount
        label={say.sizeOf(at)}
        name={`size${at}`}
        places={3}
        whole={6}
        required={at === 0}
        className="!w-[110px]"
      />
      <Pick label={say.unitOf(at)} name={`unit${at}`} defaultValue={at === 0 ? "g" : "kg"} options={UNITS} />
      <Amount
        label={say.priceOf(at)}
        name={`price${at}`}
        places={2}
        whole={6}
        required={at === 0}
        className="!w-[110px]"
      />
      <Pick label={say.offerOf(at)} name={`offer${at}`} none={say.noOffer} options={say.OFFERS} />
    </fieldset>
  );
}

type One = PackCheck["packs"][number];

function Eaten({ one, days }: { one: One; days: number | null }) {
  const money = useMoney();
  const told = (eaten: NonNullable<One["frozen"]>) =>
    eaten.kilo_minor === null
      ? say.nothingEaten
      : say.costs(
          eaten.all ? say.allOfIt : say.soMuchOfIt(eaten.eaten),
          eaten.weeks,
          money(eaten.kilo_minor),
          eaten.portion_minor === null ? null : money(eaten.portion_minor),
        );
  return (
    <li className="border-t border-zinc2 py-2">
      <b>{say.packFor(one.size, money(one.price_minor), one.offer)}</b>
      <span className="block">{say.goodFor(days) + told(one.fresh)}</span>
      {one.frozen?.to_freeze && (
        <span className="block text-soft">
          {say.frozen(one.frozen.to_freeze, one.frozen.portions) + told(one.frozen)}
        </span>
      )}
      {one.dried?.to_freeze && (
        <span className="block text-soft">{say.dried(one.dried.to_freeze) + told(one.dried)}</span>
      )}
    </li>
  );
}

function Answer({ found }: { found: PackCheck }) {
  const money = useMoney();
  if (!found.use_known)
    return (
      <Board title={say.notKnown}>
        <p>{say.sayUse(found.food)}</p>
      </Board>
    );
  const take = found.choice === null ? null : found.packs[found.choice];
  const cold = found.frozen_choice === null ? null : found.packs[found.frozen_choice];
  return (
    <Board title={take ? say.takeIt(take.size) : say.takeNone}>
      <p>{say.atUse(found.use, found.food, found.said)}</p>
      <ul className="mt-2">
        {found.packs.map((one) => (
          <Eaten key={`${one.size} ${one.price_minor}`} one={one} days={found.good_days} />
        ))}
      </ul>
      {cold && cold !== take && cold.frozen?.to_freeze && (
        <p className="mt-2 font-semibold">{say.onlyFrozen(cold.size, cold.frozen.to_freeze)}</p>
      )}
      {found.forms.length > 0 && (
        <>
          <h3 className="mt-2">{say.forms}</h3>
          <ul>
            {found.forms.map((form) => (
              <li key={form.food}>{say.form(form.food, form.per_hundred, money(form.kilo_minor))}</li>
            ))}
          </ul>
        </>
      )}
      {found.break_even && <p className="text-soft mt-2">{say.fromUse(found.break_even)}</p>}
    </Board>
  );
}

/** Whether a big pack is worth it in this house. */
export default function PackCheckView() {
  const { tell } = useActs();
  const [food, setFood] = useState<Pick<Food, "id" | "name"> | null>(null);
  const [found, setFound] = useState<PackCheck | null>(null);
  const ask = async (fields: FormData) => {
    if (!food) return tell({ text: say.whichFood });
    const packs = PACKS.flatMap((at) => packIn(fields, at));
    const use = amountIn(fields, "use");
    try {
      setFound(
        await post<PackCheck>("/api/pack-check", { food_id: food.id, packs, ...(use ? { use_per_week: use } : {}) }),
      );
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      tell({ text: error.message, problem: error });
    }
  };
  return (
    <>
      <Back to="/shop">{say.backToShop}</Back>
      <h1>{say.title}</h1>
      <p className="text-soft mb-3">{say.about}</p>
      <div className="grid gap-3 wide:grid-cols-2 items-start">
        <Board>
          <Form className="grid gap-3" onSave={ask}>
            <FindFood
              key={food?.id}
              label={food ? say.another(food.name) : say.food}
              onPick={(one) => {
                setFood(one);
                setFound(null);
              }}
            />
            {PACKS.map((at) => (
              <Row key={at} at={at} />
            ))}
            <Amount label={say.useWeek} name="use" places={1} whole={6} className="!w-[160px]" />
            <Submit>{say.ask}</Submit>
          </Form>
        </Board>
        {found && <Answer found={found} />}
      </div>
    </>
  );
}
