import { useState } from "react";
import type { StackDetail } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Button } from "../../kit/kit";
import { addDays, dayWords, every } from "../../words/common";
import { Day, Form, Pick, Submit, Text, Whole } from "../../kit/form";
import * as say from "../../words/shelf";

/** What has to be done for a stack, once or again and again. */
export function StackCare({ detail }: { detail: StackDetail }) {
  const { act } = useActs();
  const { today } = useSession();
  const [open, setOpen] = useState(false);
  if (Number(detail.stack.on_hand) === 0) return null;
  return (
    <section aria-label={say.careHead}>
      <div className="flex items-center gap-2">
        <h3 className="grow">{say.careHead}</h3>
        <Button look="plain" aria-expanded={open} onClick={() => setOpen(!open)}>
          {say.somethingToDo}
        </Button>
      </div>
      <ul>
        {detail.care
          .filter((row) => row.next_on !== null)
          .map((row) => (
            <li key={row.id} className="flex items-center gap-2 border-b border-zinc2 py-1.5 text-small">
              <span className="grow">
                {row.title}
                <span className="block text-soft text-small">
                  {row.next_on ? dayWords(row.next_on, today) : ""}
                  {row.every_days
                    ? `, ${every(row.every_days, "day")}`
                    : row.every_months
                      ? `, ${every(row.every_months, "month")}`
                      : ""}
                  {row.holds_days ? say.dateHolds(row.holds_days) : ""}
                </span>
              </span>
              <Button onClick={() => act(`/api/care/${row.id}/done`, {}, row.title)}>{say.done}</Button>
              <Button
                look="plain"
                aria-label={say.noMore(row.title)}
                onClick={() => act(`/api/care/${row.id}/drop`, {}, row.title)}
              >
                ✕
              </Button>
            </li>
          ))}
      </ul>
      {detail.care_advised.map((one) => (
        <div key={one.text} className="flex items-center gap-2 py-1.5 text-small">
          <span className="grow text-soft">
            {say.theGuideAdvises} {one.text}, {every(one.every_days, "day")}
          </span>
          <Button
            onClick={() =>
              act(
                "/api/care",
                {
                  title: one.text,
                  first_on: addDays(today, one.every_days),
                  every_days: one.every_days,
                  lot_id: detail.stack.id,
                },
                one.text,
              )
            }
          >
            {say.rememberIt}
          </Button>
        </div>
      ))}
      {open && <NewCare target={{ lot_id: detail.stack.id }} today={today} onDone={() => setOpen(false)} holds />}
    </section>
  );
}

const RHYTHMS: [string, string][] = [
  ["", say.neverAgain],
  ["2", say.every2Days],
  ["7", say.everyWeek],
  ["14", say.everyFortnight],
  ["30", say.every30Days],
  ["m6", "half-yearly"],
  ["m12", "yearly"],
];

/** Care, a check or a follow-up. */
export function NewCare({
  target,
  today,
  onDone,
  holds = false,
}: {
  target: Record<string, number>;
  today: string;
  onDone: () => void;
  holds?: boolean;
}) {
  const { act } = useActs();
  const submit = async (form: FormData) => {
    const every = String(form.get("every") ?? "");
    const held = Number(form.get("holds_days") ?? 0);
    const rhythm =
      every === ""
        ? {}
        : every.startsWith("m")
          ? { every_months: Number(every.slice(1)) }
          : { every_days: Number(every) };
    const body = {
      title: String(form.get("title")).trim(),
      first_on: form.get("first_on"),
      ...rhythm,
      ...(held > 0 ? { holds_days: held } : {}),
      ...target,
    };
    const done = await act("/api/care", body, body.title);
    if (done) onDone();
    return done;
  };
  return (
    <Form className="board p-3 grid gap-2 mt-2" keep={`care.${JSON.stringify(target)}`} onSave={submit}>
      <Text
        label={say.what}
        name="title"
        required
        maxLength={160}
        list="care-words"
        placeholder={say.refreshTheWater}
      />
      <datalist id="care-words">
        {[say.refreshTheWater, say.turnTheJars, say.checkForSprouting, say.tightenTheLids, say.checkTheBox].map(
          (words) => (
            <option key={words} value={words} />
          ),
        )}
      </datalist>
      <div className="grid grid-cols-2 gap-3">
        <Day label={say.firstOn} name="first_on" required defaultValue={addDays(today, 1)} />
        <Pick label={say.then} name="every" options={RHYTHMS} />
      </div>
      {holds && <Whole label={say.withoutKeepsOnly} beside name="holds_days" min={1} max={3650} />}
      <Submit>{say.rememberIt}</Submit>
    </Form>
  );
}
