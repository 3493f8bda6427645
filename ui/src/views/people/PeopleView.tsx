import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { peopleQuery } from "../../api/queries";
import type { PeoplePage, Person } from "../../api/types";
import { useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { Account } from "./Account";
import { Calendar } from "./Calendar";
import { Members } from "./Members";
import { PersonSheet } from "./PersonSheet";
import { Ways } from "./Ways";
import * as say from "../../words/people";

/** Who eats here, who may sign in, the household's ways, its backup and its calendar. */
export default function PeopleView() {
  const query = useQuery(peopleQuery);
  return (
    <Loaded query={query} what={say.fetchingTheHousehold}>
      {(page) => <Page page={page} />}
    </Loaded>
  );
}

function Page({ page }: { page: PeoplePage }) {
  const session = useSession();
  const keeper = session.person?.role === "keeper";
  const [sheet, setSheet] = useState<Person | "new" | null>(null);
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 mb-3">
        <h1>{page.ways.name}</h1>
        <span className="text-soft">{keeper ? say.youAreKeeper : say.youAreHelper}</span>
      </div>
      <div className="grid gap-4 wide:grid-cols-2 items-start">
        <Board title={say.whoEatsHere}>
          <ul className="mt-2">
            {page.people.map((person) => (
              <li key={person.id} className="flex items-center gap-3 border-t border-zinc2 py-2">
                <span className="grow min-w-0">
                  <b>{person.name}</b>
                  <span className="block text-soft text-small">{eaterWords(person)}</span>
                </span>
                {keeper && (
                  <Button aria-label={say.change(person.name)} onClick={() => setSheet(person)}>
                    {say.changeIt}
                  </Button>
                )}
              </li>
            ))}
            {page.people.length === 0 && <li className="text-soft">{say.nobodyEnteredYet}</li>}
          </ul>
          {keeper && (
            <Button className="mt-2" onClick={() => setSheet("new")}>
              {say.somebodyElse}
            </Button>
          )}
        </Board>
        {keeper && <Members page={page} />}
        <Ways key={page.ways.version} ways={page.ways} keeper={keeper} />
        <Calendar page={page} />
        <Account />
        {keeper && (
          <Board title={say.backup} note={say.everythingThisHousehold}>
            <p className="mt-2">
              <a className="btn" href="/api/backup.json">
                {say.takeBackupOut}
              </a>
            </p>
            <p className="text-soft text-small mt-2">
              {say.goesBackInto} <code>{say.binRestore}</code>
              {say.byteForByte}
            </p>
          </Board>
        )}
      </div>
      {sheet && (
        <PersonSheet
          key={sheet === "new" ? "new" : sheet.id}
          person={sheet === "new" ? null : sheet}
          onClose={() => setSheet(null)}
        />
      )}
    </>
  );
}

function eaterWords(person: Person): string {
  const parts = [
    person.eats ? say.eats(Number(person.portion_factor)) : say.doesNotEat,
    person.strict ? say.dateOnly : "",
    person.excludes.length > 0 ? say.never(person.excludes.join(", ")) : "",
    person.note,
  ];
  return parts.filter(Boolean).join("; ");
}
