import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "wouter";
import { occasionQuery, peopleQuery } from "../../api/queries";
import type { KeepOccasion, Occasion } from "../../api/types";
import { useActs } from "../../app/acts";
import { useGo } from "../../app/address";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Form, Submit, Tick, Whole } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/occasions";
import { HowItWas } from "./HowItWas";
import { Menu, Pocket } from "./Menu";
import { Schedule } from "./Schedule";
import { When } from "./When";
import { facts, guestsIn, guestsText, roundIn } from "./model";

type Save = (changes: Partial<KeepOccasion>) => Promise<unknown>;

function Comes({ one, onSave }: { one: Occasion; onSave: Save }) {
  const { tell } = useActs();
  const people = useQuery(peopleQuery).data?.people.filter((person) => person.eats) ?? [];
  const save = (form: FormData) => {
    const sitting = form.getAll("people").map(Number);
    const guests = guestsIn(String(form.get("guests")));
    const unknown = guests.flatMap((guest) => guest.excludes ?? []).filter((word) => !say.allergens.includes(word));
    if (unknown.length > 0) {
      tell({ text: say.unknownWords(unknown.join(", ")) });
      return false;
    }
    const all = sitting.length === people.length && guests.length === 0;
    return onSave({ eaters: all ? null : { people: sitting, guests } });
  };
  const sits = (id: number) => one.eaters?.people.includes(id) ?? true;
  return (
    <Board className="p-3" title={say.whoComes}>
      <Form onSave={save} label={say.whoComes} key={one.version + people.length} className="grid gap-2 mt-1">
        <span className="flex flex-wrap gap-x-4">
          {people.map((person) => (
            <Tick
              key={person.id}
              name="people"
              value={person.id}
              defaultChecked={sits(person.id)}
              label={person.name}
            />
          ))}
        </span>
        <label className="grid gap-1">
          <span className="font-semibold">{say.guests}</span>
          <textarea
            className="field !h-[84px] py-2"
            name="guests"
            maxLength={3000}
            defaultValue={guestsText(one.eaters?.guests ?? [])}
          />
          <span className="text-soft text-small">{say.guestsHint}</span>
        </label>
        <Submit className="justify-self-start">{say.save}</Submit>
      </Form>
    </Board>
  );
}

function Hands({ one, onSave }: { one: Occasion; onSave: Save }) {
  const save = (form: FormData) => onSave({ cooks: Number(form.get("cooks")), ovens: Number(form.get("ovens")) });
  return (
    <Form onSave={save} label={say.beginWhen} key={one.version} className="flex gap-2 items-end mt-3">
      <Whole label={say.cooks} name="cooks" min={1} max={9} required defaultValue={one.cooks} className="!w-[80px]" />
      <Whole label={say.ovens} name="ovens" min={0} max={4} required defaultValue={one.ovens} className="!w-[80px]" />
      <Submit>{say.save}</Submit>
    </Form>
  );
}

function Notes({ one, onSave }: { one: Occasion; onSave: Save }) {
  return (
    <Board className="p-3" title={say.notes}>
      <Form
        onSave={(form) => onSave({ notes: String(form.get("notes")) })}
        label={say.notes}
        key={one.version}
        className="grid gap-2 mt-1"
      >
        <textarea
          className="field !h-[84px] py-2"
          name="notes"
          aria-label={say.notes}
          maxLength={2000}
          defaultValue={one.notes}
        />
        <Submit className="justify-self-start">{say.save}</Submit>
      </Form>
    </Board>
  );
}

function Head({ one, onSave }: { one: Occasion; onSave: Save }) {
  const { act } = useActs();
  const { today } = useSession();
  const go = useGo();
  const [changing, setChanging] = useState(false);
  const save = async (form: FormData) => {
    const done = await onSave({
      name: String(form.get("name")),
      recurrence: roundIn(form),
      meal: String(form.get("meal")) as Occasion["meal"],
      serve_at: String(form.get("serve_at")),
    });
    if (done) setChanging(false);
    return done;
  };
  const away = async () => {
    if (await act(`/api/occasions/${one.id}/archive`, {}, say.putAway(one.name))) go("/occasions");
  };
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1 mb-3">
        <h1>{one.name}</h1>
        <span>{one.on === null ? say.over : `${dayWords(one.on, today)}, ${say.heads(one.heads)}`}</span>
        <span className="text-soft">
          {one.meal}, {say.roundWords(one.recurrence)}
        </span>
        <span className="flex gap-2 ml-auto phone:ml-0 no-print">
          <Button onClick={() => setChanging(!changing)}>{say.change}</Button>
          <Button onClick={() => go(`/print/occasion/${one.id}`)}>{say.printIt}</Button>
          <Button look="plain" onClick={away}>
            {say.away}
          </Button>
        </span>
      </div>
      {changing && (
        <Board className="p-3 mb-3" title={say.change}>
          <Form onSave={save} label={say.change} className="flex flex-wrap gap-3 items-end mt-2 phone:grid">
            <When one={one} today={today} />
            <Submit>{say.save}</Submit>
          </Form>
        </Board>
      )}
    </>
  );
}

function Page({ one }: { one: Occasion }) {
  const { act } = useActs();
  const onSave: Save = (changes) => act(`/api/occasions/${one.id}`, facts(one, changes), one.name);
  return (
    <>
      <Head one={one} onSave={onSave} />
      <div className="grid gap-3 items-start wide:grid-cols-[3fr_2fr]">
        <div className="grid gap-3">
          <Menu one={one} onSave={onSave} />
          <HowItWas one={one} />
        </div>
        <div className="grid gap-3">
          <Board className="p-3" title={say.beginWhen}>
            <p className="text-soft text-small">{say.hands(one.cooks, one.ovens)}</p>
            <Schedule one={one} />
            <Hands one={one} onSave={onSave} />
          </Board>
          <Comes one={one} onSave={onSave} />
          <Pocket one={one} onSave={onSave} />
          <Notes one={one} onSave={onSave} />
        </div>
      </div>
    </>
  );
}

/** One occasion: its menu, what to begin when, who comes, ideas, how it was. */
export default function OccasionPage() {
  const { id } = useParams<{ id: string }>();
  const query = useQuery(occasionQuery(Number(id)));
  return (
    <>
      <Back to="/occasions">{say.back}</Back>
      <Loaded query={query} what={say.fetchingOne}>
        {(one) => <Page one={one} />}
      </Loaded>
    </>
  );
}
