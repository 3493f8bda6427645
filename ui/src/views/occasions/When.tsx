import { useState } from "react";
import type { Occasion } from "../../api/types";
import { Day, Pick, Text, Whole } from "../../kit/form";
import * as say from "../../words/occasions";

/** The fields that say what an occasion is called and when it comes round. */
export function When({ one, today }: { one?: Occasion; today: string }) {
  const said = one?.recurrence;
  const [kind, setKind] = useState<string>(said?.kind ?? "date");
  const month = kind === "date" || kind === "weekday";
  const weekday = kind === "weekday" || kind === "monthly";
  return (
    <>
      <Text label={say.name} name="name" required maxLength={80} defaultValue={one?.name ?? ""} />
      <Pick
        label={say.comesRound}
        name="kind"
        defaultValue={kind}
        options={say.kinds}
        onChange={(event) => setKind(event.currentTarget.value)}
      />
      {kind === "once" && <Day label={say.onDay} name="on" required min={today} defaultValue={said?.on ?? ""} />}
      {kind === "date" && (
        <Whole label={say.dayOfMonth} name="day" min={1} max={31} required defaultValue={said?.day ?? ""} />
      )}
      {weekday && (
        <>
          <Pick label={say.which} name="nth" defaultValue={String(said?.nth ?? 1)} options={say.nths} />
          <Pick label={say.weekday} name="weekday" defaultValue={String(said?.weekday ?? 0)} options={say.weekdays} />
        </>
      )}
      {month && <Pick label={say.month} name="month" defaultValue={String(said?.month ?? 1)} options={say.months} />}
      <Pick label={say.forMeal} name="meal" defaultValue={one?.meal ?? "dinner"} options={say.meals} />
      <Text label={say.servedAt} name="serve_at" type="time" required defaultValue={one?.serve_at ?? "18:30"} />
    </>
  );
}
