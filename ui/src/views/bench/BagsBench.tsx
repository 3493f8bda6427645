import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { bagsQuery } from "../../api/bench";
import { placesQuery, shelfQuery } from "../../api/queries";
import type { AssembleBags, BagsPage, Place, Stack } from "../../api/types";
import { useActs } from "../../app/acts";
import { amountIn, amountOf, Form, Pick, Submit, Text, Tick, Whole } from "../../kit/form";
import { Board } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/bags";
import { BagLines, type Line } from "./BagLines";
import { BagsTold } from "./BagsTold";
import { BenchTabs } from "./BenchTabs";
import { DropBag, KeepBag } from "./KeepBag";

const OWN = "own";

/** Bags of several foods for the way: one is built, then as many as the shelf gives. */
export default function BagsBench() {
  const page = useQuery(bagsQuery);
  const shelf = useQuery(shelfQuery).data?.stacks ?? [];
  const places = useQuery(placesQuery).data ?? [];
  return (
    <>
        <BenchTabs title={say.bags} about={say.about} />
        <Loaded query={page} what={say.fetching}>
          {(data) => places.length > 0 && <Choosing page={data} shelf={shelf} places={places} />}
        </Loaded>
    </>
  );
}

interface Shared {
  page: BagsPage;
  shelf: Stack[];
  places: Place[];
}

function Choosing({ page, shelf, places }: Shared) {
  const [key, setKey] = useState(page.bags.find((one) => one.can > 0)?.key ?? OWN);
  const options = page.bags.map((one): [string, string] => [
    one.key,
    say.canMake(one.own ? say.ours(one.name) : one.name, one.can),
  ]);
  return (
    <div className="grid gap-4">
      <div className="max-w-[420px]">
        <Pick
          label={say.whichBag}
          name="bag"
          value={key}
          options={[...options, [OWN, say.ownBag]]}
          onChange={(event) => setKey(event.target.value)}
        />
      </div>
      <OneBag key={key} bag={page.bags.find((one) => one.key === key)} page={page} shelf={shelf} places={places} />
    </div>
  );
}

interface OneBagProps extends Shared {
  bag: BagsPage["bags"][number] | undefined;
}

function OneBag({ bag, page, shelf, places }: OneBagProps) {
  const { act } = useActs();
  const [lines, setLines] = useState<Line[]>(bag?.lines.map((line) => ({ ...line, amount: line.grams })) ?? []);
  const [base, setBase] = useState<Base | null>(null);
  const [made, setMade] = useState<number[]>([]);
  const asked = bagAsked(bag, lines, base);
  const send = async (data: FormData) => {
    const body = bagAsked(bag, lines, asBag(data));
    if (!body) return;
    const done = await act<{ lot_ids?: number[] }>("/api/bench/bags", body, say.bags);
    if (done?.lot_ids) setMade(done.lot_ids);
    return done;
  };
  return (
    <>
    <Form
      className="grid grid-cols-2 phone:grid-cols-1 gap-4 items-start"
      label={say.bags}
      onSave={send}
      onInput={(element) => setBase(asBag(new FormData(element)))}
    >
      <Board title={say.oneBag}>
        <div className="grid gap-3 mt-2">
          <BagLines lines={lines} onLines={setLines} shelf={shelf} />
          {bag && bag.scoops.length > 0 && <p className="text-soft text-small">{say.suits(bag.scoops)}</p>}
          <div className="grid grid-cols-2 gap-3 items-end">
            <Whole
              label={say.howMany}
              name="count"
              min={1}
              max={200}
              required
              defaultValue={Math.min(Math.max(bag?.can ?? 1, 1), 10)}
            />
            <Whole label={say.empty} name="empty" min={0} max={10000} placeholder={say.asMany} />
          </div>
          <Pick
            label={say.packedIn}
            name="packaging"
            defaultValue={bag?.packaging ?? ""}
            options={[["", say.nothingSaid], ...page.packagings.map(packaging)]}
          />
          <Tick label={say.lowAir} name="low_air" defaultChecked={bag?.low_air ?? false} />
          <Tick label={say.mixed} name="mixed" />
          <Pick
            label={say.where}
            name="place_id"
            defaultValue={String(places.find((place) => place.kind === "cupboard")?.id ?? "")}
            options={places.map((place): [string, string] => [String(place.id), place.name])}
          />
          <Text label={say.label} name="label" maxLength={120} placeholder={bag?.name} required={bag === undefined} />
          <Text label={say.directions} name="directions" maxLength={600} placeholder={bag?.directions} />
        </div>
      </Board>
      <BagsTold asked={asked} ask={bag === undefined && lines.length > 0 ? say.nameFirst : say.chooseOne}>
        <div className="flex flex-wrap items-center gap-4 mt-3">
          <Submit disabled={asked === null}>{say.makeThem}</Submit>
          {made.length > 0 && (
            <Link className="text-rim underline" to={`/labels?stacks=${made.join(",")}`}>
              {say.printLabels}
            </Link>
          )}
          {bag && <DropBag bag={bag} />}
        </div>
      </BagsTold>
    </Form>
    {bag === undefined && lines.length > 0 && <KeepBag lines={lines} onKept={() => setLines([])} />}
    </>
  );
}

const packaging = (one: BagsPage["packagings"][number]): [string, string] => [
  one.key,
  say.holds(one.name, one.holds_ml),
];

const sent = (line: Line) => ({
  food_id: line.food_id,
  amount: amountOf(line.amount),
  ...(line.unit ? { unit: line.unit } : {}),
});

type Base = Omit<AssembleBags, "lines">;

/** What is asked for; nothing while something is missing. Lines go along where they are not those of the tables. */
function bagAsked(bag: OneBagProps["bag"], lines: Line[], base: Base | null): AssembleBags | null {
  if (lines.length === 0 || !base || (!bag && !base.label)) return null;
  const changed =
    lines.length !== bag?.lines.length || lines.some((line, at) => line.amount !== bag.lines[at]?.grams);
  return { ...base, ...(bag ? { assembly: bag.key } : {}), ...(changed ? { lines: lines.map(sent) } : {}) };
}

/** What the form says of the bags besides what goes in; nothing while it does not say how many. */
function asBag(form: FormData): Base | null {
  const count = Number(form.get("count"));
  const place = Number(form.get("place_id"));
  if (count < 1 || place < 1) return null;
  const text = (name: "label" | "directions" | "packaging") => {
    const said = String(form.get(name) ?? "").trim();
    return said === "" ? {} : { [name]: said };
  };
  const empty = amountIn(form, "empty");
  return {
    count,
    place_id: place,
    ...(empty === "" ? {} : { empty: Number(empty) }),
    ...(form.has("low_air") ? { low_air: true } : {}),
    ...(form.has("mixed") ? { mixed: true } : {}),
    ...text("label"),
    ...text("directions"),
    ...text("packaging"),
  };
}
