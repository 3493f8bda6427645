import { useQuery } from "@tanstack/react-query";
import { useEffect, useState, type ReactNode } from "react";
import { preparedQuery } from "../../api/queries";
import type { PreparedForOutage } from "../../api/types";
import { dayNow } from "../../api/envelope";
import { letters } from "../../api/outbox";
import { useActs } from "../../app/acts";
import { useKept } from "../../app/useKept";
import { FirstOf } from "../../kit/Fold";
import { Board, Button } from "../../kit/kit";
import { Mark } from "../../kit/Mark";
import { Loaded } from "../../kit/state";
import * as say from "../../words/outage";
import { begunOf, hoursOf, inOrder, judged, type Begun } from "./dark";
import { Thermometers } from "./Thermometers";

const MINUTE = 60000;
const MOST = 14;

/** The time, told anew each minute. */
function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), MINUTE);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** A power cut while nothing answers: what the house prepared, counted on by this phone. */
export function DarkView({ begin }: { begin: ReactNode }) {
  const query = useQuery(preparedQuery);
  const waiting = useKept(letters);
  return (
    <Loaded query={query} what={say.asking}>
      {(prepared) => {
        const cut = begunOf(prepared.outage, waiting);
        return cut ? <Dark prepared={prepared} cut={cut} /> : begin;
      }}
    </Loaded>
  );
}

function Dark({ prepared, cut }: { prepared: PreparedForOutage; cut: Begun }) {
  const now = useNow();
  const today = dayNow();
  const { act } = useActs();
  const change = (body: object, words: string) => act("/api/outages/current/change", body, words);
  const lasts = prepared.freezer.find((one) => one.percent <= cut.freezer_percent)?.hours ?? "0";
  return (
    <div className="grid gap-4 wide:grid-cols-2 items-start mt-2">
      <div className="grid gap-4">
        <Board tone="beet" note={say.fromMemory}>
          <p className="text-[28px] leading-tight font-semibold">{say.dark(hoursOf(cut, now).toFixed(1))}</p>
          <p>{say.lasts(prepared.fridge_hours, lasts)}</p>
          {!cut.ended_at && (
            <>
              <p className="mt-1">{say.shut}</p>
              <Button
                look="main"
                className="mt-2"
                onClick={() => change({ ended_at: new Date().toISOString() }, say.back)}
              >
                {say.back}
              </Button>
            </>
          )}
          <p className="text-soft text-small mt-2">{say.authority}</p>
        </Board>
        {!cut.ended_at && (
          <Thermometers
            onRead={(where, name, c) =>
              change({ reading: { where, c, at: new Date().toISOString() } }, say.readAs(name, c))
            }
          />
        )}
      </div>
      {cut.ended_at ? (
        <Board title={say.over} note={say.overNote}>
          <ul className="mt-1">
            {judged(prepared, cut, now, today).map(({ stack, verdict, rule }) => (
              <Row
                key={stack.lot_id}
                stack={stack}
                below={[stack.place, verdict ? say.RULES[rule] : say.needsReading]}
                grave={verdict === "throw" || verdict === null}
                end={verdict ? (say.VERDICTS[verdict] ?? verdict) : say.inDoubt}
              />
            ))}
          </ul>
        </Board>
      ) : (
        <Board title={say.eatFirst}>
          <ul className="mt-1">
            <FirstOf list={inOrder(prepared, cut, today)} most={MOST} what="">
              {({ stack, by_hour }) => (
                <Row
                  key={stack.lot_id}
                  stack={stack}
                  below={[stack.place, stack.perishable ? say.spoils : ""]}
                  end={say.byHour(by_hour)}
                />
              )}
            </FirstOf>
          </ul>
        </Board>
      )}
    </div>
  );
}

interface RowProps {
  stack: PreparedForOutage["stacks"][number];
  below: (string | undefined)[];
  end: string;
  grave?: boolean;
}

function Row({ stack, below, end, grave = false }: RowProps) {
  return (
    <li className="flex gap-3 border-t border-zinc2 py-1.5">
      <Mark kind={stack.mark} className="size-6 shrink-0" />
      <span className="grow min-w-0">
        <b>{stack.name}</b> {stack.amount}
        <span className="block text-soft text-small">{below.filter(Boolean).join(" · ")}</span>
      </span>
      <span className={`shrink-0 max-w-[16ch] text-right ${grave ? "text-beet font-semibold" : ""}`}>{end}</span>
    </li>
  );
}
