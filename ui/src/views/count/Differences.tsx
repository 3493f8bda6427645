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
import { plural } from "../../kit/words";
import { isLineOf, progress } from "./model";

const REASONS: Record<string, string> = { eaten: "was eaten", binned: "was thrown away", given_away: "was given away", lost: "nobody knows", found: "was not noted" };

interface Answers {
  reasons: Record<string, string>;
  moves: Record<string, number>;
}

/** What the count found different, in quantity and money; a reason is asked only where it matters. */
export function Differences({ count, onBack }: { count: Count; onBack: () => void }) {
  const { away } = useActs();
  const under = useKept(letters).filter((letter) => letter.state === "pending" && isLineOf(count.id, letter.path)).length;
  return under > 0 ? <Writing lines={under} away={away} onBack={onBack} /> : <Compared count={count} onBack={onBack} />;
}

/** What was said last is still under way: a comparison without it would finish the count without it. */
function Writing({ lines, away, onBack }: { lines: number; away: boolean; onBack: () => void }) {
  return (
    <div className="board p-6 max-w-[980px]" role="status">
      <h2>{away ? "The house is not answering" : "Writing down what you said last"}</h2>
      <p className="text-soft my-2">{plural(lines, "answer")} {lines === 1 ? "is" : "are"} still under way{away ? ` and kept here; the comparison comes when ${lines === 1 ? "it has" : "they have"} arrived` : ""}.</p>
      <Button onClick={onBack}>Back to counting</Button>
    </div>
  );
}

function Compared({ count, onBack }: { count: Count; onBack: () => void }) {
  const query = useQuery(differencesQuery(count.id));
  return <Loaded query={query} what="Comparing">{(list) => <Table key={list.map((one) => one.line_id).join()} count={count} list={list} onBack={onBack} />}</Loaded>;
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
    const finished = await act(`/api/counts/${count.id}/finish`, answers, `finish ${count.place}`);
    if (!finished) return;
    // The list of places is read anew first: it sorts itself, and no button may move away under a thumb.
    await client.fetchQuery({ ...countsQuery, staleTime: 0 }).catch(() => undefined);
    void go("/count");
  };
  return (
    <div className="max-w-[980px]">
      <h1>{count.place}: {list.length === 0 ? "all as expected" : plural(list.length, "difference")}</h1>
      <p className="text-soft mt-1">{done} of {of} were counted{less > 0 ? <>; <b className="text-ink">{money(less)}</b> less than noted</> : ""}.{done < of ? ` ${of - done} nobody spoke of stay as they are, and the place does not count as counted.` : ""}</p>
      <ul className="grid gap-2 my-4">
        {list.map((one) => <Row key={one.line_id} one={one} answers={answers} set={setAnswers} />)}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Button look="main" onClick={() => finish()}>Finish: make the stock so</Button>
        <Button onClick={onBack}>Back to counting</Button>
      </div>
      <p className="text-soft text-small mt-3">One act: it can be undone as a whole, and the history of each stack says what changed.</p>
    </div>
  );
}

function Row({ one, answers, set }: { one: Difference; answers: Answers; set: (answers: Answers) => void }) {
  const money = useMoney();
  const key = String(one.line_id);
  const [asking, setAsking] = useState(false);
  const move = (lot: number | null) => set({ ...answers, moves: lot === null ? Object.fromEntries(Object.entries(answers.moves).filter(([line]) => line !== key)) : { ...answers.moves, [key]: lot } });
  return (
    <li className={`board p-3 grid gap-x-4 gap-y-1 wide:grid-cols-[minmax(0,1fr)_auto_auto] items-center ${one.ask ? "!border-t-mustard" : ""}`}>
      <div className="min-w-0"><b>{one.name}</b> <span className="text-soft">{one.place}</span><div className="text-soft text-small">expected {one.expected}, found {one.found}</div></div>
      <div className={`font-head text-head whitespace-nowrap ${one.less ? "text-beet" : "text-pea"}`}>{one.delta} <span className="text-soft text-small font-body">{money(one.value_minor)}</span></div>
      {one.less && !one.ask && !asking && <span className="text-soft text-small">most likely it {REASONS[answers.reasons[key] ?? one.likely]} <Button look="plain" aria-label={`Another reason for ${one.name}`} onClick={() => setAsking(true)}>change</Button></span>}
      {one.less && (one.ask || asking) && (
        <label className="flex items-center gap-2"><span className="text-soft">it</span>
          <select className="field !w-auto" aria-label={`What became of ${one.name}`} value={answers.reasons[key] ?? one.likely} onChange={(event) => set({ ...answers, reasons: { ...answers.reasons, [key]: event.target.value } })}>
            {one.reasons.map((reason) => <option key={reason} value={reason}>{REASONS[reason] ?? reason}</option>)}
          </select>
        </label>
      )}
      {one.candidates.length > 0 && (
        <label className="flex items-center gap-2 wide:col-span-3"><span className="text-soft">it was</span>
          <select className="field !w-auto max-w-full" aria-label={`Where ${one.name} came from`} value={answers.moves[key] ?? ""} onChange={(event) => move(event.target.value === "" ? null : Number(event.target.value))}>
            <option value="">never noted: a new stack</option>
            {one.candidates.map((candidate) => <option key={candidate.lot_id} value={candidate.lot_id}>{candidate.words}</option>)}
          </select>
        </label>
      )}
    </li>
  );
}
