import type { KeepingCell, KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Hint } from "../../kit/Hint";
import { Board, Button } from "../../kit/kit";
import { span } from "../../words/common";
import * as say from "../../words/keeping";

export const PLACES: Record<string, string> = {
  cupboard: say.cupboard,
  cool_dark: say.coolAndDark,
  fridge: say.fridge,
  freezer: say.freezer,
};

const SITUATIONS: Record<string, string> = {
  bought_sealed: say.asBought,
  opened: "opened",
  cut: "cut",
  cooked: "cooked",
  ripening: "unripe",
  ripe: "ripe",
  frozen_at_home: say.frozenAtHome,
  bought_frozen: say.boughtFrozen,
  thawed: "thawed",
};

export function Times({ page }: { page: KeepingPage }) {
  return (
    <div className="board p-3 overflow-x-auto" tabIndex={0} role="region" aria-label={say.howLongKeeps}>
      <table className="w-full border-collapse text-small">
        <thead>
          <tr>
            <th scope="col" className="text-left p-2">
              {say.howLongKeeps}
            </th>
            {Object.entries(PLACES).map(([key, name]) => (
              <th key={key} scope="col" className="text-left p-2 min-w-[120px]">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {page.table.map((line) => (
            <tr key={line.situation} className="border-t border-zinc2 align-top">
              <th scope="row" className="text-left p-2 font-semibold whitespace-nowrap">
                {SITUATIONS[line.situation] ?? line.situation}
              </th>
              {line.places.map((cell) => (
                <td key={cell.place} className="p-2">
                  <Cell cell={cell} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Cell({ cell }: { cell: KeepingCell }) {
  if (cell.days === null)
    return (
      <span className={`text-tiny ${cell.unsafe ? "text-beet font-semibold" : "text-soft"}`}>
        {cell.unsafe ? "✕ " : ""}
        {cell.reason}
      </span>
    );
  return (
    <>
      <Hint className="font-head text-lead font-bold" words={cell.span && cell.span !== cell.words ? cell.span : ""}>
        {cell.words}
      </Hint>{" "}
      <span className={`text-tiny ${cell.kind === "safety" ? "text-beet font-semibold" : "text-soft"}`}>
        {cell.kind === "safety"
          ? say.safetyShortFigure
          : cell.days >= 60 || (cell.span === cell.words && !cell.span?.includes(" to "))
            ? ""
            : say.counted(cell.days)}
      </span>
      {cell.own_reason && (
        <span className="block text-pea text-tiny font-semibold">
          {say.yourOwn} {cell.own_reason}
        </span>
      )}
      {cell.advice && <span className="block text-soft text-tiny">{cell.advice}</span>}
    </>
  );
}

export function Methods({ page }: { page: KeepingPage }) {
  const longest = Math.max(...page.methods.map((one) => one.high));
  return (
    <Board title={say.waysStoringCompared}>
      <ul className="mt-2 grid gap-2">
        {page.methods.map((one) => (
          <li key={one.place + one.state + one.storage}>
            <div className="flex gap-2">
              <b className="grow">
                {one.words}
                {one.own ? say.yourOwnTime : ""}
              </b>
              <span className="whitespace-nowrap">{span(one.low, one.high)}</span>
            </div>
            <div className="h-[7px] bg-zinc2 rounded-full overflow-hidden" aria-hidden="true">
              <div className="h-full bg-pea" style={{ width: `${(one.high / longest) * 100}%` }} />
            </div>
            <div className="text-soft text-small">
              {PLACES[one.place]?.toLowerCase()}, {one.state}: {one.advice}
            </div>
          </li>
        ))}
      </ul>
    </Board>
  );
}

export function Own({ page, keeper, onNew }: { page: KeepingPage; keeper: boolean; onNew: () => void }) {
  const { act } = useActs();
  return (
    <Board title={say.yourOwnTimes} note={say.withReasonNever}>
      <ul className="mt-2 grid gap-2">
        {page.own.map((rule) => (
          <li key={rule.id} className="flex items-center gap-2 border-t border-zinc2 pt-2">
            <span className="grow">
              {PLACES[rule.place]}, {rule.state}
              {rule.storage ? say.inIt(rule.storage) : ""}: <b>{span(rule.low, rule.high)}</b>
              <span className="block text-soft text-small">{rule.reason}</span>
            </span>
            {keeper && (
              <Button onClick={() => act(`/api/keeping/${page.food_id}/drop`, { rule_id: rule.id }, say.backGuide)}>
                {say.backToGuide}
              </Button>
            )}
          </li>
        ))}
        {page.own.length === 0 && <li className="text-soft">{say.noneGuideCounts}</li>}
      </ul>
      {keeper ? (
        <Button className="mt-3" onClick={onNew}>
          {say.ownTimeTitle}
        </Button>
      ) : (
        <p className="text-soft text-small mt-2">{say.keeperCanSet}</p>
      )}
    </Board>
  );
}
