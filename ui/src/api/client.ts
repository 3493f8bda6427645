import { AS_OF, asOf, isAway } from "./answers";
import { answering } from "./bell";
import type { Envelope } from "./envelope";
import { refusalWords } from "../words/refusals";
import type { ProblemDocument } from "./types";

/** A refusal by the server, in its own words, or a plain "away" when nothing answered. */
export class Problem extends Error {
  constructor(readonly document: ProblemDocument) {
    super(document.title);
  }

  /** What went wrong and how to mend it, as one text. */
  get words(): string {
    return `${this.message} ${this.document.remedy ?? ""}`.trim();
  }

  /** Nobody is there to answer now: what was sent waits. */
  get away(): boolean {
    return isAway(this.document.status);
  }

  /** It would be taken in another time: after a pause, or once this person is signed in again. */
  get later(): boolean {
    return this.away || ["csrf", "signed_out", "too_many"].includes(this.document.code);
  }
}

const AWAY: ProblemDocument = {
  type: "about:blank",
  status: 503,
  code: "database_away",
  title: "The house is not answering.",
  remedy: "What you typed is kept. It is sent as soon as it answers.",
  errors: [],
};

const FAULT: ProblemDocument = {
  type: "about:blank",
  status: 500,
  code: "server_error",
  title: "Something went wrong on our side.",
  remedy: "Try again. What you typed is still there.",
  errors: [],
};

/** Longer than the slowest list takes; then the line is dead. */
const PATIENCE = 60_000;

let csrf = "";
export function setCsrf(token: string): void {
  csrf = token;
}

/** What a write must carry that goes another way than `post`. */
export function csrfToken(): string {
  return csrf;
}

function isProblem(body: unknown): body is ProblemDocument {
  return typeof body === "object" && body !== null && "code" in body && "title" in body;
}

/** What a proxy or a dying server sends instead of an answer is no answer. */
function parsed(text: string): unknown {
  try {
    return text === "" ? {} : JSON.parse(text);
  } catch {
    return undefined;
  }
}

async function answer<T>(response: Response): Promise<T> {
  const body = parsed(await response.text());
  if (response.ok && body !== undefined) return body as T;
  if (isProblem(body)) throw new Problem(refusalWords(body));
  if (isAway(response.status)) throw new Problem({ ...AWAY, status: response.status });
  const said =
    typeof body === "object" && body !== null && "error" in body ? { title: String(body.error), remedy: null } : {};
  throw new Problem({ ...FAULT, status: response.ok ? 500 : response.status, ...said });
}

async function send<T>(path: string, init: RequestInit): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, { credentials: "same-origin", signal: AbortSignal.timeout(PATIENCE), ...init });
  } catch {
    throw new Problem(AWAY);
  }
  if (init.method === undefined) {
    const kept = response.headers.get(AS_OF);
    asOf.ring(kept);
    if (kept !== null || !isAway(response.status)) answering.ring(kept === null);
  }
  return answer<T>(response);
}

export async function get<T>(path: string): Promise<T> {
  return send<T>(path, { headers: { accept: "application/json" } });
}

/** A write. The key stands for one intent of the person and stays the same over every try. */
export async function post<T>(path: string, body: unknown, key?: string, envelope?: Envelope): Promise<T> {
  const headers: Record<string, string> = {
    "content-type": "application/json",
    accept: "application/json",
    "x-csrf-token": csrf,
  };
  if (key) headers["idempotency-key"] = key;
  if (envelope) {
    headers["act-device"] = envelope.device;
    headers["act-sequence"] = String(envelope.sequence);
    headers["act-on"] = envelope.on;
    if (envelope.held) headers["act-held"] = "yes";
  }
  return send<T>(path, { method: "POST", headers, body: JSON.stringify(body) });
}

export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(15));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, "0")).join("");
}
