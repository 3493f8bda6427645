import type { KeepTrip, TripPage, TripsPage } from "../../api/types";
import { useGo } from "../../app/address";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Day, Form, Pick, Submit, Text, Tick, Whole } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { addDays } from "../../words/common";
import * as say from "../../words/trips";

type Trip = TripPage["trip"];

interface Props {
  trip: Trip | null;
  page: TripsPage;
  onClose: () => void;
}

const MEALS = Object.entries(say.meal);
const AHEAD = 14;
const LONG = 5;

/** Who goes when, with what gear: a trip that is written down or changed. */
export function EditTrip({ trip, page, onClose }: Props) {
  const { act } = useActs();
  const go = useGo();
  const send = async (form: FormData) => {
    const body = bodyOf(form);
    const done = trip
      ? await act(`/api/trips/${trip.id}/change`, { version: trip.version, ...body }, say.changeTrip)
      : await act<{ trip_id?: number }>("/api/trips", body, say.newTrip);
    if (!done) return done;
    onClose();
    if (!trip && "trip_id" in done) go(`/trips/${String(done.trip_id)}`);
    return done;
  };
  const giveUp = async () => {
    if (trip && (await act(`/api/trips/${trip.id}/change`, { version: trip.version, gone: true }, say.giveUp))) {
      go("/trips");
    }
  };
  return (
    <Sheet open onClose={onClose} title={trip ? say.changeTrip : say.newTrip}>
      <Form label={trip ? say.changeTrip : say.newTrip} onSave={send}>
        <When trip={trip} />
        <Who trip={trip} page={page} />
        <Gear trip={trip} page={page} />
        <div className="flex gap-3">
          <Submit>{say.save}</Submit>
          {trip && <Button onClick={() => void giveUp()}>{say.giveUp}</Button>}
        </div>
      </Form>
    </Sheet>
  );
}

function When({ trip }: { trip: Trip | null }) {
  const { today } = useSession();
  return (
    <>
      <Text label={say.name} name="name" required maxLength={80} defaultValue={trip?.name} />
      <div className="grid grid-cols-2 gap-3 items-end">
        <Day
          label={say.leavesOn}
          name="leaves_on"
          required
          defaultValue={trip?.leaves_on ?? addDays(today, AHEAD)}
        />
        <Whole
          label={say.leavesHour}
          name="leaves_hour"
          min={0}
          max={23}
          required
          defaultValue={trip?.leaves_hour ?? 8}
        />
        <Day
          label={say.backOn}
          name="back_on"
          required
          defaultValue={trip?.back_on ?? addDays(today, AHEAD + LONG)}
        />
        <span />
        <Pick
          label={say.firstMeal}
          name="first_meal"
          options={MEALS}
          defaultValue={trip?.first_meal ?? "lunch"}
        />
        <Pick label={say.lastMeal} name="last_meal" options={MEALS} defaultValue={trip?.last_meal ?? "lunch"} />
      </div>
    </>
  );
}

function Who({ trip, page }: Omit<Props, "onClose">) {
  const goes = new Set(trip ? trip.people.map((one) => one.person_id) : page.people.map((one) => one.id));
  return (
    <>
      <fieldset>
        <legend className="font-semibold">{say.who}</legend>
        {page.people.map((one) => (
          <Tick key={one.id} label={one.name} name="people" value={one.id} defaultChecked={goes.has(one.id)} />
        ))}
      </fieldset>
    </>
  );
}

function Gear({ trip, page }: Omit<Props, "onClose">) {
  return (
    <>
      <fieldset>
        <legend className="font-semibold">{say.gearWord}</legend>
        {say.gear.map(([key, words]) => (
          <Tick
            key={key}
            label={words}
            name="gear"
            value={key}
            defaultChecked={(trip?.gear ?? ["burner"]).includes(key)}
          />
        ))}
      </fieldset>
      <div className="grid grid-cols-2 gap-3 items-end">
        <Whole label={say.pots} name="pots" min={0} max={10} required defaultValue={trip?.pots ?? 1} />
        <Whole label={say.potMl} name="pot_ml" min={100} max={20000} required defaultValue={trip?.pot_ml ?? 1500} />
        <Pick
          label={say.coldWord}
          name="cold"
          options={page.cold.map((one): [string, string] => [one.key, one.name])}
          defaultValue={trip?.cold ?? "none"}
        />
        <Whole label={say.highC} name="high_c" min={-30} max={60} required defaultValue={trip?.high_c ?? 20} />
        <Whole
          label={say.spareDays}
          name="spare_days"
          min={0}
          max={14}
          required
          defaultValue={trip?.spare_days ?? 0}
        />
        <Whole
          label={say.canister}
          name="canister_g"
          min={10}
          max={20000}
          required
          defaultValue={trip?.canister_g ?? 230}
        />
        <Whole
          label={say.gasLeft}
          name="gas_left_g"
          min={0}
          max={20000}
          required
          defaultValue={trip?.gas_left_g ?? 0}
        />
      </div>
      <Pick
        label={say.carriedBy}
        name="carried_by"
        options={say.carriers}
        defaultValue={trip?.carried_by ?? "back"}
      />
      <Text
        label={say.containers}
        note={say.containersNote}
        name="containers"
        pattern="[0-9 ,;]*"
        defaultValue={trip?.containers_ml.join(", ")}
      />
      <Tick label={say.noTins} name="no_tins" defaultChecked={trip?.no_tins ?? true} />
      <Tick label={say.noGlass} name="no_glass" defaultChecked={trip?.no_glass ?? true} />
    </>
  );
}

const LIST = /[ ,;]+/;

function bodyOf(form: FormData): KeepTrip {
  const number = (name: string) => Number(form.get(name));
  const text = (name: string) => String(form.get(name) ?? "").trim();
  return {
    name: text("name"),
    leaves_on: text("leaves_on"),
    back_on: text("back_on"),
    leaves_hour: number("leaves_hour"),
    first_meal: text("first_meal") as KeepTrip["first_meal"],
    last_meal: text("last_meal") as KeepTrip["last_meal"],
    people: form.getAll("people").map((id) => ({ person_id: Number(id) })),
    gear: form.getAll("gear").map(String) as KeepTrip["gear"],
    pots: number("pots"),
    pot_ml: number("pot_ml"),
    cold: text("cold"),
    carried_by: text("carried_by") as "back" | "bicycle" | "vehicle",
    high_c: number("high_c"),
    spare_days: number("spare_days"),
    canister_g: number("canister_g"),
    gas_left_g: number("gas_left_g"),
    containers_ml: text("containers").split(LIST).filter(Boolean).map(Number),
    no_tins: form.has("no_tins"),
    no_glass: form.has("no_glass"),
  };
}
