import type { KitPage } from "../../api/types";
import { useSession } from "../../app/session";
import { Board } from "../../kit/kit";
import { dayWords } from "../../words/common";
import * as say from "../../words/kits";

type Line = KitPage["lines"][number];

/** How far a line is covered: a bar, told in words beside it. */
function Cover({ line }: { line: Line }) {
  return (
    <svg width="100%" height="8" aria-hidden="true" className="block">
      <rect width="100%" height="8" rx="3" style={{ fill: "var(--zinc2)" }} />
      <rect width={`${line.covered}%`} height="8" rx="3" style={{ fill: "var(--pea)" }} />
    </svg>
  );
}

function Row({ line, people }: { line: Line; people: number }) {
  const open = Number(line.gap) > 0;
  return (
    <tr className="border-t border-zinc2 align-baseline">
      <th scope="row" className="text-left font-normal py-1.5">
        <b>{line.label}</b> <span className="text-soft text-small">{line.unit}</span>
        <Cover line={line} />
        {line.short.length > 0 && line.short.length < people && (
          <span className="text-small text-beet">{say.shortOf(line.short)}</span>
        )}
      </th>
      <td className="text-right pl-3">
        {line.need}
        <span className="block text-soft text-small whitespace-nowrap">{`${line.per_day} ${say.aDay}`}</span>
      </td>
      <td className="text-right pl-3">{line.have}</td>
      <td className={`text-right pl-3 ${open ? "text-beet font-semibold" : "text-soft"}`}>{open ? line.gap : "0"}</td>
    </tr>
  );
}

/** Need, have and what is missing, line by line, and what each person needs of it. */
export function Lines({ told }: { told: KitPage }) {
  const { today } = useSession();
  return (
    <Board title={say.whatIsNeeded} note={say.neededUntil(dayWords(told.must_reach, today))}>
      <table className="w-full mt-1">
        <thead>
          <tr className="text-soft text-small text-right">
            <th scope="col" className="font-normal text-left">
              <span className="sr-only">{say.line}</span>
            </th>
            <th scope="col" className="font-normal pl-3">
              {say.need}
            </th>
            <th scope="col" className="font-normal pl-3">
              {say.have}
            </th>
            <th scope="col" className="font-normal pl-3">
              {say.gap}
            </th>
          </tr>
        </thead>
        <tbody>
          {told.lines.map((line) => (
            <Row key={line.line} line={line} people={told.people.length} />
          ))}
        </tbody>
      </table>
      <ByPerson told={told} />
    </Board>
  );
}

function ByPerson({ told }: { told: KitPage }) {
  const unsaid = told.people.filter((one) => one.stands_in.length > 0);
  return (
    <details className="mt-2">
      <summary className="cursor-pointer text-rim font-semibold w-max min-h-[24px] phone:py-[10px]">
        {say.byPerson}
      </summary>
      <ul>
        {told.people.map((one) => (
          <li key={one.id} className="border-t border-zinc2 py-1">
            <b>{one.name}</b> <span className="text-soft">{say.personNeeds(one)}</span>
          </li>
        ))}
        {told.pets.map((one) => (
          <li key={one.name} className="border-t border-zinc2 py-1">
            <b>{one.name}</b>{" "}
            <span className="text-soft">{one.kcal ? `${one.kcal} kcal ${say.aDay}` : one.species}</span>
          </li>
        ))}
      </ul>
      {unsaid.length > 0 && (
        <>
          <h3 className="mt-2 font-semibold text-small">{say.standsIn}</h3>
          <ul className="text-soft text-small">
            {unsaid.map((one) => (
              <li key={one.id}>{say.standIn(one.name, one.stands_in)}</li>
            ))}
          </ul>
        </>
      )}
    </details>
  );
}
