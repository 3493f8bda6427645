import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { createContext, use, useCallback, useEffect, useMemo, useState, type ReactNode } from "react";
import { get, Problem } from "../api/client";
import * as outbox from "../api/outbox";
import { taken } from "../api/patch";
import { actsQuery, sessionQuery } from "../api/queries";
import type { ActRow as Past, Done, Session } from "../api/types";
import { Asks, deliver, settle } from "./deliver";
import { useAway } from "./useAway";
import { useKept } from "./useKept";
import * as say from "../words/app";

export interface Report {
  text: string;
  /** The same was done so many times in a row. */
  times?: number;
  actId?: number;
  problem?: Problem;
  /** What of it could not be done any more. */
  unsettled?: string[];
  /** What was refused for the sake of a floor, to be sent again with a reason. */
  letter?: outbox.Letter;
  /** That was the last of it. */
  last?: Done["last"];
}

type Sent = <T = Done>(path: string, body: unknown, words: string, more?: outbox.More) => Promise<T | null>;

interface Acts {
  /** Does something: sends it, reports it with its undo, keeps it while nobody answers. Each call is one intent. */
  act: Sent;
  /** The same for what changes no stock (a line of a count): not reported, and only its own view is read again. */
  note: Sent;
  /** Keeps a raw line until it can be read. */
  later: (line: string, more: outbox.More) => void;
  /** Sends one that waits, or one that was refused, once more. */
  again: (entry: outbox.Letter) => Promise<Done | null>;
  undo: (actId: number) => Promise<void>;
  /** Takes back one's own last act: what is still on its way is waited for, and the house says which that was. */
  undoLast: () => Promise<void>;
  tell: (report: Report | null) => void;
  away: boolean;
}

// What is done stands still; what is reported changes with every act and is drawn by the bar alone.
const Doing = createContext<Acts | null>(null);
const Said = createContext<Report | null>(null);
const RETRY = 2500;
/** Letters this page is sending right now, each with what ends when it is answered. */
const sending = new Map<string, Promise<unknown>>();

export function useActs(): Acts {
  const acts = use(Doing);
  if (!acts) throw new Error("useActs needs ActsProvider");
  return acts;
}

export function useReport(): Report | null {
  return use(Said);
}

/** The same thing said again counts up, so that two quick presses are seen to be two. */
function repeated(before: Report | null, next: Report | null): Report | null {
  if (!before || !next || next.problem || before.problem || before.text !== next.text) return next;
  return { ...next, times: (before.times ?? 1) + 1 };
}

/** What changes no stock is read again where it is seen. */
function quietly(client: QueryClient, path: string): void {
  const seen = path.startsWith("/api/counts") ? ["count"] : ["list", "bought"];
  for (const view of seen) void client.invalidateQueries({ queryKey: ["house", view] });
}

type Send = (entry: outbox.Letter) => Promise<Done | null>;

/** What views are given to do things with. */
function actsOf(
  send: Send,
  lately: () => Promise<Past[]>,
  setAway: (away: boolean) => void,
  tell: Acts["tell"],
  away: boolean,
): Acts {
  const sent = async <T,>(path: string, body: unknown, words: string, more: outbox.More) => {
    const entry = outbox.letter(path, body, words, more);
    outbox.store(entry);
    return (await send(entry)) as T | null;
  };
  const act: Sent = (path, body, words, more = {}) => sent(path, body, words, more);
  const undo = async (actId: number) => void (await act(`/api/acts/${actId}/undo`, {}, say.undo));
  return {
    act,
    note: (path, body, words, more = {}) => sent(path, body, words, { ...more, quiet: true }),
    later: (line, more) => {
      setAway(true);
      outbox.store({ ...outbox.letter("/api/stacks", null, line, { ...more, line }), held: true });
    },
    again: async (entry) => {
      const fresh = entry.state === "refused" ? outbox.anew(entry) : entry;
      outbox.store(fresh);
      if (fresh.key !== entry.key) outbox.drop(entry.key);
      return send(fresh);
    },
    undo,
    undoLast: async () => {
      await Promise.all(sending.values());
      const last = (await lately().catch(() => [])).find((one) => one.undoable && one.mine);
      if (last) await undo(last.id);
    },
    tell,
    away,
  };
}

export function ActsProvider({ children }: { children: ReactNode }) {
  const client = useQueryClient();
  const [report, setReport] = useState<Report | null>(null);
  const [away, setAway] = useState(false);
  useAway(setAway);
  const tell = useCallback((next: Report | null) => setReport((before) => repeated(before, next)), []);

  const failed = useCallback(
    async (problem: Problem, entry: outbox.Letter) => {
      if (problem.away) setAway(true);
      // A page that slept too long only needs a new token, and whoever is signed out a door.
      if (["csrf", "signed_out"].includes(problem.document.code))
        await client.fetchQuery({ ...sessionQuery, staleTime: 0 }).catch(() => undefined);
      if (settle(entry, problem) !== "waits")
        tell({ text: problem.message, problem, letter: problem.document.code === "below_floor" ? entry : undefined });
      else if (problem.document.code === "too_many") tell({ text: say.sentInMoment(problem.message) });
    },
    [client, tell],
  );

  const post = useCallback(
    async (entry: outbox.Letter): Promise<Done | null> => {
      try {
        const done = await deliver(entry);
        outbox.drop(entry.key);
        setAway(false);
        if (!entry.quiet && done.summary)
          tell({ text: done.summary, actId: done.act_id, unsettled: done.unsettled, last: done.last });
        if (entry.quiet) quietly(client, entry.path);
        else taken(client, done);
        return done;
      } catch (error) {
        if (error instanceof Asks) tell({ text: say.needsAnswerBefore(error.message) });
        else if (error instanceof Problem) await failed(error, entry);
        else throw error;
        return null;
      }
    },
    [client, tell, failed],
  );
  const send = useCallback<Send>(
    (entry) => {
      if (sending.has(entry.key)) return Promise.resolve(null);
      const sent = post(entry).finally(() => sending.delete(entry.key));
      sending.set(entry.key, sent);
      return sent;
    },
    [post],
  );

  useRetry(send);
  const acts = useMemo(
    () => actsOf(send, () => client.fetchQuery({ ...actsQuery, staleTime: 0 }), setAway, tell, away),
    [send, client, tell, away],
  );
  return (
    <Doing value={acts}>
      <Said value={report}>{children}</Said>
    </Doing>
  );
}

/** Tries what waits again, oldest first, until the house answers. Letters of an earlier visit are tried at once. */
function useRetry(send: Send): void {
  const pending = useKept(outbox.letters).some((entry) => entry.state === "pending");
  useEffect(() => {
    if (!pending) return;
    let busy = false;
    const timer = setInterval(async () => {
      if (busy) return;
      busy = true;
      const session = await get<Session>("/api/session").catch(() => null);
      for (const entry of session?.signed_in ? outbox.waiting() : []) {
        if (entry.state !== "pending") continue;
        await send({ ...entry, held: true });
        // What comes after one that still waits waits too.
        if (outbox.waiting().some((left) => left.key === entry.key && left.state === "pending")) break;
      }
      busy = false;
    }, RETRY);
    return () => clearInterval(timer);
  }, [pending, send]);
}
