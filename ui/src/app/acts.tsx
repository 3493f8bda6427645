import { useQueryClient } from "@tanstack/react-query";
import { createContext, use, useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { get, post, Problem } from "../api/client";
import * as outbox from "../api/outbox";
import { sessionQuery } from "../api/queries";
import { useKept } from "./useKept";
import type { Done, Draft } from "../api/types";
import { putAwayFrom } from "../label-line/model";
import { lineBack } from "../label-line/lineBack";

export interface Report {
  text: string;
  actId?: number;
  problem?: Problem;
}

interface Acts {
  /** Does something: sends it, reports it with its undo, keeps it while nobody answers. */
  act: <T = Done>(path: string, body: unknown, words: string, more?: Pick<outbox.Letter, "typed">) => Promise<T | null>;
  /** The same for what changes no stock (a line of a count): not reported, and only its own view is read again. */
  note: <T>(path: string, body: unknown, words: string) => Promise<T | null>;
  later: (line: string) => void;
  undo: (actId: number) => Promise<void>;
  report: Report | null;
  say: (report: Report | null) => void;
  pending: outbox.Letter[];
  away: boolean;
}

const Context = createContext<Acts | null>(null);
const RETRY = 2500;
const DOUBLE = 600;

export function useActs(): Acts {
  const acts = use(Context);
  if (!acts) throw new Error("useActs needs ActsProvider");
  return acts;
}

/** Sends one letter; a typed line is read first, and comes back to the hand when it is not clear. */
async function deliver(entry: outbox.Letter): Promise<Done> {
  if (entry.line === undefined) return post<Done>(entry.path, entry.body, entry.key);
  const draft = await post<Draft>("/api/label-line", { text: entry.line });
  const body = putAwayFrom(draft, {});
  if (!body) {
    outbox.drop(entry.key);
    lineBack({ text: entry.line });
    throw new Problem({ type: "about:blank", status: 422, code: "invalid", title: `“${entry.line}” needs an answer before it can be put away.`, remedy: "It is back in the label line.", errors: [] });
  }
  outbox.store({ key: entry.key, path: "/api/stacks", body, words: entry.words });
  return post<Done>("/api/stacks", body, entry.key);
}

export function ActsProvider({ children }: { children: ReactNode }) {
  const client = useQueryClient();
  const pending = useKept(outbox.letters);
  const [report, say] = useState<Report | null>(null);
  const [away, setAway] = useState(false);
  const sending = useRef(new Set<string>());
  const fresh = useRef<{ intent: string; at: number }>({ intent: "", at: 0 });
  useAway(setAway);

  const sendLetter = useCallback(
    async (entry: outbox.Letter): Promise<Done | null> => {
      if (sending.current.has(entry.key)) return null;
      sending.current.add(entry.key);
      try {
        const done = await deliver(entry);
        outbox.drop(entry.key);
        setAway(false);
        if (!entry.quiet && done.summary) say({ text: done.summary, actId: done.act_id });
        void client.invalidateQueries({ queryKey: entry.quiet ? ["house", "count"] : ["house"] });
        return done;
      } catch (error) {
        return failed(error, entry, { setAway, say, refresh: () => client.fetchQuery({ ...sessionQuery, staleTime: 0 }) });
      } finally {
        sending.current.delete(entry.key);
      }
    },
    [client],
  );

  useRetry(pending, sendLetter);
  const acts = useMemo<Acts>(() => {
    const send = async (path: string, body: unknown, words: string, more: Pick<outbox.Letter, "quiet" | "typed">) => {
      // A double click is one intent; a second touch a moment later is another.
      const intent = path + JSON.stringify(body);
      const now = performance.now();
      if (fresh.current.intent === intent && now - fresh.current.at < DOUBLE) return null;
      fresh.current = { intent, at: now };
      const entry = { ...outbox.letter(path, body, words), ...more };
      outbox.store(entry);
      return sendLetter(entry);
    };
    const act = async <T = Done,>(path: string, body: unknown, words: string, more: Pick<outbox.Letter, "typed"> = {}) => (await send(path, body, words, more)) as T | null;
    const note = async <T,>(path: string, body: unknown, words: string) => (await send(path, body, words, { quiet: true })) as T | null;
    const later = (line: string) => {
      setAway(true);
      outbox.store({ ...outbox.letter("/api/stacks", null, line), line });
    };
    const undo = async (actId: number) => void (await act(`/api/acts/${actId}/undo`, {}, "undo"));
    return { act, note, later, undo, report, say, pending, away };
  }, [sendLetter, report, pending, away]);
  return <Context value={acts}>{children}</Context>;
}

interface Failing {
  setAway: (away: boolean) => void;
  say: (report: Report) => void;
  refresh: () => Promise<unknown>;
}

async function failed(error: unknown, entry: outbox.Letter, { setAway, say, refresh }: Failing): Promise<null> {
  if (!(error instanceof Problem)) throw error;
  const code = error.document.code;
  // Only while nobody answers does a letter wait. What is answered, even by a fault of ours, would hold up all others.
  if (error.away) {
    setAway(true);
    return null;
  }
  // A page that slept too long only needs a new token; the letter stays and goes again.
  if (code === "csrf" || code === "signed_out") {
    await refresh().catch(() => undefined);
    if (code === "csrf") return null;
  }
  outbox.drop(entry.key);
  // What was typed comes back to the hand.
  const typed = entry.line ?? entry.typed;
  if (typed !== undefined) lineBack({ text: typed });
  say({ text: error.message, problem: error });
  return null;
}

/** Whether the house answers, as every read finds out by itself. */
function useAway(setAway: (away: boolean) => void): void {
  useEffect(() => {
    const gone = () => setAway(true);
    const back = () => setAway(false);
    window.addEventListener("house-away", gone);
    window.addEventListener("house-back", back);
    return () => {
      window.removeEventListener("house-away", gone);
      window.removeEventListener("house-back", back);
    };
  }, [setAway]);
}

/** Tries again, oldest first, until the house answers. Letters of an earlier visit are tried at once. */
function useRetry(pending: outbox.Letter[], sendLetter: (entry: outbox.Letter) => Promise<Done | null>): void {
  const first = pending[0];
  useEffect(() => {
    if (!first) return;
    const timer = setInterval(async () => {
      const alive = await get("/api/session").then(() => true, () => false);
      if (alive) await sendLetter(first);
    }, RETRY);
    return () => clearInterval(timer);
  }, [first, sendLetter]);
}
