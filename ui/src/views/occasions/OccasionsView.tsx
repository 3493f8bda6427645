import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { occasionsQuery } from "../../api/queries";
import type { OccasionBrief } from "../../api/types";
import { useActs } from "../../app/acts";
import { useGo } from "../../app/address";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Form, Submit } from "../../kit/form";
import { Board, Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as meals from "../../words/eatDown";
import * as say from "../../words/occasions";
import { roundIn } from "./model";
import { When } from "./When";

function Card({ one, today }: { one: OccasionBrief; today: string }) {
  return (
    <li>
      <Link to={`/occasions/${one.id}`} className="btn card h-full !block" data-look="quiet">
        <span className="font-semibold block">{one.name}</span>
        <span className="block">{one.next_on === null ? say.over : dayWords(one.next_on, today)}</span>
        <span className="text-soft text-small font-normal">
          {[say.heads(one.heads), say.dishes(one.dishes), ...(one.ideas > 0 ? [say.ideasCount(one.ideas)] : [])].join(
            ", ",
          )}
          {one.on_plan ? `, ${say.onThePlan}` : ""}
        </span>
      </Link>
    </li>
  );
}

function New({ onDone }: { onDone: () => void }) {
  const { act } = useActs();
  const { today } = useSession();
  const go = useGo();
  const save = async (form: FormData) => {
    const name = String(form.get("name"));
    const body = { name, recurrence: roundIn(form), meal: String(form.get("meal")), serve_at: form.get("serve_at") };
    const done = await act<{ occasion_id: number }>("/api/occasions", body, name);
    if (done) {
      onDone();
      go(`/occasions/${done.occasion_id}`);
    }
    return done;
  };
  return (
    <Board className="p-3 mb-3" title={say.addOne}>
      <Form
        onSave={save}
        label={say.addOne}
        keep="occasion.new"
        className="flex flex-wrap gap-3 items-end mt-2 phone:grid"
      >
        <When today={today} />
        <Submit>{say.save}</Submit>
      </Form>
    </Board>
  );
}

/** Meals that come round, the next one first. */
export default function OccasionsView() {
  const query = useQuery(occasionsQuery);
  const { today } = useSession();
  const [adding, setAdding] = useState(false);
  return (
    <>
      <Back to="/meals">{meals.back}</Back>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2 mb-3">
        <h1>{say.title}</h1>
        <span className="text-soft">{say.about}</span>
        <Button look="main" className="ml-auto" onClick={() => setAdding(!adding)}>
          {say.addOne}
        </Button>
      </div>
      {adding && <New onDone={() => setAdding(false)} />}
      <Loaded query={query} what={say.fetching}>
        {(all) =>
          all.length === 0 ? (
            <Empty title={say.none}>{say.noneHint}</Empty>
          ) : (
            <ul className="grid gap-2 grid-cols-[repeat(auto-fill,minmax(250px,1fr))]">
              {all.map((one) => (
                <Card key={one.id} one={one} today={today} />
              ))}
            </ul>
          )
        }
      </Loaded>
    </>
  );
}
