import { useQuery } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { useGo } from "../../app/address";
import { post, Problem } from "../../api/client";
import { auditQuery, weekQuery } from "../../api/queries";
import type { Audit, MealSlot, Spread, Week } from "../../api/types";
import { useActs } from "../../app/acts";
import { useInAddress } from "../../app/inAddress";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { Day, Form, Pick, Submit } from "../../kit/form";
import { addDays, shortDay } from "../../words/common";
import * as say from "../../words/audit";
import * as meals from "../../words/meals";
import { ShelfChip } from "../shelf/ShelfChip";
import { StillThere } from "../today/StillThere";
import { useStackSheet } from "../today/useStackSheet";
import { Glut, SpreadOut } from "./Glut";
import { SlotSheet } from "./SlotSheet";
import { slotWords } from "./WeekGrid";

const DAYS = 7;
const DAY = /^\d{4}-\d{2}-\d{2}$/;
/** So many are shown at once. */
const SHOWN = 12;

type Pickable = { stack: Audit["turning"][number]["stack"]; place: string };

function Row({ one, onPick, children }: { one: Pickable; onPick: (id: number) => void; children: ReactNode }) {
  return (
    <li className="border-t border-zinc2 py-2 grid grid-cols-[170px_minmax(0,1fr)] gap-3 items-center">
      <ShelfChip stack={one.stack} place={one.place} onPick={() => onPick(one.stack.id)} />
      <div className="flex flex-wrap gap-2 items-center">{children}</div>
    </li>
  );
}

function Turning({
  list,
  onPick,
  onSpread,
}: {
  list: Audit["turning"];
  onPick: (id: number) => void;
  onSpread: (id: number) => void;
}) {
  const { act } = useActs();
  const [shown, setShown] = useState(SHOWN);
  return (
    <Board tone="beet" title={say.turns} note={say.turnsNote}>
      {list.length === 0 && <p className="mt-1">{say.nothingTurns}</p>}
      <ul className="mt-1">
        {list.slice(0, shown).map((one) => (
          <Row key={one.stack.id} one={one} onPick={onPick}>
            <span className="grow min-w-[120px] text-small">
              {one.place}{" "}
              <span className={one.past === null ? "text-soft block" : "text-beet font-semibold block"}>
                {one.past !== null
                  ? say.goesPast(one.past)
                  : one.meals.length > 0
                    ? say.inMeals([...new Set(one.meals.map((meal) => shortDay(meal.on)))].join(", "))
                    : say.inNoMeal}
              </span>
            </span>
            <Button aria-label={say.spreadOf(one.stack.name)} onClick={() => onSpread(one.stack.id)}>
              {say.spread}
            </Button>
            <Button
              look="grave"
              aria-label={say.goneOf(one.stack.name)}
              onClick={() => act(`/api/stacks/${one.stack.id}/seen`, { amount: "0" }, say.goneOf(one.stack.name))}
            >
              {say.gone}
            </Button>
          </Row>
        ))}
      </ul>
      {list.length > shown && (
        <Button className="mt-2" onClick={() => setShown(shown + SHOWN)}>
          {say.more(Math.min(SHOWN, list.length - shown))}
        </Button>
      )}
    </Board>
  );
}

function PlanPortions({ stack, from }: { stack: Audit["waiting"][number]["stack"]; from: string }) {
  const { act } = useActs();
  const [open, setOpen] = useState(false);
  const put = async (fields: FormData) => {
    const done = await act(
      "/api/meals",
      { lot_id: stack.id, on: fields.get("on"), meal: fields.get("meal") },
      stack.name,
    );
    if (done) setOpen(false);
    return done;
  };
  if (!open)
    return (
      <Button aria-label={say.planPortions(stack.name)} onClick={() => setOpen(true)}>
        {say.planIt}
      </Button>
    );
  return (
    <Form className="flex flex-wrap gap-2 items-end" label={say.planPortions(stack.name)} onSave={put}>
      <Day
        label={say.onWhichDay}
        name="on"
        min={from}
        max={stack.usable_until ?? undefined}
        defaultValue={from}
        required
      />
      <Pick
        label={say.whichMeal}
        name="meal"
        defaultValue="lunch"
        options={["breakfast", "lunch", "dinner", "snack"].map((meal) => [meal, meal] as const)}
      />
      <Submit>{say.planIt}</Submit>
    </Form>
  );
}

function Waiting({ list, from, onPick }: { list: Audit["waiting"]; from: string; onPick: (id: number) => void }) {
  if (list.length === 0) return null;
  return (
    <Board title={say.waits} note={say.waitsNote}>
      <ul className="mt-1">
        {list.map((one) => (
          <Row key={one.stack.id} one={one} onPick={onPick}>
            <span className="grow text-small">
              {one.place}
              {one.on !== null && <span className="block text-pea">{say.inMeals(shortDay(one.on))}</span>}
            </span>
            <PlanPortions stack={one.stack} from={from} />
          </Row>
        ))}
      </ul>
    </Board>
  );
}

function Reserved({ list, onPick }: { list: Audit["reserved"]; onPick: (id: number) => void }) {
  if (list.length === 0) return null;
  return (
    <Board title={say.reserved}>
      <ul className="mt-1">
        {list.map((one, index) => (
          <Row key={`${one.stack.id}.${index}`} one={one} onPick={onPick}>
            <span className="text-small">
              {say.reservedFor(one.for, one.until === null ? null : shortDay(one.until))}. {one.place}
            </span>
          </Row>
        ))}
      </ul>
    </Board>
  );
}

function Days({ week }: { week: Week }) {
  const [chosen, setChosen] = useState<{ on: string; slot: MealSlot } | null>(null);
  return (
    <Board title={say.days} note={say.daysNote}>
      <ul className="mt-1">
        {week.days.map((day) => (
          <li key={day.on} className="border-t border-zinc2 py-1 grid grid-cols-[80px_minmax(0,1fr)] gap-2">
            <b>{shortDay(day.on)}</b>
            <span className="grid gap-1">
              {day.slots.map((slot) => (
                <button
                  key={slot.meal}
                  type="button"
                  className="text-left hover:underline min-h-[24px] phone:min-h-[44px]"
                  onClick={() => setChosen({ on: day.on, slot })}
                >
                  <span className="capitalize">{slot.meal}</span>: {meals.homeCount(slot.eaters.length)}
                  {slotWords(slot) === "" ? "" : `, ${slotWords(slot)}`}
                  {slot.meals.length > 0 && (
                    <span className="text-soft"> ({slot.meals.map((meal) => meal.name).join(", ")})</span>
                  )}
                  <span className="sr-only">{meals.onDay(shortDay(day.on))}</span>
                </button>
              ))}
            </span>
          </li>
        ))}
      </ul>
      {chosen && (
        <SlotSheet on={chosen.on} slot={chosen.slot} patterns={week.patterns} onClose={() => setChosen(null)} />
      )}
    </Board>
  );
}

function Page({ audit, week, from }: { audit: Audit; week: Week; from: string }) {
  const { tell } = useActs();
  const go = useGo();
  const { open, sheet } = useStackSheet();
  const [spread, setSpread] = useState<Spread | null>(null);
  const spreadOut = async (lot: number) => {
    try {
      setSpread(await post<Spread>("/api/plan/spread", { lot_id: lot, from: week.from, to: week.to }));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      tell({ text: error.message, problem: error });
    }
  };
  return (
    <>
      <Back to="/meals">{say.toMeals}</Back>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 mb-3">
        <h1>{say.title}</h1>
        <span className="text-soft">{say.about}</span>
        <Button look="main" className="ml-auto phone:ml-0" onClick={() => go(`/meals?from=${from}&fill=yes`)}>
          {say.fill}
        </Button>
      </div>
      <div className="grid gap-3 wide:grid-cols-2 items-start">
        <div className="grid gap-3">
          <Turning list={audit.turning} onPick={open} onSpread={(lot) => void spreadOut(lot)} />
          {spread && <SpreadOut spread={spread} onDone={() => setSpread(null)} />}
        </div>
        <div className="grid gap-3">
          <StillThere questions={audit.questions} onPick={open} />
          <Waiting list={audit.waiting} from={from} onPick={open} />
          <Reserved list={audit.reserved} onPick={open} />
          <Glut onSpread={(lot) => void spreadOut(lot)} />
          <Days week={week} />
        </div>
      </div>
      {sheet}
    </>
  );
}

/** What is looked over before a week is planned. */
export default function AuditView() {
  const { today } = useSession();
  const [from] = useInAddress("from", today, (said) => DAY.test(said) && said >= today);
  const audit = useQuery(auditQuery(from, DAYS));
  const week = useQuery(weekQuery(from, DAYS));
  return (
    <Loaded query={audit} what={say.looking}>
      {(found) => (
        <Loaded query={week} what={say.looking}>
          {(days) => <Page audit={found} week={days} from={addDays(from, 0)} />}
        </Loaded>
      )}
    </Loaded>
  );
}
