import { createContext, use } from "react";
import type { Session } from "../api/types";
import { moneyWords } from "../words/common";

export const SessionContext = createContext<Session | null>(null);

export function useSession(): Session {
  const session = use(SessionContext);
  if (!session) throw new Error("useSession needs a session");
  return session;
}

export function useMoney(): (minor: number) => string {
  const currency = useSession().household?.currency ?? "EUR";
  return (minor) => moneyWords(minor, currency);
}
