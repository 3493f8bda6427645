import type { PackingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Amount, amountOf, Form, Submit, Tick } from "../../kit/form";
import { Board } from "../../kit/kit";
import { dayWords } from "../../words/common";
import * as say from "../../words/trips";

type Item = PackingPage["packed"][number];

/** What is packed, and what of it was eaten on the way: noted without a network, sent when there is one. */
export function Packed({ page }: { page: PackingPage }) {
  return (
    <Board title={say.packedTitle}>
      {page.packed.length === 0 ? (
        <p className="text-soft mt-2">{say.nonePacked}</p>
      ) : (
        <ul className="mt-2">
          {page.packed.map((item) => (
            <EatenOnTheWay key={item.lot_id} item={item} />
          ))}
        </ul>
      )}
    </Board>
  );
}

function EatenOnTheWay({ item }: { item: Item }) {
  const { act } = useActs();
  const { today } = useSession();
  const eat = async (form: FormData) => {
    const amount = amountOf(form.get("amount"));
    if (amount === "") return;
    return act(`/api/stacks/${item.lot_id}/take`, { amount }, say.eatOne(item.name));
  };
  return (
    <li className="border-t border-zinc2 py-1">
      <Form label={say.eatOne(item.name)} onSave={eat} className="flex flex-wrap items-center gap-2">
        <span className="grow min-w-0">
          {item.words} {item.name}
          {item.until && <span className="text-soft"> {dayWords(item.until, today)}</span>}
        </span>
        <input
          className="field !w-[90px]"
          name="amount"
          inputMode="decimal"
          pattern="[0-9]{0,9}([.,][0-9]{1,6})?"
          aria-label={say.howMuchEaten(item.name, item.unit)}
          placeholder={item.unit}
        />
        <Submit>{say.eat}</Submit>
      </Form>
    </li>
  );
}

/** Everybody is back: what came back with them, the rest was eaten. */
export function ComingHome({ page }: { page: PackingPage }) {
  const { act } = useActs();
  const come = async (form: FormData) => {
    const back = page.packed
      .map((item) => ({ lot_id: item.lot_id, amount: amountOf(form.get(`back.${item.lot_id}`)) }))
      .filter((one) => Number(one.amount) > 0);
    const gas = Math.round(Number(amountOf(form.get("gas_used_g"))));
    const off = form.getAll("switch_off").map(Number);
    const body = { back, ...(gas > 0 ? { gas_used_g: gas } : {}), ...(off.length > 0 ? { switch_off: off } : {}) };
    return act(`/api/trips/${page.id}/home`, body, say.comeHome);
  };
  return (
    <Board title={say.home}>
      <p className="text-soft mt-2">{say.homeNote}</p>
      <Form label={say.home} onSave={come} keep={`trip.${page.id}.home`}>
        <ul>
          {page.packed.map((item) => (
            <li key={item.lot_id} className="flex items-center gap-3 border-t border-zinc2 py-1">
              <span className="grow min-w-0">
                {item.name}, {item.words}
              </span>
              <input
                className="field !w-[110px]"
                name={`back.${item.lot_id}`}
                inputMode="decimal"
                pattern="[0-9]{0,9}([.,][0-9]{1,6})?"
                aria-label={say.cameBack(item.name, item.unit)}
                placeholder={`0 ${item.unit}`}
              />
            </li>
          ))}
        </ul>
        <Amount label={say.gasUsed} name="gas_used_g" unit="g" whole={5} places={0} />
        {page.cold.length > 0 && (
          <fieldset>
            <legend className="font-semibold">{say.switchOff}</legend>
            <p className="text-soft text-small">{say.switchOffNote}</p>
            {page.cold.map((place) => (
              <Tick key={place.place_id} label={place.name} name="switch_off" value={place.place_id} />
            ))}
          </fieldset>
        )}
        <div>
          <Submit>{say.comeHome}</Submit>
        </div>
      </Form>
    </Board>
  );
}
