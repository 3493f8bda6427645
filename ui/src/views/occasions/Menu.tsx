import type { KeepOccasion, Occasion } from "../../api/types";
import { useActs } from "../../app/acts";
import { useGo } from "../../app/address";
import { useMoney } from "../../app/session";
import { Form, Submit, Text } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { shortDay } from "../../words/common";
import * as say from "../../words/occasions";
import { FindDish } from "./FindDish";

type Dish = Occasion["menu"][number];

function Served({ dish, onServings }: { dish: Dish; onServings: (servings: string | null) => unknown }) {
  return (
    <Form
      className="flex gap-1 items-center flex-wrap"
      label={say.howMany(dish.name)}
      onSave={(form) => onServings(String(form.get("servings")).trim().replace(",", ".") || null)}
    >
      <input
        className="field !w-[64px]"
        name="servings"
        aria-label={say.howMany(dish.name)}
        inputMode="decimal"
        pattern="[0-9]{1,3}([.,][0-9]{1,2})?"
        key={dish.servings}
        defaultValue={dish.servings}
      />
      <span className="text-small text-soft">
        {say.portionsWord}, {say.why[dish.why]}
      </span>
      <Submit className="sr-only focus:not-sr-only">{say.save}</Submit>
    </Form>
  );
}

function Row({
  dish,
  planned,
  onServings,
  onAhead,
  onGone,
}: {
  dish: Dish;
  /** The meals of the plan draw on the shelf by then: what lacks stands with them. */
  planned: boolean;
  onServings: (servings: string | null) => unknown;
  onAhead: () => unknown;
  onGone: () => unknown;
}) {
  return (
    <li className="border-t border-zinc2 py-2 grid gap-1">
      <span className="flex flex-wrap gap-x-3 items-center">
        <b>{dish.name}</b>
        <Served dish={dish} onServings={onServings} />
        {dish.ahead && <span className="text-small text-pea">{say.ahead}</span>}
      </span>
      {!planned && (
        <span className="text-small">
          {dish.missing.length > 0 ? (
            say.lacks(dish.missing.join("; "))
          ) : (
            <span className="text-pea">{say.allThere}</span>
          )}
        </span>
      )}
      {dish.faults.map((fault) => (
        <span key={fault} role="alert" className="text-beet text-small">
          {fault}
        </span>
      ))}
      <span className="flex gap-2 flex-wrap">
        {dish.keeps && (
          <Button
            look="plain"
            aria-label={dish.ahead ? say.sameDay(dish.name) : say.makeAhead(dish.name)}
            onClick={onAhead}
          >
            {dish.ahead ? say.onTheDay : say.dayBefore}
          </Button>
        )}
        <Button look="plain" aria-label={say.takeOff(dish.name)} onClick={onGone}>
          {say.offTheMenu}
        </Button>
      </span>
    </li>
  );
}

/** The dishes of an occasion: how much of each, what lacks, and onto the plan with them. */
export function Menu({ one, onSave }: { one: Occasion; onSave: (changes: Partial<KeepOccasion>) => unknown }) {
  const { act } = useActs();
  const money = useMoney();
  const go = useGo();
  const change = (key: string, changes: Partial<Occasion["dishes"][number]>) =>
    onSave({ dishes: one.dishes.map((dish) => (dish.dish === key ? { ...dish, ...changes } : dish)) });
  return (
    <Board
      className="p-3"
      title={
        <>
          {say.menu}{" "}
          {one.menu.length > 0 && !one.on_plan && (
            <span className="text-soft font-normal">{say.toBuy(money(one.to_buy_minor))}</span>
          )}
        </>
      }
    >
      {one.menu.length === 0 && <p className="text-soft mt-1">{say.noMenu}</p>}
      <ul className="mt-1">
        {one.menu.map((dish) => (
          <Row
            key={dish.dish}
            dish={dish}
            planned={one.on_plan}
            onServings={(servings) => change(dish.dish, { servings })}
            onAhead={() => change(dish.dish, { ahead: !dish.ahead })}
            onGone={() => onSave({ dishes: one.dishes.filter((other) => other.dish !== dish.dish) })}
          />
        ))}
      </ul>
      {one.gone.length > 0 && <p className="text-beet text-small">{say.gone(one.gone.join(", "))}</p>}
      <div className="grid gap-2 mt-2 max-w-[420px]">
        <FindDish
          label={say.addDish}
          onPick={(dish) => onSave({ dishes: [...one.dishes, { dish: dish.key, servings: null, ahead: false }] })}
        />
      </div>
      {one.on !== null && one.menu.length > 0 && (
        <div className="flex flex-wrap gap-2 items-center mt-3">
          {one.on_plan ? (
            <>
              <span className="text-pea">{say.onThePlan}</span>
              <Button onClick={() => go(`/meals?from=${one.on}`)}>{say.seeWeek}</Button>
            </>
          ) : (
            <Form
              label={say.hold(shortDay(one.on))}
              onSave={() => act(`/api/occasions/${one.id}/hold`, { on: one.on }, say.held(one.name))}
            >
              <Submit>{say.hold(shortDay(one.on))}</Submit>
            </Form>
          )}
        </div>
      )}
    </Board>
  );
}

/** Ideas kept all year; a line becomes a dish of the menu when it is one. */
export function Pocket({ one, onSave }: { one: Occasion; onSave: (changes: Partial<KeepOccasion>) => unknown }) {
  return (
    <Board className="p-3" title={say.pocket}>
      <p className="text-soft text-small">{say.pocketHint}</p>
      <ul>
        {one.ideas.map((idea, at) => (
          <li key={`${at}${idea.text}`} className="flex gap-2 items-center border-t border-zinc2 py-1">
            <span className="grow">{idea.text}</span>
            <Button
              look="plain"
              aria-label={say.dropIdea(idea.text)}
              onClick={() => onSave({ ideas: one.ideas.filter((_, other) => other !== at) })}
            >
              {say.drop}
            </Button>
          </li>
        ))}
      </ul>
      <Form
        className="flex gap-2 items-end mt-2"
        label={say.keepIdea}
        key={one.ideas.length}
        onSave={(form) => onSave({ ideas: [{ text: String(form.get("idea")), dish: null }, ...one.ideas] })}
      >
        <Text label={say.idea} name="idea" required maxLength={300} wide="grow" />
        <Submit>{say.keepIdea}</Submit>
      </Form>
    </Board>
  );
}
