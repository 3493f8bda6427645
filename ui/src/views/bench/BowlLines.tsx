import { useState } from "react";
import type { Stack } from "../../api/types";
import { useSession } from "../../app/session";
import { ByScale } from "../../kit/ByScale";
import { amountOf, Pick, Text } from "../../kit/form";
import { Button } from "../../kit/kit";
import { dayWords } from "../../words/common";
import * as say from "../../words/bowls";

/** A stack that went into the bowl; no grams: all of it. */
export interface Cooking {
  id: number;
  name: string;
  grams: string;
}

/** A stack of which each portion gets something: so many grams, or its part of a pack. */
export interface Adding extends Cooking {
  perPack: string;
}

interface Props<Line> {
  stacks: Stack[];
  lines: Line[];
  onLines: (lines: Line[]) => void;
}

/** What was cooked, stack by stack. */
export function Cooked({ stacks, lines, onLines }: Props<Cooking>) {
  const [id, setId] = useState("");
  const [grams, setGrams] = useState("");
  const put = () => {
    const stack = stacks.find((one) => String(one.id) === id);
    if (!stack) return;
    onLines([...lines, { id: stack.id, name: stack.name, grams: amountOf(grams) }]);
    setId("");
    setGrams("");
  };
  return (
    <>
      <Lines lines={lines} onLines={onLines} words={(line) => say.took(line.name, line.grams)} />
      <Which stacks={free(stacks, lines)} value={id} onPick={setId} />
      <div className="grid grid-cols-[1fr_auto_auto] gap-2 items-end">
        <Text
          label={say.grams}
          name="cooked_g"
          inputMode="decimal"
          placeholder={say.allOfIt}
          value={grams}
          onChange={(event) => setGrams(event.target.value)}
        />
        <ByScale name="cooked_g" what={say.grams} />
        <Button onClick={put}>{say.put}</Button>
      </div>
    </>
  );
}

/** What each portion gets besides. */
export function Added({ stacks, lines, onLines, titled = true }: Props<Adding> & { titled?: boolean }) {
  const [id, setId] = useState("");
  const [grams, setGrams] = useState("");
  const [perPack, setPerPack] = useState("");
  const put = () => {
    const stack = stacks.find((one) => String(one.id) === id);
    const said = amountOf(grams) !== "" || Number(perPack) >= 1;
    if (!stack || !said) return;
    onLines([...lines, { id: stack.id, name: stack.name, grams: amountOf(grams), perPack }]);
    setId("");
    setGrams("");
    setPerPack("");
  };
  return (
    <fieldset className="grid gap-2">
      <legend className={titled ? "font-semibold" : "sr-only"}>{say.added}</legend>
      <p className="text-soft text-small">{say.addedNote}</p>
      <Lines lines={lines} onLines={onLines} words={(line) => say.gets(line.name, line.grams, line.perPack)} />
      <Which stacks={free(stacks, lines)} value={id} onPick={setId} />
      <div className="grid grid-cols-[90px_auto_1fr_auto] phone:grid-cols-[1fr_auto] gap-2 items-end">
        <Text
          label={say.each}
          name="each_g"
          inputMode="decimal"
          value={grams}
          onChange={(event) => setGrams(event.target.value)}
        />
        <ByScale name="each_g" what={say.each} />
        <Text
          label={say.perPack}
          inputMode="numeric"
          value={perPack}
          onChange={(event) => setPerPack(event.target.value)}
        />
        <Button onClick={put}>{say.addIt}</Button>
      </div>
    </fieldset>
  );
}

/** What each portion gets, as it is sent. */
export const additionsOf = (added: Adding[]) =>
  added.map((line) => ({
    lot_id: line.id,
    ...(line.grams === "" ? { per_pack: Number(line.perPack) } : { each_g: line.grams }),
  }));

const free = (stacks: Stack[], lines: Cooking[]) => stacks.filter((one) => !lines.some((line) => line.id === one.id));

function Which({ stacks, value, onPick }: { stacks: Stack[]; value: string; onPick: (id: string) => void }) {
  const { today } = useSession();
  const options = stacks
    .map((one): [string, string] => [
      String(one.id),
      [one.name, one.amount, one.usable_until ? dayWords(one.usable_until, today) : ""].filter(Boolean).join(", "),
    ])
    .sort((one, other) => one[1].localeCompare(other[1]));
  return (
    <Pick
      label={say.stack}
      none={say.chooseStack}
      value={value}
      options={options}
      onChange={(event) => onPick(event.target.value)}
    />
  );
}

function Lines<Line extends Cooking>({
  lines,
  onLines,
  words,
}: {
  lines: Line[];
  onLines: (lines: Line[]) => void;
  words: (line: Line) => string;
}) {
  return (
    <ul>
      {lines.map((line) => (
        <li key={line.id} className="flex items-center gap-2 border-t border-zinc2 py-1">
          <span className="grow">{words(line)}</span>
          <Button
            aria-label={say.leaveOut(line.name)}
            onClick={() => onLines(lines.filter((one) => one.id !== line.id))}
          >
            {say.leaveOutShort}
          </Button>
        </li>
      ))}
    </ul>
  );
}
