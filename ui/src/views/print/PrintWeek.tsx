import { useQuery } from "@tanstack/react-query";
import { Link } from "wouter";
import { weekQuery } from "../../api/queries";
import type { Week } from "../../api/types";
import { useInAddress } from "../../app/inAddress";
import { useSession } from "../../app/session";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { shortDay } from "../../words/common";
import { slotWords } from "../meals/WeekGrid";
import * as say from "../../words/print";

const DAYS = 7;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

function Paper({ week }: { week: Week }) {
  const { household } = useSession();
  return (
    <article className="paper max-w-[900px]">
      <div className="no-print flex gap-2 mb-3">
        <Button look="main" onClick={() => window.print()}>
          {say.print}
        </Button>
        <Link className="btn" to={`/meals?from=${week.from}`}>
          {say.backToMeals}
        </Link>
      </div>
      <h1>
        {household?.name}
        {say.mealsOf(shortDay(week.from), shortDay(week.to))}
      </h1>
      <table className="w-full mt-3 border-collapse">
        <thead>
          <tr className="text-left border-b border-edge">
            <th className="w-[110px]">{say.day}</th>
            <th>{say.meal}</th>
            <th>{say.toBuyFor}</th>
          </tr>
        </thead>
        <tbody>
          {week.days.map((day) => (
            <tr key={day.on} className="border-b border-zinc2 align-top">
              <th scope="row" className="text-left py-2">
                {shortDay(day.on)}
              </th>
              <td className="py-2 pr-4">
                {day.slots.map((slot) => (
                  <div key={slot.meal}>
                    <span className="text-soft">
                      {slot.meal}
                      {slotWords(slot) === "" ? "" : ` (${slotWords(slot)})`}:
                    </span>{" "}
                    <b>{slot.meals.map((meal) => meal.name).join(", ") || "–"}</b>
                  </div>
                ))}
              </td>
              <td className="py-2 text-small">
                {day.slots.flatMap((slot) => slot.meals.flatMap((meal) => meal.missing)).join("; ")}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2 className="mt-5">{say.useUpFirst}</h2>
      <ul className="columns-2 text-small">
        {week.use_up.map((one) => (
          <li key={one.stack_id}>
            {one.name}, {one.amount}, {one.place}: {say.daysLeft(one.days_left)}
          </li>
        ))}
      </ul>
    </article>
  );
}

/** A week of meals on paper, for the kitchen door. */
export default function PrintWeek() {
  const { today } = useSession();
  const [from] = useInAddress("from", today, (said) => DAY.test(said));
  const query = useQuery(weekQuery(from, DAYS));
  return (
    <Loaded query={query} what={say.gatheringTheWeek}>
      {(week) => <Paper week={week} />}
    </Loaded>
  );
}
