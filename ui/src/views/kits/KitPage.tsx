import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "wouter";
import { kitQuery, kitsQuery } from "../../api/queries";
import type { KitPage as Told } from "../../api/types";
import { useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/kits";
import { Checks } from "./Checks";
import { Closing } from "./Closing";
import { EditKit } from "./EditKit";
import { Layout } from "./Layout";
import { Lines } from "./Lines";
import { Refresh } from "./Refresh";
import { Stacks } from "./Stacks";

/** One kit: what is needed, there and missing, how the gap is closed, and what it is checked for. */
export default function KitPage() {
  const { id } = useParams<{ id: string }>();
  const query = useQuery(kitQuery(Number(id)));
  return (
    <>
      <Back to="/kits">{say.back}</Back>
      <Loaded query={query} what={say.fetching}>
        {(told) => <Page told={told} />}
      </Loaded>
    </>
  );
}

function Page({ told }: { told: Told }) {
  const { person, today } = useSession();
  const all = useQuery(kitsQuery);
  const [editing, setEditing] = useState(false);
  const { kit } = told;
  const open = told.lines.some((line) => Number(line.gap) > 0);
  const facts = [
    say.days(kit.days),
    say.forWhom([...told.people, ...told.pets].map((one) => one.name)),
    told.refresh_on ? say.refreshOn(dayWords(told.refresh_on, today)) : say.pantry,
  ];
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1 mt-1 mb-3">
        <h1>{kit.name}</h1>
        <span className="text-soft grow">{facts.join(" · ")}</span>
        {person?.role === "keeper" && (
          <Button aria-label={say.changeNamed(kit.name)} onClick={() => setEditing(true)}>
            {say.change}
          </Button>
        )}
      </div>
      <div className="grid gap-4 wide:grid-cols-2 items-start">
        <Lines told={told} />
        <div className="grid gap-4">
          {open && <Closing kit={kit.id} />}
          <Checks told={told} />
        </div>
        <Stacks stacks={told.stacks} />
        <div className="grid gap-4">
          {told.refresh_on && told.stacks.length > 0 && <Refresh kit={kit.id} on={told.refresh_on} />}
          <Layout kit={kit.id} />
        </div>
        <Cautions formula={told.lines.some((line) => line.line === "formula")} />
      </div>
      {editing && all.data && <EditKit kit={kit} page={all.data} onClose={() => setEditing(false)} />}
    </>
  );
}

function Cautions({ formula }: { formula: boolean }) {
  const list = [...say.cautions, say.medicines];
  return (
    <Board tone={formula ? "beet" : "mustard"}>
      <ul className="text-small">
        {list.map((one) => (
          <li key={one} className="py-0.5">
            {one}
          </li>
        ))}
      </ul>
    </Board>
  );
}
