import { Toast } from "radix-ui";
import { Form, Submit, Text } from "../kit/form";
import { Button } from "../kit/kit";
import { newKey, type Problem } from "../api/client";
import { useActs, useReport, type Report } from "./acts";
import { faultWords } from "../words/faults";
import * as say from "../words/app";

const SHOWN = 12_000;

/** What somebody else made of it meanwhile, so that nobody overwrites it unseen. */
function now(problem: Problem | undefined): [string, string][] {
  if (problem?.document.code !== "stale") return [];
  return Object.entries(problem.document.current ?? {})
    .filter(([, value]) => value !== null && value !== "")
    .map(([name, value]) => [name, String(value)]);
}

function More({ report }: { report: Report }) {
  const document = report.problem?.document;
  const lines = [
    ...(report.unsettled ?? []),
    ...(document?.remedy ? [document.remedy] : []),
    ...now(report.problem).map(([name, value]) => say.itSaysNow(name.replaceAll("_", " "), value)),
    ...(document?.errors ?? []).map(faultWords).filter((words) => words !== document?.title),
  ];
  return lines.map((line) => (
    <span key={line} className="block text-small opacity-85">
      {line}
    </span>
  ));
}

/** That was the last of it: one touch puts it on the list. */
function OnList({ last }: { last: NonNullable<Report["last"]> }) {
  const { note, tell } = useActs();
  const put = async () => {
    await note("/api/list", { ref: newKey(), food_id: last.food_id, last: true }, say.onList(last.food));
    tell({ text: say.onList(last.food) });
  };
  return (
    <Toast.Action altText={say.lastOnList} asChild>
      <Button onClick={put}>{say.lastOnList}</Button>
    </Toast.Action>
  );
}

/** It would leave less than a deep pantry must hold: whoever says why may do it all the same. */
function AllTheSame({ letter }: { letter: NonNullable<Report["letter"]> }) {
  const { act, tell } = useActs();
  const again = (form: FormData) => {
    tell(null);
    return act(letter.path, { ...(letter.body as object), despite: String(form.get("despite")) }, letter.words);
  };
  return (
    <Form onSave={again} label={say.allTheSame} className="flex flex-wrap gap-2 items-end">
      <Text label={say.because} name="despite" required maxLength={200} />
      <Submit>{say.allTheSame}</Submit>
    </Form>
  );
}

/** Says what was done, with its undo, or what was refused and how to mend it. */
export function ReportBar({ raised }: { raised: boolean }) {
  const { tell, undo } = useActs();
  const report = useReport();
  return (
    <Toast.Provider duration={SHOWN} swipeDirection="down" label={say.report}>
      {report && (
        <Toast.Root
          key={`${report.text} ${report.times ?? 1} ${report.actId ?? ""}`}
          open
          onOpenChange={(open) => !open && tell(null)}
          duration={report.problem ? Infinity : SHOWN}
          className={`report ${report.problem ? "report-refused" : ""}`}
        >
          <Toast.Description className="grow">
            {report.text}
            {report.times && (
              <b>
                {" "}
                ({report.times} {say.times}
              </b>
            )}
            <More report={report} />
          </Toast.Description>
          {report.letter && <AllTheSame letter={report.letter} />}
          {report.last && <OnList last={report.last} />}
          {report.actId !== undefined && (
            <Toast.Action altText={say.undoInList} asChild>
              <Button onClick={() => undo(report.actId as number)}>{say.undo}</Button>
            </Toast.Action>
          )}
          <Toast.Close
            className="px-2 min-h-[32px] phone:min-h-[44px] phone:min-w-[44px]"
            aria-label={say.closeThisMessage}
          >
            ✕
          </Toast.Close>
        </Toast.Root>
      )}
      <Toast.Viewport className={`no-print report-place ${raised ? "report-raised" : ""}`} />
    </Toast.Provider>
  );
}
