import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { get, Problem } from "../../api/client";
import { foodsQuery, jarsQuery, placesQuery, shelfQuery } from "../../api/queries";
import type { Container, Food } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board, Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { Loaded } from "../../kit/state";
import { Form, Pick, Submit, Text, Tick } from "../../kit/form";
import { Select } from "../../kit/choices";
import * as say from "../../words/places";

const KINDS: [string, string][] = [
  ["jar", "jar"],
  ["tub", "tub"],
  ["box", "box"],
  ["bottle", "bottle"],
  ["bag", "bag"],
];
const SHAPES: [string, string][] = [
  ["straight", say.straightSides],
  ["shouldered", say.withShoulders],
];

/** Jars, tubs and boxes by size; how many stand empty; how much goes into one. */
export default function JarsView() {
  const query = useQuery(jarsQuery);
  const [sheet, setSheet] = useState<Container | "new" | null>(null);
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 mb-3">
        <h1>{say.jarsAndBoxes}</h1>
        <span className="text-soft">{say.countedSizeEmpty}</span>
        <Button className="ml-auto phone:ml-0" onClick={() => setSheet("new")}>
          {say.newSize}
        </Button>
      </div>
      <Loaded query={query} what={say.countingTheJars}>
        {(jars) => (
          <Board
            title={jars.length === 0 ? say.noJarYet : say.standEmpty(jars.reduce((sum, jar) => sum + jar.empty, 0))}
          >
            {jars.length === 0 && <p className="text-soft mt-2">{say.sayOnceWhich}</p>}
            <ul className="mt-2 grid gap-1 wide:grid-cols-2 gap-x-10">
              {jars.map((jar) => (
                <li
                  key={jar.id}
                  className="flex flex-wrap wide:flex-nowrap items-center gap-3 border-t border-zinc2 py-2"
                >
                  <span className="grow min-w-0">
                    <b>{jar.name}</b>{" "}
                    <span className="text-soft">
                      {jar.capacity_ml} {say.ml}
                      {jar.tare_g ? say.gEmpty(jar.tare_g) : ""}
                      {jar.place ? say.keptIn(jar.place) : ""}
                    </span>
                  </span>
                  <span className="whitespace-nowrap">
                    <b className="font-head text-head">{jar.empty}</b>{" "}
                    <span className="text-soft">
                      {say.ofIt} {jar.owned} {say.empty}
                    </span>
                  </span>
                  <Button onClick={() => setSheet(jar)}>{say.changeOrFill}</Button>
                </li>
              ))}
            </ul>
          </Board>
        )}
      </Loaded>
      {sheet && (
        <JarSheet
          key={sheet === "new" ? "new" : sheet.version}
          jar={sheet === "new" ? null : sheet}
          onClose={() => setSheet(null)}
        />
      )}
    </div>
  );
}

function JarSheet({ jar, onClose }: { jar: Container | null; onClose: () => void }) {
  const { act } = useActs();
  const places = useQuery(placesQuery).data ?? [];
  const submit = async (form: FormData) => {
    const read = (name: string) =>
      String(form.get(name) ?? "")
        .trim()
        .replace(",", ".");
    const all: Record<string, unknown> = {
      name: read("name"),
      kind: read("kind"),
      shape: read("shape"),
      capacity_ml: Number(read("capacity_ml")),
      owned: Number(read("owned")),
      tare_g: read("tare_g"),
      full_at: read("full_at"),
      place_id: Number(read("place_id")),
    };
    const body = Object.fromEntries(Object.entries(all).filter(([, value]) => value !== "" && value !== 0));
    const done = await act(
      jar ? `/api/containers/${jar.id}/change` : "/api/containers",
      jar ? { version: Number(form.get("version")), ...body } : body,
      String(body.name),
    );
    if (done) onClose();
    return done;
  };
  const field = (name: keyof Container, label: string, more: Record<string, unknown> = {}) => (
    <Text label={label} name={name} defaultValue={jar?.[name] ?? ""} {...more} />
  );
  return (
    <Sheet open onClose={onClose} title={jar?.name ?? say.sizeJarOr}>
      {jar && <FillIt jar={jar} />}
      <Form className="grid gap-3 mt-3" keep={`jar.${jar?.id ?? "new"}`} version={jar?.version} onSave={submit}>
        {field("name", say.name, { required: true, maxLength: 80, placeholder: say.swingTopJar })}
        <div className="grid grid-cols-2 gap-3">
          <Pick name="kind" label={say.kind} defaultValue={jar?.kind ?? "jar"} options={KINDS} />
          <Pick name="shape" label={say.shape} defaultValue={jar?.shape ?? "straight"} options={SHAPES} />
          {field("capacity_ml", say.holdsMl, { type: "number", min: 1, max: 200000, required: true })}
          {field("owned", say.howManyThere, {
            type: "number",
            min: 1,
            max: 10000,
            required: true,
            defaultValue: jar?.owned ?? 1,
          })}
          {field("tare_g", say.weighsEmptyG, { inputMode: "decimal", pattern: "[0-9]{1,6}([.,][0-9]{1,3})?" })}
          {field("full_at", say.fullMarkIn, { inputMode: "decimal", pattern: "[0-9]{1,6}([.,][0-9]{1,3})?" })}
        </div>
        <Pick
          key={places.length}
          name="place_id"
          label={say.standsIn}
          defaultValue={String(jar?.place_id ?? "")}
          options={[
            ["", say.whereverItsFood],
            ...places.map((place): [string, string] => [String(place.id), place.name]),
          ]}
        />
        <Submit>{jar ? say.keepItSo : say.noteIt}</Submit>
        <p className="text-soft text-small">{say.tubWithFull}</p>
      </Form>
    </Sheet>
  );
}

interface Filling {
  amount: string;
  short: string | null;
  steps: string[];
  picks: { lot_id: number; words: string; place: string }[];
}

/** How much of a food goes in, and from which stack. */
function FillIt({ jar }: { jar: Container }) {
  const shelf = useQuery(shelfQuery).data?.stacks ?? [];
  const foods = useQuery(foodsQuery("")).data ?? [];
  const [answer, setAnswer] = useState<Filling | string | null>(null);
  const here = [...new Set(shelf.map((stack) => stack.food_id))]
    .map((id) => foods.find((food) => food.id === id))
    .filter((food) => food !== undefined && food.dimension !== "count" && food.food_group !== "supplies") as Food[];
  const ask = async (form: FormData) => {
    try {
      setAnswer(
        await get<Filling>(
          `/api/containers/${jar.id}/fill?food_id=${String(form.get("food"))}` +
            (form.get("freezing") === "on" ? "&freezing=yes" : ""),
        ),
      );
    } catch (error) {
      setAnswer(error instanceof Problem ? error.words : say.tryAgain);
    }
  };
  return (
    <Form className="board p-3 grid gap-2 mt-3" onSave={ask}>
      <h3>{say.howMuchGoes}</h3>
      <Select
        className=""
        name="food"
        label={say.ofWhichFood}
        options={here.sort((a, b) => a.name.localeCompare(b.name)).map((food) => [String(food.id), food.name])}
      />
      <Tick name="freezing" label={say.forFreezerLeave} />
      <Button type="submit">{say.workItOut}</Button>
      <div role="status">
        {typeof answer === "string" ? (
          <p className="text-beet font-semibold">{answer}</p>
        ) : (
          answer && (
            <>
              <p>
                <b className="font-head text-head">{answer.amount}</b>
                {answer.short ? say.notThere(answer.short) : ""}
              </p>
              <ul className="text-small">
                {answer.picks.map((pick) => (
                  <li key={pick.lot_id}>
                    {pick.words} {say.fromIt} {pick.place}
                  </li>
                ))}
              </ul>
              <ul className="text-soft text-small">
                {answer.steps.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ul>
            </>
          )
        )}
      </div>
    </Form>
  );
}
