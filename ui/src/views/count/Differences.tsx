import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useGo } from "../../app/address";
import { countsQuery, differencesQuery } from "../../api/queries";
import type { Count, Difference } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney } from "../../app/session";
import { Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { letters } from "../../api/outbox";
import { useKept } from "../../app/useKept";
import { isLineOf, progress } from "./model";
import { css } from "../../kit/css";
import { Select } from "../../kit/choices";
import * as say from "../../words/count";

const REASONS: Record<string, string> = {
  eaten: say.wasEaten,
  binned: say.wasThrownAway,
  given_away: say.wasGivenAway,
  lost: say.nobodyKnows,
  found: say.wasNotNoted,
};

interface Answers {
  reasons: Record<string, string>;
  moves: Record<string, number>;
}

/** What the count found different, in quantity and money; a reason is asked only where it matters. */
export function Differences({ count, onBack }: { count: Count; onBack: () => void }) {
  const { away } = useActs();
  const under = useKept(letters).filter(
    (letter) => letter.state === "pending" && isLineOf(count.id, letter.path),
  ).length;
  return under > 0 ? <Writing lines={under} away={away} onBack={onBack} /> : <Compared count={count} onBack={onBack} />;
}

/** What was said last is still under way: a comparison without it would finish the count without it. */
function Writing({ lines, away, onBack }: { lines: number; away: boolean; onBack: () => void }) {
  return (
    <div className="board p-6 max-w-[980px]" role="status">
      <h2>{away ? say.houseNotAnswering : say.writingDownWhat}</h2>
      <p className="text-soft my-2">
        {say.countAnswers(lines)} {lines === 1 ? "is" : "are"} {say.stillUnderWay}
        {away ? say.keptHereComparison(lines === 1 ? say.itHas : say.theyHave) : ""}.
      </p>
      <Button onClick={onBack}>{say.backToCounting}</Button>
    </div>
  );
}

function Compared({ count, onBack }: { count: Count; onBack: () => void }) {
  const query = useQuery(differencesQuery(count.id));
  return (
    <Loaded query={query} what={say.comparing}>
      {(list) => <Table key={list.map((one) => one.line_id).join()} count={count} list={list} onBack={onBack} />}
    </Loaded>
  );
}

/** What is missing elsewhere was most likely carried here; that much is proposed. */
function proposed(list: Difference[]): Answers {
  const moves = list.flatMap((one) => {
    const first = one.candidates.find((candidate) => candidate.missing);
    return first ? [[String(one.line_id), first.lot_id] as const] : [];
  });
  return { reasons: {}, moves: Object.fromEntries(moves) };
}

function Table({ count, list, onBack }: { count: Count; list: Difference[]; onBack: () => void }) {
  const { act } = useActs();
  const go = useGo();
  const money = useMoney();
  const client = useQueryClient();
  const [answers, setAnswers] = useState<Answers>(() => proposed(list));
  const { done, of } = progress(count);
  const less = list.filter((one) => one.less).reduce((sum, one) => sum + one.value_minor, 0);
  const finish = async () => {
    const finished = await act(`/api/counts/${count.id}/finish`, answers, say.finish(count.place));
    if (!finished) return;
    // The list of places is read anew first: it sorts itself, and no button may move away under a thumb.
    await client.fetchQuery({ ...countsQuery, staleTime: 0 }).catch(() => undefined);
    void go("/count");
  };
  return (
    <div className="max-w-[980px]">
      <h1>
        {count.place}: {list.length === 0 ? say.allAsExpected : say.countDifferences(list.length)}
      </h1>
      <p className="text-soft mt-1">
        {done} {say.ofIt} {of} {say.wereCounted}
        {less > 0 ? (
          <>
            ; <b className="text-ink">{money(less)}</b> {say.lessThanNoted}
          </>
        ) : (
          ""
        )}
        .{done < of ? say.nobodySpokeStay(of - done) : ""}
      </p>
      <ul className="grid gap-2 my-4">
        {list.map((one) => (
          <Row key={one.line_id} one={one} answers={answers} set={setAnswers} />
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Button look="main" onClick={() => finish()}>
          {say.finishMakeStock}
        </Button>
        <Button onClick={onBack}>{say.backToCounting}</Button>
      </div>
      <p className="text-soft text-small mt-3">{say.oneActCan}</p>
    </div>
  );
}

function Row({ one, answers, set }: { one: Difference; answers: Answers; set: (answers: Answers) => void }) {
  const money = useMoney();
  const key = String(one.line_id);
  const [asking, setAsking] = useState(false);
  const move = (lot: number | null) =>
    set({
      ...answers,
      moves:
        lot === null
          ? Object.fromEntries(Object.entries(answers.moves).filter(([line]) => line !== key))
          : { ...answers.moves, [key]: lot },
    });
  return (
    <li
      className={css(
        "board p-3 grid gap-x-4 gap-y-1 wide:grid-cols-[minmax(0,1fr)_auto_auto] items-center",
        one.ask && "!border-t-mustard",
      )}
    >
      <div className="min-w-0">
        <b>{one.name}</b> <span className="text-soft">{one.place}</span>
        <div className="text-soft text-small">
          {say.expected} {one.expected}
          {say.found} {one.found}
        </div>
      </div>
      <div className={`font-head text-head whitespace-nowrap ${one.less ? "text-beet" : "text-pea"}`}>
        {one.delta} <span className="text-soft text-small font-body">{money(one.value_minor)}</span>
      </div>
      {one.less && !one.ask && !asking && (
        <span className="text-soft text-small">
          {say.mostLikelyIt} {REASONS[answers.reasons[key] ?? one.likely]}{" "}
          <Button look="plain" aria-label={say.anotherReasonFor(one.name)} onClick={() => setAsking(true)}>
            {say.change}
          </Button>
        </span>
      )}
      {one.less && (one.ask || asking) && (
        <label className="flex items-center gap-2">
          <span className="text-soft">{say.it}</span>
          <Select
            label={say.whatBecameOf(one.name)}
            value={answers.reasons[key] ?? one.likely}
            onPick={(reason) => set({ ...answers, reasons: { ...answers.reasons, [key]: reason } })}
            options={one.reasons.map((reason) => [reason, REASONS[reason] ?? reason])}
          />
        </label>
      )}
      {one.candidates.length > 0 && (
        <label className="flex items-center gap-2 wide:col-span-3">
          <span className="text-soft">{say.itWas}</span>
          <Select
            className="!w-auto max-w-full"
            label={say.whereCameFrom(one.name)}
            value={String(answers.moves[key] ?? "")}
            onPick={(from) => move(from === "" ? null : Number(from))}
            none={say.neverNotedNew}
            options={one.candidates.map((candidate) => [String(candidate.lot_id), candidate.words])}
          />
        </label>
      )}
    </li>
  );
}
