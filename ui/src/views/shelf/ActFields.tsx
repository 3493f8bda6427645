import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Link } from "wouter";
import { jarsQuery, shelfQuery } from "../../api/queries";
import type { Place, StackDetail } from "../../api/types";
import { Amount, Day, Pick, Text, Whole } from "../../kit/form";
import { Toggles } from "../../kit/choices";
import * as say from "../../words/shelf";

const WRAPS: [string, string][] = [
  ["tin", "tin"],
  ["glass", "glass"],
  ["card", "card"],
  ["paper", "paper"],
  ["thin_plastic", say.thinPlastic],
  ["plastic", say.hardPlastic],
  ["carton", say.drinkCarton],
  ["loose", "nothing"],
];

const RESULTS: [string, string][] = [
  ["", say.signsSay],
  ["good", "good"],
  ["turning", say.turningEatNext],
  ["bad", say.badNotEat],
];

function unitOf({ stack }: StackDetail): string {
  return stack.noun ?? (stack.unit === "piece" ? "pieces" : stack.unit);
}

export function Part({
  detail,
  label,
  value,
  required = false,
}: {
  detail: StackDetail;
  label: string;
  value?: string;
  required?: boolean;
}) {
  return (
    <Amount
      label={label}
      unit={unitOf(detail)}
      name="amount"
      defaultValue={value}
      placeholder={detail.stack.on_hand}
      required={required}
    />
  );
}

export function Where({
  places,
  stays = false,
  detail,
  cold = false,
}: {
  places: Place[];
  stays?: boolean;
  detail?: StackDetail;
  cold?: boolean;
}) {
  const fridge = places.find((place) => place.kind === "fridge");
  const here = places.find((place) => place.id === detail?.stack.place_id);
  const value = cold && fridge && here && here.kind !== "fridge" ? String(fridge.id) : "";
  const options = places
    .filter((place) => place.id !== here?.id)
    .map((place): [string, string] => [String(place.id), place.name]);
  return (
    <Pick
      name="place_id"
      label={stays ? say.whereGoesThen : say.whereTo}
      defaultValue={stays ? value : undefined}
      options={stays ? [["", say.staysIn(here?.name ?? say.itsPlace)], ...options] : options}
    />
  );
}

/** A short list for its kind of pack: tick what is seen. */
export function Signs({ detail }: { detail: StackDetail }) {
  const missed = detail.care.filter((row) => row.late_days > 0);
  return (
    <>
      {missed.map((row) => (
        <p key={row.id} className="text-beet font-semibold text-small">
          {say.missedFor} {row.late_days} {say.days} {row.title}
          {say.lookTheCloser}
        </p>
      ))}
      <fieldset>
        <legend className="font-semibold mb-1">{say.tickWhatYou}</legend>
        {detail.look.signs.map((one) => (
          <label key={one.sign} className="flex items-start gap-2 min-h-[32px] phone:min-h-[44px] py-1">
            <input type="checkbox" name="sign" value={one.sign} className="size-5 shrink-0" />{" "}
            <span>
              {one.sign}{" "}
              <span className={`text-tiny font-semibold ${one.means === "bad" ? "text-beet" : "text-soft"}`}>
                {one.means}
              </span>
            </span>
          </label>
        ))}
      </fieldset>
      <Pick name="result" label={say.itIs} options={RESULTS} />
    </>
  );
}

export function Portions({ detail, places }: { detail: StackDetail; places: Place[] }) {
  const [by, setBy] = useState("count");
  return (
    <>
      <Toggles
        label={say.splitBy}
        options={[
          ["count", say.soMany],
          ["size", say.ofOneSize],
        ]}
        value={by}
        onPick={(next) => next && setBy(next)}
      />
      {by === "count" ? (
        <Whole label={say.howManyPortions} name="count" min={1} max={500} required defaultValue={2} />
      ) : (
        <Amount label={say.onePortion} unit={unitOf(detail)} name="size" required />
      )}
      <Part detail={detail} label={say.outHowMuch} />
      <Where places={places} stays detail={detail} />
      <Text label={say.nameOnLabel} name="label" maxLength={120} placeholder={detail.stack.name} />
      {detail.stack.unit === "g" && detail.stack.noun === null && (
        <Link className="text-rim underline text-small" to={`/portion?food=${detail.stack.food_id}`}>
          {say.severalAtOnce}
        </Link>
      )}
    </>
  );
}

/** What can be chosen came in after the form was drawn: it says something now. */
function useReady(count: number, onReady: () => void): void {
  const latest = useRef(onReady);
  useEffect(() => {
    latest.current = onReady;
  });
  useEffect(() => {
    if (count > 0) latest.current();
  }, [count]);
}

export function Jars({ onReady }: { onReady: () => void }) {
  const jars = useQuery(jarsQuery).data ?? [];
  const free = jars.filter((jar) => jar.empty > 0);
  useReady(free.length, onReady);
  if (free.length === 0) return <p className="text-soft">{say.noJarOr}</p>;
  return (
    <Pick
      name="container_id"
      label={say.into}
      options={free.map((jar) => [String(jar.id), say.empty(jar.name, jar.empty)])}
    />
  );
}

export function Sources({ detail, onReady }: { detail: StackDetail; onReady: () => void }) {
  const others = (useQuery(shelfQuery).data?.stacks ?? []).filter(
    (stack) =>
      stack.food_id === detail.stack.food_id && stack.id !== detail.stack.id && stack.unit === detail.stack.unit,
  );
  useReady(others.length, onReady);
  if (others.length === 0) return <p className="text-soft">{say.thereNoOther}</p>;
  return (
    <Pick
      name="from_lot_id"
      label={say.fromIt}
      options={others.map((stack) => [String(stack.id), `${stack.name}, ${stack.amount}`])}
    />
  );
}

export function Known({ detail }: { detail: StackDetail }) {
  const facts = detail.facts;
  const field = (name: "label" | "directions" | "bought_for" | "lot_text", label: string, most: number) => (
    <Text label={label} name={name} maxLength={most} defaultValue={facts[name]} />
  );
  return (
    <>
      <div className="grid grid-cols-[1fr_1fr] gap-3">
        <Day label={say.dateOnPack} name="printed_on" defaultValue={facts.printed_on ?? ""} />
        <Pick
          name="printed_kind"
          label={say.itIsA}
          defaultValue={facts.printed_kind ?? "best_before"}
          options={[
            ["best_before", say.bestBefore],
            ["use_by", say.useBy],
          ]}
        />
      </div>
      <Day label={say.madeOn} name="made_on" defaultValue={facts.made_on ?? ""} />
      {field("label", say.name, 120)}
      {field("directions", say.directionsKeptWhen, 600)}
      {field("bought_for", say.boughtFor, 120)}
      {field("lot_text", say.lotPrintedOn, 60)}
      <Pick name="wrapping" label={say.wrappedIn} defaultValue={facts.wrapping} options={WRAPS} />
      <Pick
        name="opening"
        label={say.opensWith}
        none={say.opensSomehow}
        defaultValue={facts.opening ?? ""}
        options={say.OPENINGS}
      />
    </>
  );
}
