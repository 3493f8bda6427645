import { useEffect } from "react";
import { Button } from "../kit/kit";
import type { Problem } from "../api/client";
import { useActs } from "./acts";

const SHOWN = 12_000;

/** What somebody else made of it meanwhile, so that nobody overwrites it unseen. */
function now(problem: Problem | undefined): [string, string][] {
  if (problem?.document.code !== "stale") return [];
  return Object.entries(problem.document.current ?? {}).filter(([, value]) => value !== null && value !== "").map(([name, value]) => [name, String(value)]);
}

/** Says what was done, with its undo, or what was refused and how to mend it. */
export function ReportBar({ raised }: { raised: boolean }) {
  const { report, say, undo } = useActs();
  useEffect(() => {
    if (!report || report.problem) return;
    const timer = setTimeout(() => say(null), SHOWN);
    return () => clearTimeout(timer);
  }, [report, say]);
  return (
    <div aria-live="polite" className={`no-print fixed z-30 left-1/2 -translate-x-1/2 w-max max-w-[min(720px,94vw)] ${raised ? "bottom-[66px] phone:bottom-[176px]" : "bottom-4 phone:bottom-[64px]"}`}>
      {report && (
        <div className={`flex items-center gap-3 rounded-xl px-4 py-2 shadow-lg ${report.problem ? "bg-board text-ink border-2 border-beet" : "bg-night text-(--on-night)"}`}>
          <span>
            {report.text}
            {report.problem?.document.remedy && <span className="block text-soft text-[13.5px]">{report.problem.document.remedy}</span>}
            {now(report.problem).map(([name, value]) => <span key={name} className="block text-soft text-[13.5px]">it says now: {name.replaceAll("_", " ")} {value}</span>)}
            {report.problem?.document.errors.map((fault) => <span key={fault.pointer + fault.detail} className="block text-soft text-[13.5px]">{fault.pointer}: {fault.detail}</span>)}
          </span>
          {report.actId !== undefined && <Button onClick={() => void undo(report.actId as number)}>Undo</Button>}
          <button type="button" className="px-2 min-h-[32px]" aria-label="Close this message" onClick={() => say(null)}>✕</button>
        </div>
      )}
    </div>
  );
}
