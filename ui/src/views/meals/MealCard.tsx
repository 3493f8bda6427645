import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { Link } from "wouter";
import type { PlannedMeal } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { css } from "../../kit/css";
import { Button } from "../../kit/kit";
import { addDays, shortDay, shortName } from "../../words/common";
import * as say from "../../words/meals";
import { Cover } from "./Cover";
import { WhySheet } from "./WhySheet";

const item =
  "px-3 py-1.5 rounded-md cursor-pointer outline-none data-[highlighted]:bg-rim2 phone:min-h-[44px] flex items-center";

/** Everything else that can be done with a meal; the same by keys, mouse and thumb. */
function Menu({
  meal,
  onSwap,
  onBeside,
  onWhy,
}: {
  meal: PlannedMeal;
  onSwap: () => void;
  onBeside: (() => void) | undefined;
  onWhy: () => void;
}) {
  const { act } = useActs();
  const { today } = useSession();
  const slide = (on: string | null) =>
    void act(`/api/meals/${meal.id}/slide`, { on, ...(on === null ? {} : { meal: meal.meal }) }, say.slid(meal.name));
  const days = Array.from({ length: 7 }, (_, ahead) => addDays(today, ahead)).filter((day) => day !== meal.on);
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        className="btn small-btn"
        data-look="plain"
        aria-label={say.moreFor(meal.name, meal.on && shortDay(meal.on))}
      >
        {say.more}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          sideOffset={4}
          className="z-50 bg-board text-ink border border-edge rounded-xl p-1.5 min-w-[180px] shadow-lg"
        >
          <DropdownMenu.Item
            className={item}
            onSelect={() => void act(`/api/meals/${meal.id}/change`, { pinned: !meal.pinned }, meal.name)}
          >
            {meal.pinned ? say.letGo : say.keep}
          </DropdownMenu.Item>
          {meal.kind === "cook" && (
            <DropdownMenu.Item className={item} onSelect={onWhy}>
              {say.whyThis}
            </DropdownMenu.Item>
          )}
          {onBeside && (
            <DropdownMenu.Item className={item} onSelect={onBeside}>
              {say.besideIt}
            </DropdownMenu.Item>
          )}
          <DropdownMenu.Item className={item} onSelect={onSwap}>
            {say.swap}
          </DropdownMenu.Item>
          {days.map((day) => (
            <DropdownMenu.Item key={day} className={item} onSelect={() => slide(day)}>
              {say.slideTo(shortDay(day))}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Item
            className={item}
            onSelect={() => void act(`/api/meals/${meal.id}/drop`, {}, say.drop(meal.name))}
          >
            {say.dropIt}
          </DropdownMenu.Item>
          {meal.on !== null && meal.kind !== "leftovers" && (
            <DropdownMenu.Item className={item} onSelect={() => slide(null)}>
              {say.putAside}
            </DropdownMenu.Item>
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function Cooking({ meal }: { meal: PlannedMeal }) {
  const money = useMoney();
  return (
    <>
      {meal.covered_percent !== null && <Cover percent={meal.covered_percent} />}
      {meal.buy_minor !== null && (
        <div className="text-soft">{meal.buy_minor > 0 ? say.buy(money(meal.buy_minor)) : say.allOnShelf}</div>
      )}
      {meal.uses.length > 0 && (
        <div className="text-beet font-semibold">
          {say.usesFoods(
            meal.uses
              .slice(0, 2)
              .map((use) => shortName(use.food).toLowerCase())
              .join(", "),
          )}
        </div>
      )}
      {meal.faults.map((fault) => (
        <div key={fault} className="text-beet">
          {fault}
        </div>
      ))}
    </>
  );
}

function Waiting({ meal }: { meal: PlannedMeal }) {
  return (
    <>
      <div className="text-soft">{say.alreadyCooked}</div>
      {meal.faults.map((fault) => (
        <div key={fault} className="text-beet font-semibold">
          {fault}
        </div>
      ))}
    </>
  );
}

/** What fills a meal: its dish, how much of it is there, and what can be done with it. */
export function MealCard({ meal, onSwap, onBeside }: { meal: PlannedMeal; onSwap: () => void; onBeside?: () => void }) {
  const { act } = useActs();
  const [why, setWhy] = useState(false);
  const again = meal.kind === "leftovers" || meal.kind === "kept";
  const { today } = useSession();
  const eatable = ["kept", "out", "whatever"].includes(meal.kind) && meal.on !== null && meal.on <= today;
  const eat = () => act(`/api/meals/${meal.id}/eat`, {}, say.eaten(meal.name));
  const slideBy = (days: number) => {
    if (meal.on === null) return;
    const on = addDays(meal.on, days);
    void act(`/api/meals/${meal.id}/slide`, { on, meal: meal.meal }, say.slid(meal.name));
  };
  return (
    <article
      tabIndex={0}
      draggable={meal.status === "planned"}
      onDragStart={(event) => event.dataTransfer.setData("text/x-meal", String(meal.id))}
      onKeyDown={(event) => {
        if (!event.shiftKey || event.target !== event.currentTarget || meal.status !== "planned") return;
        if (event.key === "ArrowRight") slideBy(1);
        else if (event.key === "ArrowLeft") slideBy(-1);
        else return;
        event.preventDefault();
      }}
      className={css(
        "rounded-md border-[1.5px] p-2 text-small",
        again ? "border-dashed border-pea bg-[var(--pea2)]" : "border-zinc2 bg-board",
      )}
    >
      {meal.pinned && (
        <span className="float-right bg-rim text-enamel rounded px-1.5 text-tiny leading-relaxed">{say.kept}</span>
      )}
      <h3 className="text-small leading-snug">{meal.name}</h3>
      {meal.status === "cooked" ? (
        <div className="text-pea font-semibold mt-1">{meal.kind === "cook" ? say.cookedAlready : say.eatenAlready}</div>
      ) : (
        <>
          {again ? <Waiting meal={meal} /> : <Cooking meal={meal} />}
          <div className="flex flex-wrap gap-x-1 mt-1">
            {meal.kind === "cook" && (
              <Link className="btn small-btn" to={`/meals/${meal.id}`} aria-label={say.cook(meal.name)}>
                {say.cookIt}
              </Link>
            )}
            {eatable && (
              <Button className="small-btn" aria-label={say.eaten(meal.name)} onClick={eat}>
                {say.eatenIt}
              </Button>
            )}
            <Menu meal={meal} onSwap={onSwap} onBeside={onBeside} onWhy={() => setWhy(true)} />
          </div>
        </>
      )}
      {why && <WhySheet meal={meal} onClose={() => setWhy(false)} />}
    </article>
  );
}
