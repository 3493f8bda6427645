import { useEffect, useState } from "react";
import { post, Problem } from "../api/client";
import type { Draft } from "../api/types";

export interface Preview {
  draft: Draft | null;
  /** The text the draft was read from; the draft is stale while it differs from what is typed. */
  read: string;
  away: boolean;
  /** Why it could not be read, in plain words. */
  trouble?: string;
}

const PAUSE = 120;
const NONE: Preview = { draft: null, read: "", away: false };

/** @param filling the place that things were put into just now */
export async function readLine(text: string, filling?: number): Promise<Preview> {
  try {
    return {
      draft: await post<Draft>("/api/label-line", { text, ...(filling ? { filling_place_id: filling } : {}) }),
      read: text,
      away: false,
    };
  } catch (error) {
    if (error instanceof Problem)
      return { draft: null, read: text, away: error.away, trouble: error.words };
    throw error;
  }
}

/** What was understood of the line so far, read again a moment after each change. */
export function usePreview(text: string, filling?: number): Preview {
  const [preview, setPreview] = useState<Preview>(NONE);
  useEffect(() => {
    if (text.trim() === "") return;
    let stale = false;
    const timer = setTimeout(async () => {
      const next = await readLine(text, filling);
      if (!stale) setPreview(next);
    }, PAUSE);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [text, filling]);
  return text.trim() === "" ? NONE : preview;
}
