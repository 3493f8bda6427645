import { useMoney, useSession } from "../../app/session";
import { css } from "../../kit/css";
import * as say from "../../words/shop";
import type { Shown } from "./overlay";

/** A line of the list: a big tick, what to take, why and for when, what is at home. */
export function Line({ item, onTick, onMore }: { item: Shown; onTick: () => void; onMore: () => void }) {
  const money = useMoney();
  const today = useSession().today;
  const done = item.status === "ticked";
  const cost = item.paid_minor ?? item.cost_minor;
  const beside = [say.from(item), say.why(item), item.note].filter((words) => words !== "").join("; ");
  return (
    <li
      data-line={item.ref ?? `food-${item.food_id}`}
      className={css(
        "grid grid-cols-[44px_minmax(0,1fr)_auto_44px] gap-x-2 items-start border-t border-zinc2 py-1.5",
        done ? "opacity-70" : "",
      )}
    >
      <label className="grid place-items-center size-11">
        <input
          type="checkbox"
          checked={done}
          onChange={onTick}
          aria-label={done ? say.untick(item) : say.tick(item)}
          className="size-6"
        />
      </label>
      <div className="leading-snug pt-1.5 min-w-0">
        <b className={done ? "line-through" : ""}>{say.take(item)}</b>
        {beside && <div className="text-small text-soft">{beside}</div>}
        {item.at_home.length > 0 && !done && (
          <div className="text-small text-pea font-semibold">
            {say.atHomeLead}
            {say.atHome(item, today)}
          </div>
        )}
        {item.too_much && !done && <div className="text-small text-beet">{say.tooMuch(item.too_much, money)}</div>}
        {item.in_shop && !done && <InShop told={item.in_shop} />}
        {item.refused !== null && (
          <div className="text-small text-beet font-semibold">{say.refusedLine(item.refused)}</div>
        )}
        <Tags item={item} />
      </div>
      <span className="pt-1.5 text-right">
        {cost === null ? "" : money(cost)}
        {item.estimated && item.paid_minor === null && <span className="text-soft text-small block">{say.est}</span>}
      </span>
      <button type="button" className="btn size-11 !p-0" data-look="plain" aria-label={say.more(item)} onClick={onMore}>
        …
      </button>
    </li>
  );
}

/** What the shop says: none left, or an offer and whether it is worth it here. */
function InShop({ told }: { told: NonNullable<Shown["in_shop"]> }) {
  const money = useMoney();
  return (
    <>
      {told.out && <div className="text-small text-beet font-semibold">{say.outToday}</div>}
      {told.offers.map((offer) => (
        <div
          key={offer.kind + offer.size}
          className={`text-small ${offer.worth ? "text-pea font-semibold" : "text-soft"}`}
        >
          {say.offer(offer, money)}
        </div>
      ))}
    </>
  );
}

function Tags({ item }: { item: Shown }) {
  const tags = [
    item.late ? say.late : "",
    item.lessened ? say.lessened : "",
    item.ticked_by.length > 0 && item.status === "ticked" ? say.tickedBy(item.ticked_by) : "",
    item.changed_by ? say.changedBy(item.changed_by) : "",
    item.waits ? say.waits : "",
  ].filter((words) => words !== "");
  if (tags.length === 0) return null;
  return <div className="text-small font-semibold">{tags.join("; ")}</div>;
}
