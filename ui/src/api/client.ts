import type { ProblemDocument } from "./types";

/** A refusal by the server, in its own words, or a plain "away" when nothing answered. */
export class Problem extends Error {
  constructor(readonly document: ProblemDocument) {
    super(document.title);
  }

  get away(): boolean {
    return this.document.status === 503;
  }
}

const AWAY: ProblemDocument = {
  type: "about:blank", status: 503, code: "database_away", title: "The house is not answering.", remedy: "What you typed is kept. It is sent as soon as it answers.", errors: [],
};

let csrf = "";
export function setCsrf(token: string): void {
  csrf = token;
}

async function answer<T>(response: Response): Promise<T> {
  const text = await response.text();
  const body: unknown = text === "" ? {} : JSON.parse(text);
  if (response.ok) return body as T;
  if (typeof body === "object" && body !== null && "code" in body) throw new Problem(body as ProblemDocument);
  const title = typeof body === "object" && body !== null && "error" in body ? String(body.error) : "Something went wrong.";
  throw new Problem({ ...AWAY, status: response.status, code: "server_error", title, remedy: null });
}

async function send(path: string, init: RequestInit): Promise<Response> {
  try {
    return await fetch(path, { credentials: "same-origin", ...init });
  } catch {
    throw new Problem(AWAY);
  }
}

export async function get<T>(path: string): Promise<T> {
  return answer<T>(await send(path, { headers: { accept: "application/json" } }));
}

/** A write. The key stands for one intent of the person and stays the same over every try. */
export async function post<T>(path: string, body: unknown, key?: string): Promise<T> {
  const headers: Record<string, string> = { "content-type": "application/json", accept: "application/json", "x-csrf-token": csrf };
  if (key) headers["idempotency-key"] = key;
  return answer<T>(await send(path, { method: "POST", headers, body: JSON.stringify(body) }));
}

export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(15));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, "0")).join("");
}
