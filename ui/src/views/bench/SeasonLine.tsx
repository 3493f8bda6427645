import type { SeasonLine as Line } from "../../api/types";
import { useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { Why } from "../../kit/Why";
import { dayWords } from "../../words/common";
import * as say from "../../words/season";

type Sums = NonNullable<Line["plan"]>;
type Jars = { ml: number; count: number }[];

/** One kind of jar or dried store: whether it lasts, what to make, and how far that is. */
export function SeasonLine({ line, onChange }: { line: Line; onChange: () => void }) {
  const { today } = useSession();
  const facts = [
    line.weekly ? say.aWeek(line.weekly) : "",
    line.there.startsWith("0 ") ? say.nothingThere : say.there(line.there),
    say.ripe(dayWords(line.harvest_on, today)),
    say.wayWord(line.get_by),
  ];
  return (
    <Board title={line.process === "drying" ? say.dried(line.name) : line.name}>
      <div className="flex items-start gap-x-3">
        <p className="text-soft grow">{facts.filter(Boolean).join("; ")}</p>
        <Button onClick={onChange} aria-label={say.change(line.name)}>
          {say.changeWord}
        </Button>
      </div>
      {line.note && <p className="text-soft text-small">{line.note}</p>}
      {line.over && <p className="text-beet font-semibold">{say.over}</p>}
      {!line.over && !line.plan && <p className="font-semibold">{say.noRate}</p>}
      {line.uncounted > 0 && <p className="text-soft text-small">{say.uncounted(line.uncounted)}</p>}
      {line.plan && <Year line={line} plan={line.plan} />}
    </Board>
  );
}

function Year({ line, plan }: { line: Line; plan: Sums }) {
  const { today } = useSession();
  const day = (text: string) => dayWords(text, today);
  const makes = !plan.to_make.startsWith("0 ");
  const begun = line.harvest_on <= today;
  return (
    <>
      {plan.hole_from && plan.short ? (
        <p className="text-beet font-semibold">{say.short(day(plan.hole_from), plan.short)}</p>
      ) : (
        !begun && <p className="font-semibold">{say.lasts(day(line.harvest_on))}</p>
      )}
      {plan.past.map((one) => (
        <p key={one.lot_id}>{say.past(one.amount, one.name, day(one.after))}</p>
      ))}
      {plan.past_after.map((one) => (
        <p key={one.lot_id}>{say.surplus(one.amount, day(one.after))}</p>
      ))}
      {makes ? <Make plan={plan} /> : <p>{say.enough}</p>}
      {plan.uncovered_days > 0 && <p className="text-soft">{say.uncovered(plan.uncovered_days)}</p>}
      <Target line={line} />
      <Why steps={plan.steps} />
    </>
  );
}

function Make({ plan }: { plan: Sums }) {
  const how = [
    say.produce(plan.produce, plan.food),
    plan.pots === null ? "" : say.pots(plan.pots),
    plan.loads === null || plan.load_days === null ? "" : say.loads(plan.loads, plan.load_days),
  ];
  return (
    <>
      <p>
        <span className="font-semibold">{say.make(plan.to_make)}</span>
        {plan.jars.length > 0 && ` ${say.inJars(list(plan.jars))}`}
        {": "}
        {how.filter(Boolean).join("; ")}
      </p>
      {plan.find > 0 && plan.find_ml !== null && (
        <p className="font-semibold">{say.find(plan.find, plan.find_ml)}</p>
      )}
      {plan.empties.length > 0 && <p className="text-soft text-small">{say.empties(list(plan.empties))}</p>}
    </>
  );
}

/** What was planned, and what batches gave of it since. */
function Target({ line }: { line: Line }) {
  const { today } = useSession();
  const { target } = line;
  if (target.amount.startsWith("0 ")) return null;
  const words = say.soFar(target.done, target.amount, dayWords(target.planned_on, today));
  return (
    <div className="mt-2">
      <div
        role="progressbar"
        aria-label={say.progressOf(line.name)}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.min(target.percent, 100)}
        aria-valuetext={words}
        className="h-[10px] border border-edge rounded-[3px] overflow-hidden"
      >
        <div className="h-full bg-pea" style={{ width: `${Math.min(target.percent, 100)}%` }} />
      </div>
      <p className="text-small text-soft">
        {[words, ...list(target.jars_done)].join("; ")}
      </p>
    </div>
  );
}

const list = (jars: Jars) => jars.map((one) => say.jars(one.count, one.ml));
