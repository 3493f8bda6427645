import { useEffect, useMemo, useRef, useState } from "react";
import type { Shelf } from "../../api/queries";
import type { Place } from "../../api/types";
import { stateWords } from "../../words/common";
import { type ShelfFilter } from "./filter";
import { Select } from "../../kit/choices";
import * as say from "../../words/shelf";

const STATES = ["front", "soon", "look", "stop", "undated", "resting", "not_ready"];

const PAUSE = 150;

/** Letters stay in the box while the shelf is sorted anew; the address is written when the hand pauses. */
export function FindBox({
  value,
  focus,
  set,
}: {
  value: string;
  focus: boolean;
  set: (name: string, value: string) => void;
}) {
  const box = useRef<HTMLInputElement>(null);
  const [text, setText] = useState(value);
  const [written, setWritten] = useState(value);
  if (value !== written) {
    setWritten(value);
    if (value !== text.trim()) setText(value);
  }
  useEffect(() => {
    if (focus) box.current?.focus();
  }, [focus]);
  const latest = useRef(set);
  useEffect(() => {
    latest.current = set;
  });
  useEffect(() => {
    if (text.trim() === written) return;
    const timer = setTimeout(() => latest.current("q", text.trim()), PAUSE);
    return () => clearTimeout(timer);
  }, [text, written]);
  return (
    <input
      ref={box}
      data-find
      aria-label={say.findOnShelf}
      placeholder={say.find}
      className="field !w-[200px] phone:!w-full phone:col-span-2"
      value={text}
      onChange={(event) => setText(event.target.value)}
    />
  );
}

export function Filters({
  filter,
  places,
  shelf,
  set,
  focus,
}: {
  filter: ShelfFilter;
  places: Place[];
  shelf: Shelf;
  set: (name: string, value: string) => void;
  focus: boolean;
}) {
  const groups = useMemo(() => [...new Set(shelf.stacks.map((stack) => stack.group))].sort(), [shelf.stacks]);
  return (
    <div className="no-print flex flex-wrap gap-2 mb-3 phone:grid phone:grid-cols-2">
      <FindBox value={filter.text} focus={focus} set={set} />
      <Filter
        name="place"
        label={say.everyPlace}
        value={filter.place}
        options={places.map((place) => [String(place.id), place.name])}
        set={set}
      />
      <Filter
        name="state"
        label={say.everyState}
        value={filter.state}
        options={STATES.map((state) => [state, stateWords(state)])}
        set={set}
      />
      <Filter
        name="group"
        label={say.everyGroup}
        value={filter.group}
        options={groups.map((group) => [group, group])}
        set={set}
      />
      <Filter
        name="apart"
        label={say.setApartOr}
        value={filter.apart}
        options={[
          ["yes", say.setApartOnly],
          ["no", say.notSetApart],
        ]}
        set={set}
      />
    </div>
  );
}

function Filter({
  name,
  label,
  value,
  options,
  set,
}: {
  name: string;
  label: string;
  value: string;
  options: [string, string][];
  set: (name: string, value: string) => void;
}) {
  return (
    <Select
      label={label}
      className={`!w-auto phone:!w-full ${value ? "!border-rim font-semibold" : ""}`}
      value={value}
      onPick={(next) => set(name, next)}
      none={label}
      options={options}
    />
  );
}
