import { useQuery } from "@tanstack/react-query";
import { peopleQuery } from "../../api/queries";
import type { MealSlot, Week } from "../../api/types";
import { useActs } from "../../app/acts";
import { Amount, Form, Pick, Submit, Text, Tick, Whole, amountIn } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { shortDay, weekdayName } from "../../words/common";
import * as say from "../../words/meals";

interface Props {
  on: string;
  slot: MealSlot;
  patterns: Week["patterns"];
  onClose: () => void;
}

function numberIn(form: FormData, name: string): number | null {
  const text = String(form.get(name)).trim();
  return text === "" ? null : Number(text);
}

/** What one meal of one day is like, or of every such weekday. */
export function SlotSheet({ on, slot, patterns, onClose }: Props) {
  const { act } = useActs();
  const people = useQuery(peopleQuery).data?.people.filter((person) => person.eats) ?? [];
  const weekday = new Date(`${on}T00:00:00Z`).getUTCDay();
  const pattern = patterns.find((one) => one.weekday === weekday && one.meal === slot.meal);
  const title = say.eveningOf(slot.meal, shortDay(on));
  const done = (answer: unknown) => {
    if (answer) onClose();
    return answer;
  };
  const save = async (form: FormData) => {
    const sitting = form.getAll("people").map(Number);
    const guests = amountIn(form, "guests");
    const all = sitting.length === people.length && guests === "";
    const facts = {
      evening: String(form.get("evening")),
      minutes: numberIn(form, "minutes"),
      morning_minutes: numberIn(form, "morning_minutes"),
      eaters: all ? null : { people: sitting, guests: guests === "" ? [] : [{ name: say.guest, portion: guests }] },
    };
    if (form.get("weekly") !== "on")
      return done(await act("/api/plan/slots", { on, meal: slot.meal, ...facts }, title));
    const name = String(form.get("name")).trim() || weekdayName(weekday);
    return done(await act("/api/plan/patterns", { weekday, meal: slot.meal, name, ...facts }, title));
  };
  return (
    <Sheet open onClose={onClose} title={title}>
      <Form className="grid gap-3 mt-3" keep={`slot.${on}.${slot.meal}`} onSave={save}>
        <Pick label={say.whatKind} name="evening" defaultValue={slot.evening} options={Object.entries(say.evenings)} />
        <Whole label={say.minutesFree} name="minutes" min={0} max={1440} defaultValue={slot.minutes ?? ""} />
        <Whole
          label={say.morningFree}
          name="morning_minutes"
          min={0}
          max={1440}
          defaultValue={slot.morning_minutes ?? ""}
        />
        <fieldset>
          <legend className="font-semibold mb-1">{say.whoEats}</legend>
          {people.map((person) => (
            <Tick
              key={person.id}
              name="people"
              value={person.id}
              defaultChecked={slot.eaters.includes(person.name)}
              label={person.name}
            />
          ))}
        </fieldset>
        <Amount label={say.guestsToo} name="guests" whole={2} places={2} />
        <Tick name="weekly" defaultChecked={false} label={say.everyWeek(weekdayName(weekday))} />
        <Text label={say.calledWhat} name="name" maxLength={80} defaultValue={pattern?.name ?? ""} />
        <Submit>{say.saveIt}</Submit>
        {slot.said_by === "day" && (
          <Button onClick={() => act("/api/plan/slots", { on, meal: slot.meal, usual: true }, title).then(done)}>
            {say.asUsual}
          </Button>
        )}
        {pattern && slot.said_by !== "day" && (
          <Button onClick={() => act(`/api/plan/patterns/${pattern.id}/drop`, {}, pattern.name).then(done)}>
            {say.asUsual}
          </Button>
        )}
      </Form>
    </Sheet>
  );
}
