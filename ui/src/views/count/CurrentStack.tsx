import { useState, type KeyboardEvent } from "react";
import { get, post, Problem } from "../../api/client";
import type { Count, ExpectedStack, Scanned, Weight } from "../../api/types";
import { Button, Notches } from "../../kit/kit";
import { dayTab } from "../../words/common";
import { useWide } from "../shelf/useWide";
import { askWords, readFound, type Found } from "./model";
import { Mark } from "../../kit/Mark";
import { Form } from "../../kit/form";
import * as say from "../../words/count";

interface Props {
  row: ExpectedStack;
  count: Count;
  onAnswer: (found: Found) => void;
  onStep: (by: 1 | -1) => void;
  onJump: (id: number) => void;
}

const LEVELS = ["plenty", "half", "low", "out"];
const QUARTERS: [number, string][] = [
  [4, "full"],
  [3, "¾"],
  [2, "½"],
  [1, "¼"],
];

/** A scan while counting leads to the stack it belongs to, if that stands here. */
async function scanned(text: string, count: Count): Promise<number | string> {
  const result = await post<Scanned>("/api/scan", { text });
  const ids = result.stack ? [result.stack.id] : result.stacks.map((stack) => stack.id);
  const here = count.expected.filter((row) => ids.includes(row.stack.id));
  const next = here.find((row) => row.line === null) ?? here[0];
  return next ? next.stack.id : result.words || say.notOnList(result.food?.name ?? say.that);
}

/** Nobody answered: that is said, and the scan stays in the box. */
function said(error: unknown): Problem {
  if (error instanceof Problem) return error;
  throw error;
}

/** The stack in hand, in big type: type a number and press Enter, or touch. */
export function CurrentStack({ row, count, onAnswer, onStep, onJump }: Props) {
  const [text, setText] = useState("");
  const [nudge, setNudge] = useState("");
  const wide = useWide();
  const submit = async () => {
    if (/^[\d()\]A-Za-z/:.]{8,}$/.test(text.trim())) {
      const found = await scanned(text.trim(), count).catch((error: unknown) => said(error));
      setText(found instanceof Problem ? text : "");
      if (found instanceof Problem) return setNudge(found.message);
      return typeof found === "number" ? onJump(found) : setNudge(found);
    }
    const found = readFound(text, row);
    if (!found) return setNudge(say.cannotBeRead(askWords(row)));
    onAnswer(found);
  };
  const press = (event: KeyboardEvent) => {
    if (event.key !== "ArrowDown" && event.key !== "ArrowUp") return;
    event.preventDefault();
    onStep(event.key === "ArrowDown" ? 1 : -1);
  };
  return (
    <section aria-label={say.stackInHand} className="board p-4 grid gap-3">
      <div>
        <p className="text-soft text-small">
          {row.place}
          {row.stack.group ? `, ${row.stack.group}` : ""}
        </p>
        <h2 className="!text-big leading-tight">
          <Mark kind={row.stack.mark} className="mr-2" />
          {row.stack.name}
        </h2>
        <p className="flex items-center gap-2 mt-1" data-state={row.stack.state}>
          <span className="tab-day">{dayTab(row.stack)}</span>
          <span className="text-soft">{say.expected}</span>
          <b className="font-head text-big">
            {row.stack.level ? (
              <span className="inline-flex items-center gap-2">
                {row.stack.level} <Notches level={row.stack.level} />
              </span>
            ) : (
              row.stack.amount
            )}
          </b>
        </p>
        {row.line && (
          <p className="text-pea font-semibold">
            {say.saidSo} {row.line.words} ({row.line.person})
          </p>
        )}
      </div>
      <Button
        look="main"
        className="wide:hidden !min-h-[64px] !text-lead"
        onClick={() =>
          onAnswer(row.stack.level ? { found: "level", level: row.stack.level } : { found: "as_expected" })
        }
      >
        {say.asExpected}
      </Button>
      <Touch row={row} onAnswer={onAnswer} />
      <Form onSave={submit} className="flex gap-2 items-end">
        <label className="grid gap-1 grow">
          <span className="text-soft text-small">
            {askWords(row)}
            <span className="phone:hidden">{say.enterAloneMeans}</span>
          </span>
          <input
            data-count-box
            autoFocus={wide}
            className="field !text-big !min-h-[52px] !border-2 !border-rim"
            value={text}
            inputMode={row.stack.level ? "text" : "decimal"}
            autoComplete="off"
            enterKeyHint="next"
            aria-label={`${row.stack.name}: ${askWords(row)}`}
            onChange={(event) => {
              setText(event.target.value);
              setNudge("");
            }}
            onKeyDown={press}
          />
        </label>
        <Button type="submit" look={wide ? "main" : "quiet"} className="!min-h-[52px]">
          {text.trim() === "" && wide ? say.asExpected : say.next}
        </Button>
      </Form>
      {nudge && (
        <p role="status" className="text-beet font-semibold">
          {nudge}
        </p>
      )}
    </section>
  );
}

function Touch({ row, onAnswer }: { row: ExpectedStack; onAnswer: (found: Found) => void }) {
  if (row.stack.level) {
    return (
      <div role="group" aria-label={say.level} className="grid grid-cols-4 gap-2">
        {LEVELS.map((level) => (
          <Button key={level} className="!min-h-[52px]" onClick={() => onAnswer({ found: "level", level })}>
            {level}
          </Button>
        ))}
      </div>
    );
  }
  if (row.stack.open) return <OpenTouch row={row} onAnswer={onAnswer} />;
  const packs = row.packs ?? 0;
  const near = [...new Set([packs - 2, packs - 1, packs + 1].filter((number) => number > 0))];
  return (
    <div role="group" aria-label={say.howManyField} className="grid grid-cols-4 gap-2">
      <Button className="!min-h-[52px] phone:!min-h-[60px]" look="grave" onClick={() => onAnswer({ found: "gone" })}>
        {say.gone}
      </Button>
      {near.map((number) => (
        <Button
          key={number}
          className="!min-h-[52px] phone:!min-h-[60px] !text-head"
          onClick={() => onAnswer({ found: "amount", packs: String(number) })}
        >
          {number}
        </Button>
      ))}
    </div>
  );
}

function OpenTouch({ row, onAnswer }: { row: ExpectedStack; onAnswer: (found: Found) => void }) {
  const [weighing, setWeighing] = useState("");
  const weigh = async () => {
    const weight = await get<Weight>(
      `/api/scale${row.container_id === null ? "" : `?container_id=${row.container_id}`}`,
    );
    if (weight.net_g === null) return setWeighing(say.nothingLiesOn);
    if (!weight.steady) return setWeighing(say.scaleHasNot);
    onAnswer({ found: "amount", amount: weight.net_g });
  };
  return (
    <div role="group" aria-label={say.howFull} className="grid grid-cols-3 gap-2">
      {row.quarters &&
        QUARTERS.map(([quarters, words]) => (
          <Button
            key={words}
            className="!min-h-[52px] !text-lead"
            onClick={() => onAnswer({ found: "amount", quarters })}
          >
            {words}
          </Button>
        ))}
      <Button look="grave" className="!min-h-[52px]" onClick={() => onAnswer({ found: "gone" })}>
        {say.gone}
      </Button>
      {row.stack.unit === "g" && (
        <Button className="!min-h-[52px]" onClick={() => weigh()}>
          {say.byTheScale}
        </Button>
      )}
      {weighing && (
        <p role="status" className="col-span-3 text-beet font-semibold">
          {weighing}
        </p>
      )}
    </div>
  );
}
