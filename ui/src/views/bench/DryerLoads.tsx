import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { get, Problem } from "../../api/client";
import type { Loads } from "../../api/types";
import { useSession } from "../../app/session";
import { Day, Whole } from "../../kit/form";
import { useSettled } from "../../kit/useSettled";
import { dayWords } from "../../words/common";
import * as say from "../../words/preserve";

const PAUSE = 250;

/** How many loads of the dryer it is, what comes out, and when to begin for a day it is needed. */
export function DryerLoads({ cut, inG }: { cut: string; inG: string }) {
  const [dryer, setDryer] = useState({ trays: "5", tray_dm2: "9", day_hours: "12", watts: "", needed_on: "" });
  const set = (name: keyof typeof dryer) => (event: { target: { value: string } }) =>
    setDryer({ ...dryer, [name]: event.target.value });
  const grams = Math.round(Number(inG));
  const fields = Object.entries(dryer).filter(([, value]) => value !== "");
  const asked = new URLSearchParams([["cut", cut], ["in_g", String(grams)], ...fields]).toString();
  const settled = useSettled(grams > 0 ? asked : "", PAUSE);
  const query = useQuery({
    queryKey: ["house", "batches", "loads", settled],
    queryFn: () => get<Loads>(`/api/bench/loads?${settled}`),
    enabled: settled !== "",
    retry: false,
    placeholderData: (before) => before,
  });
  return (
    <div className="grid gap-2">
      <div className="grid grid-cols-4 phone:grid-cols-2 gap-2 items-end">
        <Whole label={say.trays} name="trays" min={1} max={100} value={dryer.trays} onChange={set("trays")} />
        <Whole label={say.trayArea} min={1} max={1000} value={dryer.tray_dm2} onChange={set("tray_dm2")} />
        <Whole label={say.dayHours} min={1} max={24} value={dryer.day_hours} onChange={set("day_hours")} />
        <Whole label={say.watts} min={0} max={20000} value={dryer.watts} onChange={set("watts")} />
      </div>
      <Day label={say.neededOn} value={dryer.needed_on} onChange={set("needed_on")} />
      <div role="status" className="border-l-4 border-rim pl-3">
        {query.error instanceof Problem ? (
          <p className="text-beet">{query.error.words}</p>
        ) : (
          grams > 0 && query.data && <Told plan={query.data} />
        )}
      </div>
    </div>
  );
}

function Told({ plan }: { plan: Loads }) {
  const { today } = useSession();
  return (
    <>
      <p className="font-semibold">{say.loads(plan.loads, plan.per_load, plan.per_tray)}</p>
      <p>
        {say.gives(plan.out, plan.litres)}. {say.takes(plan.days, plan.hours)}
        {plan.kwh && `, ${say.power(plan.kwh)}`}
      </p>
      {plan.start_on && <p>{say.startOn(dayWords(plan.start_on, today), plan.condition_days)}</p>}
    </>
  );
}
