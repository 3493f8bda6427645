import { Suspense, useState } from "react";
import { useGo } from "../app/address";
import { lazily } from "../kit/lazily";
import { readScan } from "../scan/readScan";
import type { BackInLine } from "./aside";

const LearnCode = lazily(
  () => import("../app/aside"),
  (module) => module.LearnCode,
  true,
);

/** A scanner that types: a stack's label leads to the stack, an unknown code asks once what it is. */
export function useScanned() {
  const go = useGo();
  const [unknown, setUnknown] = useState<string | null>(null);
  const take = async (text: string): Promise<boolean> => {
    const known = await readScan(text).catch(() => null);
    if (known?.unknown) setUnknown(known.unknown);
    if (known?.stack) void go(`/shelf?stack=${known.stack}`);
    return Boolean(known?.unknown ?? known?.stack);
  };
  return { unknown, take, close: () => setUnknown(null) };
}

/** A code nobody knows yet: once it is learnt, or left, it stands in the line again. */
export function Learn({ scan, swap }: { scan: ReturnType<typeof useScanned>; swap: (back: BackInLine) => void }) {
  const code = scan.unknown;
  if (!code) return null;
  const leave = () => {
    swap({ text: code });
    scan.close();
  };
  return (
    <Suspense fallback={null}>
      <LearnCode code={code} onClose={leave} onLearnt={() => swap({ text: code })} />
    </Suspense>
  );
}
