import { useState } from "react";
import { useGo } from "../app/address";
import { Problem } from "../api/client";
import { useActs } from "../app/acts";
import { lineBack } from "../label-line/lineBack";
import { LearnCode } from "./LearnCode";
import { readScan } from "./readScan";
import { typeInto, useScanner } from "./useScanner";

/**
 * A scan anywhere: a stack's label opens the stack, a known pack waits in the label line, an unknown code is learnt.
 */
export function ScanCatcher() {
  const go = useGo();
  const { tell } = useActs();
  const [unknown, setUnknown] = useState<string | null>(null);
  const take = async (code: string) => {
    const field = document.querySelector<HTMLInputElement>("[data-unexpected], [data-count-box]");
    if (field) return typeInto(field, code);
    const known = await readScan(code).catch((error: unknown) => unread(code, error));
    if (!known) return;
    if (known.stack !== null) return void go(`/shelf?stack=${known.stack}`);
    if (known.unknown) return setUnknown(known.unknown);
    if (!known.draft) return tell({ text: known.words });
    void go("/shelf");
    requestAnimationFrame(() => lineBack({ text: code }));
  };
  /** Nobody could tell what the code is: it waits in the label line, and the reason is said. */
  const unread = (code: string, error: unknown): null => {
    if (!(error instanceof Problem)) throw error;
    tell({ text: error.message, problem: error });
    lineBack({ text: code });
    return null;
  };
  useScanner((code) => void take(code));
  return (
    <span data-scanner="" hidden>
      {unknown && <LearnCode code={unknown} onClose={() => setUnknown(null)} onLearnt={() => void take(unknown)} />}
    </span>
  );
}
