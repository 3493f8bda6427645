import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { lookBackQuery } from "../../api/queries";
import type { LookBack } from "../../api/types";
import { useInAddress } from "../../app/inAddress";
import { useSession } from "../../app/session";
import { Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { addDays } from "../../words/common";
import * as say from "../../words/lookBack";
import { Advice, Learnt } from "./Advice";
import { Behind, type Asked } from "./Behind";
import { monthFrom, Span } from "./Span";
import { AddsUp, RanOut, Total } from "./Sums";
import { Ways } from "./Ways";
import { Outcomes, Spending, Stock } from "./WeekCharts";

const MONTH = /^(?:19|20|21)\d\d-(?:0[1-9]|1[0-2])$/;

/** What became of the food, what it cost, and what ran out. */
export default function LookBackView() {
  const { today } = useSession();
  const [month, setMonth] = useInAddress("month", "", (text) => MONTH.test(text) && text <= today.slice(0, 7));
  const from = month === "" ? null : `${month}-01`;
  const to = month === "" ? null : addDays(`${monthFrom(month, 1)}-01`, -1);
  const query = useQuery({ ...lookBackQuery(from, to), placeholderData: keepPreviousData });
  return (
    <Loaded query={query} what={say.adding}>
      {(found) => (
        <>
          <div className="flex flex-wrap items-center gap-x-6 gap-y-2 mb-3">
            <h1>{say.title}</h1>
            <Span month={month} today={today} first={found.first} onMonth={setMonth} />
            <Link className="underline text-rim" to="/look-back/give-away">
              {say.giveAway}
            </Link>
          </div>
          {found.total.count === 0 ? <Empty title={say.nothing}>{say.nothingWhy}</Empty> : <Told found={found} />}
        </>
      )}
    </Loaded>
  );
}

function Told({ found }: { found: LookBack }) {
  const [asked, setAsked] = useState<Asked | null>(null);
  const { from, to } = found;
  const file = (way: string, name: string) => (
    <p className="text-right">
      <a className="underline text-rim" href={`/api/look-back/by/${way}/file?from=${from}&to=${to}`} download>
        {say.csvOf(name)}
      </a>
    </p>
  );
  const weeks = file("weeks", say.week.toLowerCase());
  return (
    <div className="grid gap-3 wide:grid-cols-2 items-start">
      <div className="wide:col-span-2 grid gap-1 phone:order-[-2]">
        <Total total={found.total} />
      </div>
      <div className="grid gap-3 phone:contents">
        <Outcomes weeks={found.weeks} file={weeks} onPick={(key, name) => setAsked({ way: "week", key, name })} />
        <Spending weeks={found.weeks} file={weeks} onPick={(key, name) => setAsked({ way: "spent", key, name })} />
        <Stock weeks={found.weeks} file={weeks} />
        <AddsUp balance={found.balance} />
      </div>
      <div className="grid gap-3 phone:contents">
        <Advice from={from} to={to} />
        <Ways from={from} to={to} file={file} onPick={(way, key, name) => setAsked({ way, key, name })} />
        <Learnt from={from} to={to} />
        <RanOut list={found.ran_out} />
      </div>
      {asked && <Behind asked={asked} from={from} to={to} onClose={() => setAsked(null)} />}
    </div>
  );
}
