import { useQuery } from "@tanstack/react-query";
import { peopleQuery } from "../../api/queries";
import type { KeepingPage } from "../../api/types";
import { useActs } from "../../app/acts";
import { Form, Submit, Tick } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import { monthName } from "../../words/common";
import * as say from "../../words/keeping";

const MONTHS = 12;

/** The months a fresh food is in season here; a filling would rather not buy it in the others. */
export function Season({ page, keeper }: { page: KeepingPage; keeper: boolean }) {
  const { act } = useActs();
  const ways = useQuery(peopleQuery).data?.ways;
  const { season } = page;
  if (!season) return null;
  const put = (seasons: Record<string, number[]>) =>
    act("/api/ways", { version: ways?.version, settings: { seasons } }, say.season);
  const others = () => Object.fromEntries(Object.entries(ways?.seasons ?? {}).filter(([key]) => key !== season.key));
  const save = (form: FormData) => put({ ...others(), [season.key]: form.getAll("months").map(Number) });
  return (
    <Board title={say.season} note={season.own ? say.seasonOurs : say.seasonTable}>
      <Form onSave={save} label={say.season} key={season.months.join()} className="grid gap-2 mt-2">
        <span className="grid grid-cols-4">
          {Array.from({ length: MONTHS }, (_, at) => (
            <Tick
              key={at}
              name="months"
              value={at + 1}
              disabled={!keeper}
              defaultChecked={season.months.includes(at + 1)}
              label={monthName(at)}
            />
          ))}
        </span>
        {keeper && (
          <span className="flex gap-2">
            <Submit>{say.saveSeason}</Submit>
            {season.own && <Button onClick={() => put(others())}>{say.asTheTable}</Button>}
          </span>
        )}
      </Form>
    </Board>
  );
}
