import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { seasonQuery } from "../../api/bench";
import type { SeasonLine as Line, SeasonPage } from "../../api/types";
import { Board, Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { Loaded } from "../../kit/state";
import * as say from "../../words/season";
import { BenchTabs } from "./BenchTabs";
import { SeasonForm } from "./SeasonForm";
import { SeasonLine } from "./SeasonLine";

/** Jars and dried stores from one harvest to the next: what lasts, what is short, what is to be made. */
export default function SeasonBench() {
  const page = useQuery(seasonQuery);
  return (
    <>
      <BenchTabs title={say.season} about={say.about} />
      <Loaded query={page} what={say.fetching}>
        {(data) => <Page page={data} />}
      </Loaded>
    </>
  );
}

function Page({ page }: { page: SeasonPage }) {
  const [changed, setChanged] = useState<Line | null>(null);
  return (
    <div className="grid grid-cols-[1fr_340px] phone:grid-cols-1 gap-4 items-start">
      <div className="grid gap-4">
        {page.lines.length === 0 && (
          <div className="board p-6">
            <h2>{say.none}</h2>
            <p className="text-soft my-2">{say.noneNote}</p>
          </div>
        )}
        {page.lines.map((line) => (
          <SeasonLine key={line.id} line={line} onChange={() => setChanged(line)} />
        ))}
      </div>
      <div className="grid gap-4">
        <Board title={say.add}>
          <SeasonForm page={page} />
        </Board>
        <Owned page={page} />
      </div>
      <Sheet open={changed !== null} onClose={() => setChanged(null)} title={say.change(changed?.name ?? "")}>
        {changed && <SeasonForm page={page} line={changed} onDone={() => setChanged(null)} />}
      </Sheet>
    </div>
  );
}

/** The jars of the house: a plan fills what is empty of them. */
function Owned({ page }: { page: SeasonPage }) {
  const [all, setAll] = useState(false);
  const known = page.owned.filter((one) => one.owned > 0);
  const shown = all ? known : known.slice(0, 6);
  return (
    <Board title={say.owned}>
      <ul className="mt-2">
        {shown.map((one) => (
          <li key={one.ml}>{say.ownedLine(one.ml, one.owned, one.in_use)}</li>
        ))}
      </ul>
      {shown.length < known.length && <Button onClick={() => setAll(true)}>{say.allSizes}</Button>}
      <Link className="text-rim font-semibold" to="/jars">
        {say.jarsWhere}
      </Link>
    </Board>
  );
}
