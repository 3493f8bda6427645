import { Link } from "wouter";
import type { Today } from "../../api/types";
import { dayWords } from "../../words/common";
import * as occasion from "../../words/occasions";
import * as say from "../../words/today";

/** What was frozen with a loose lid yesterday. */
export function Lids({ lids }: { lids: Today["lids"] }) {
  return lids.map((one) => (
    <li key={one.lot_id} className="border-t border-zinc2 py-1">
      {say.tightenLids}{" "}
      <Link className="underline font-semibold" to={`/shelf?stack=${one.lot_id}`}>
        {one.amount} {one.name}
      </Link>
      <span className="block text-soft text-small">{say.frozenSince(one.place)}</span>
    </li>
  ));
}

/** What comes round in the next days, and whether its menu stands on its day. */
export function Feasts({ today }: { today: Today }) {
  return today.comes_up.map((one) => (
    <li key={`${one.id}.${one.on}`} className="border-t border-zinc2 py-1">
      {occasion.comesUp}:{" "}
      <Link className="underline font-semibold" to={`/occasions/${one.id}`}>
        {one.name}
      </Link>
      <span className="block text-soft text-small">
        {[
          dayWords(one.on, today.today),
          occasion.heads(one.heads),
          one.on_plan ? occasion.onThePlan : say.notOnPlanYet,
        ].join(", ")}
      </span>
    </li>
  ));
}
