import { useQuery } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { useSearchParams } from "wouter";
import { gridsQuery, placesQuery, shelfQuery } from "../../api/queries";
import type { Place, Stack } from "../../api/types";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayTab, plural } from "../../words/common";
import { Pick, Whole } from "../../kit/form";
import { Mark } from "../../kit/Mark";
import { Select, Find } from "../../kit/choices";
import * as say from "../../words/labels";

/** Labels for many stacks at once: which, on which sheet, how many, from which cell on. */
export default function LabelsView() {
  const shelf = useQuery(shelfQuery);
  const places = useQuery(placesQuery).data ?? [];
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 mb-3">
        <h1>{say.labels}</h1>
        <span className="text-soft">{say.nameAmountDates}</span>
      </div>
      <Loaded query={shelf} what={say.lookingAlongShelf}>
        {(data) => <Chooser stacks={data.stacks} places={places} />}
      </Loaded>
    </>
  );
}

/** So many are drawn at once; the rest is found by a word or by its place. */
const DRAWN = 200;

function Chooser({ stacks, places }: { stacks: Stack[]; places: Place[] }) {
  const [params] = useSearchParams();
  const [chosen, setChosen] = useState<ReadonlySet<number>>(
    () =>
      new Set(
        (params.get("stacks") ?? "")
          .split(",")
          .map(Number)
          .filter((id) => id > 0),
      ),
  );
  const [find, setFind] = useState("");
  const [place, setPlace] = useState("");
  const shown = useMemo(
    () =>
      stacks.filter(
        (stack) =>
          stack.name.toLowerCase().includes(find.toLowerCase()) && (place === "" || String(stack.place_id) === place),
      ),
    [stacks, find, place],
  );
  const [drawn, setDrawn] = useState(DRAWN);
  const toggle = (ids: number[], on: boolean) =>
    setChosen((now) => new Set(on ? [...now, ...ids] : [...now].filter((id) => !ids.includes(id))));
  return (
    <div className="grid gap-4 wide:grid-cols-[minmax(0,1fr)_340px] items-start">
      <Board title={say.chosen(chosen.size)} className="phone:order-2">
        <div className="flex flex-wrap gap-2 mt-2">
          <Find className="!w-[200px]" label={say.findAStack} placeholder={say.find} value={find} onFind={setFind} />
          <Select
            label={say.place}
            value={place}
            onPick={setPlace}
            none={say.everyPlace}
            options={places.map((one) => [String(one.id), one.name])}
          />
          <Button
            onClick={() =>
              toggle(
                shown.map((stack) => stack.id),
                true,
              )
            }
          >
            {say.chooseThese} {shown.length}
          </Button>
          {chosen.size > 0 && <Button onClick={() => setChosen(new Set())}>{say.chooseNone}</Button>}
        </div>
        <ul className="mt-2 max-h-[62dvh] overflow-y-auto" tabIndex={0} aria-label={say.stacks}>
          {shown.slice(0, drawn).map((stack) => (
            <li key={stack.id} className="border-t border-zinc2">
              <label className="flex items-center gap-3 py-1 phone:min-h-[44px]">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={chosen.has(stack.id)}
                  onChange={(event) => toggle([stack.id], event.target.checked)}
                />
                <span className="grow truncate">
                  <Mark kind={stack.mark} className="mr-1.5 text-soft" />
                  {stack.name}
                </span>
                <span className="text-soft text-small whitespace-nowrap">
                  {stack.amount}, {dayTab(stack)}
                </span>
              </label>
            </li>
          ))}
        </ul>
        {shown.length > drawn && (
          <Button className="mt-2" onClick={() => setDrawn(drawn + DRAWN)}>
            {say.moreStacks(shown.length - drawn)}
          </Button>
        )}
      </Board>
      <Sheets ids={[...chosen]} />
    </div>
  );
}

function Sheets({ ids }: { ids: number[] }) {
  const grids = useQuery(gridsQuery).data ?? [];
  const [key, setKey] = useState("3x8");
  const [copies, setCopies] = useState(1);
  const [skip, setSkip] = useState(0);
  const grid = grids.find((one) => one.key === key);
  const cells = ids.length * copies + skip;
  const href = `/api/labels/sheet.pdf?stacks=${ids.join(",")}&grid=${key}&copies=${copies}&skip=${skip}`;
  return (
    <Board title={say.print} className="phone:order-1">
      <div className="grid gap-3 mt-2">
        <Pick
          label={say.sheet}
          value={key}
          onChange={(event) => setKey(event.target.value)}
          options={grids.map((one) => [String(one.key), one.name] as const)}
        />
        <Whole
          label={say.eachHowMany}
          beside
          min={1}
          max={200}
          value={copies}
          onChange={(event) => setCopies(Math.max(1, Number(event.target.value)))}
        />
        {key !== "roll" && (
          <Whole
            label={say.cellsAlreadyUsed}
            beside
            min={0}
            max={(grid?.per_page ?? 1) - 1}
            value={skip}
            onChange={(event) => setSkip(Math.max(0, Number(event.target.value)))}
          />
        )}
        {ids.length === 0 ? (
          <p className="text-soft">{say.chooseStacksFirst}</p>
        ) : (
          <>
            <p className="text-soft">
              {say.countLabels(ids.length * copies)},{" "}
              {plural(Math.ceil(cells / (grid?.per_page ?? 1)), key === "roll" ? "piece" : "sheet")}
            </p>
            <a className="btn" data-look="main" href={href} target="_blank" rel="noreferrer">
              {say.openThePdf}
            </a>
            {ids.length === 1 && (
              <a className="btn" href={`/api/labels/label.png?stacks=${ids[0]}`} target="_blank" rel="noreferrer">
                {say.picturePng}
              </a>
            )}
          </>
        )}
      </div>
    </Board>
  );
}
