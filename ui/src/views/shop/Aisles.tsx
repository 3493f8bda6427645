import { useState } from "react";
import type { List } from "../../api/types";
import { useActs } from "../../app/acts";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import * as say from "../../words/shop";

/** @returns the list with one of it a place further up or down */
export function moved(list: string[], at: number, by: 1 | -1): string[] {
  const to = at + by;
  if (to < 0 || to >= list.length) return list;
  const next = [...list];
  const [one] = next.splice(at, 1);
  if (one !== undefined) next.splice(to, 0, one);
  return next;
}

/** The aisles of a shop in the order one walks them; ticking teaches it, a hand can put it right. */
export function Aisles({ list, onClose }: { list: List; onClose: () => void }) {
  const { act } = useActs();
  const shop = list.shops.find((one) => one.id === list.shop_id);
  const here = list.aisles.map((aisle) => aisle.aisle);
  const [order, setOrder] = useState([...new Set([...(shop?.aisles ?? []), ...here])]);
  if (!shop) return null;
  const save = async () => {
    const done = await act(
      `/api/shops/${shop.id}`,
      { version: shop.version, aisles: order },
      say.aislesWords(shop.name),
    );
    if (done) onClose();
  };
  return (
    <Sheet open onClose={onClose} title={say.aislesOf(shop.name)}>
      <p className="text-soft mt-1">{say.aislesHint}</p>
      <ol className="mt-3">
        {order.map((aisle, at) => (
          <li key={aisle} className="flex items-center gap-2 border-t border-zinc2 py-1">
            <span className="grow">{aisle}</span>
            <Button aria-label={say.up(aisle)} disabled={at === 0} onClick={() => setOrder(moved(order, at, -1))}>
              ↑
            </Button>
            <Button
              aria-label={say.down(aisle)}
              disabled={at === order.length - 1}
              onClick={() => setOrder(moved(order, at, 1))}
            >
              ↓
            </Button>
          </li>
        ))}
      </ol>
      <Button look="main" className="mt-4" onClick={save}>
        {say.keepAisles}
      </Button>
    </Sheet>
  );
}
