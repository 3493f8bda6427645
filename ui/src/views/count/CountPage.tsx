import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "wouter";
import { useGo } from "../../app/address";
import { countQuery } from "../../api/queries";
import type { Count, ExpectedStack } from "../../api/types";
import { waiting } from "../../api/outbox";
import { useActs } from "../../app/acts";
import { Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { CurrentStack } from "./CurrentStack";
import { Differences } from "./Differences";
import { Sheetful } from "./Sheetful";
import { nextOpen, progress, stepFrom, type Found } from "./model";
import { Unexpected } from "./Unexpected";
import * as say from "../../words/count";

export default function CountPage() {
  const id = Number(useParams().id);
  const query = useQuery(countQuery(id));
  return (
    <Loaded query={query} what={say.fetchingTheCount}>
      {(count) => <Page key={count.id} count={count} />}
    </Loaded>
  );
}

function Page({ count }: { count: Count }) {
  const [finishing, setFinishing] = useState(false);
  if (count.status !== "open")
    return (
      <Empty title={say.thatCountIs(count.status === "finished" ? "finished" : say.thrownAway)}>
        <Link className="btn mt-3" to="/count">
          {say.toThePlaces}
        </Link>
      </Empty>
    );
  return finishing ? (
    <Differences count={count} onBack={() => setFinishing(false)} />
  ) : (
    <Counting count={count} onFinish={() => setFinishing(true)} />
  );
}

/** What was entered a moment ago and is still under way to the house. */
function useEntering(count: Count) {
  const { note } = useActs();
  const [said, setSaid] = useState<ReadonlySet<number>>(new Set());
  const enter = async (row: ExpectedStack, found: Found) => {
    setSaid((now) => new Set([...now, row.stack.id]));
    const path = `/api/counts/${count.id}/lines`;
    const done = await note(path, { lot_id: row.stack.id, ...found }, say.counted(row.stack.name));
    // What was refused was not said.
    if (!done && !waiting().some((letter) => letter.path === path && letter.state === "pending"))
      setSaid((now) => new Set([...now].filter((one) => one !== row.stack.id)));
  };
  const clear = async (row: ExpectedStack) => {
    if (!row.line) return;
    setSaid((now) => new Set([...now].filter((one) => one !== row.stack.id)));
    await note(`/api/counts/${count.id}/clear`, { line_id: row.line.id }, say.lineTakenBack);
  };
  return { said, enter, clear };
}

function Counting({ count, onFinish }: { count: Count; onFinish: () => void }) {
  const { said, enter, clear } = useEntering(count);
  const [at, setAt] = useState<number | null>(() => nextOpen(count, null));
  const [more, setMore] = useState(count.expected.length === 0);
  const row = count.expected.find((one) => one.stack.id === at) ?? null;
  const answer = (found: Found) => {
    if (!row) return;
    void enter(row, found);
    setAt(nextOpen(count, row.stack.id, new Set([...said, row.stack.id])));
  };
  return (
    <div className="grid gap-3 wide:grid-cols-[minmax(0,1fr)_minmax(0,1fr)] items-start">
      <div className="wide:sticky wide:top-3 grid gap-3">
        <Head count={count} said={said} onFinish={onFinish} />
        {row ? (
          <CurrentStack
            key={row.stack.id}
            row={row}
            count={count}
            onAnswer={answer}
            onStep={(by) => setAt(stepFrom(count, at, by))}
            onJump={setAt}
          />
        ) : (
          <AllSaid count={count} onFinish={onFinish} />
        )}
        {more ? (
          <Unexpected count={count} place={row?.stack.place_id ?? count.place_id} onClose={() => setMore(false)} />
        ) : (
          <Button onClick={() => setMore(true)}>{say.somethingNotOn}</Button>
        )}
      </div>
      <Sheetful count={count} at={at} said={said} onPick={setAt} onClear={(one) => void clear(one)} />
    </div>
  );
}

function Head({ count, said, onFinish }: { count: Count; said: ReadonlySet<number>; onFinish: () => void }) {
  const { act, note } = useActs();
  const go = useGo();
  const { done, of } = progress(count, said);
  const throwAway = async () => {
    if (await act(`/api/counts/${count.id}/throw`, {}, say.throwCountAway)) void go("/count");
  };
  return (
    <div>
      <div className="flex items-baseline gap-3 flex-wrap">
        <h1>{count.place}</h1>
        <span className="text-soft" role="status">
          {done} {say.ofIt} {of} {say.said}
          {count.unexpected.length > 0 ? say.moreFound(count.unexpected.length) : ""}
        </span>
      </div>
      <div className="h-[8px] rounded-full bg-zinc2 mt-2 overflow-hidden" aria-hidden="true">
        <div className="h-full bg-pea" style={{ width: `${of === 0 ? 0 : (done / of) * 100}%` }} />
      </div>
      <div className="flex flex-wrap gap-2 mt-3">
        <Button look="main" onClick={onFinish}>
          {say.finishNow}
        </Button>
        <Link className="btn" to="/count" title={say.whatYouSaid}>
          {say.pause}
        </Link>
        {done < of && (
          <Button onClick={() => note(`/api/counts/${count.id}/rest`, { found: "as_expected" }, say.restExpected)}>
            {say.restAsExpected}
          </Button>
        )}
        <Button look="plain" onClick={() => void throwAway()}>
          {say.throwThisCount}
        </Button>
      </div>
      {count.moved_away > 0 && (
        <p className="text-soft text-small mt-2">
          {say.countStacks(count.moved_away)} {say.youHadCounted}
        </p>
      )}
    </div>
  );
}

/** The hand goes on from here by keyboard, and no Enter too many finishes anything. */
function onward(element: HTMLElement | null): void {
  element?.focus({ preventScroll: true });
}

function AllSaid({ count, onFinish }: { count: Count; onFinish: () => void }) {
  return (
    <div className="board p-6 text-center outline-none" tabIndex={-1} ref={onward}>
      <h2>{count.expected.length === 0 ? say.nothingExpectedHere : say.wordWasSaid}</h2>
      <p className="text-soft my-2">{count.expected.length === 0 ? say.clearPlaceSort : say.thereAnythingNot}</p>
      {count.expected.length > 0 && (
        <Button look="main" onClick={onFinish}>
          {say.finishNow}
        </Button>
      )}
    </div>
  );
}
