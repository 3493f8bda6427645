import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { eventsQuery } from "../../api/queries";
import type { Event } from "../../api/types";
import { useActs } from "../../app/acts";
import { Back } from "../../kit/Back";
import { Form, Submit, Text, Tick, Whole } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/before";
import * as kits from "../../words/kits";
import { inBox } from "./moments";
import { Larder } from "./Larder";
import { Tasks } from "./Tasks";

const DAY = 24 * 3600 * 1000;

/** The hours before a gale: counted back from its hour, ticked as they are done. */
export default function BeforeView() {
  const query = useQuery(eventsQuery);
  return (
    <>
      <Back to="/kits">{kits.back}</Back>
      <h1 className="mt-1 mb-2">{say.title}</h1>
      <Loaded query={query} what={say.asking}>
        {({ events }) => (events.length === 0 ? <Begin /> : events.map((one) => <Coming key={one.id} event={one} />))}
      </Loaded>
    </>
  );
}

function Begin() {
  const { act } = useActs();
  const [tomorrow] = useState(() => inBox(new Date(Date.now() + DAY)));
  const begin = (form: FormData) =>
    act(
      "/api/events",
      {
        name: String(form.get("name")).trim(),
        hour: new Date(String(form.get("hour"))).toISOString(),
        helpers: Number(form.get("helpers")),
        days: Number(form.get("days")),
        fill_l: String(form.get("fill_l")),
        flush_l: String(form.get("flush_l")),
        has: form.getAll("has"),
      },
      say.begin,
    );
  return (
    <Board note={say.about}>
      <Form onSave={begin} keep="event.new" className="grid gap-3 mt-2 max-w-[520px]">
        <Text label={say.what} name="name" required maxLength={80} defaultValue={say.example} />
        <Text label={say.hour} type="datetime-local" name="hour" required defaultValue={tomorrow} />
        <div className="grid grid-cols-2 gap-3">
          <Whole label={say.helpers} name="helpers" min={1} max={20} required defaultValue={2} />
          <Whole label={say.days} name="days" min={1} max={60} required defaultValue={3} />
          <Whole label={say.fill} name="fill_l" min={0} max={9999} required defaultValue={40} />
          <Whole label={say.flush} name="flush_l" min={0} max={9999} required defaultValue={30} />
        </div>
        <fieldset>
          <legend className="font-semibold">{say.has}</legend>
          {say.HAS.map(([value, words]) => (
            <Tick key={value} name="has" value={value} label={words} />
          ))}
        </fieldset>
        <Submit>{say.begin}</Submit>
        <p className="text-soft text-small">{say.local}</p>
      </Form>
    </Board>
  );
}

function Coming({ event }: { event: Event }) {
  const { act } = useActs();
  return (
    <section className="grid gap-4 wide:grid-cols-2 items-start mt-2">
      <Tasks event={event} />
      <div className="grid gap-4">
        <Larder event={event} />
        <p className="text-soft text-small">{say.local}</p>
        <Link className="btn w-max" to={`/print/event/${event.id}`}>
          {say.print}
        </Link>
        <Button
          look="grave"
          className="w-max"
          onClick={() => act(`/api/events/${event.id}/change`, { gone: true }, event.name)}
        >
          {say.over}
        </Button>
      </div>
    </section>
  );
}
