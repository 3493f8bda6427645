import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { kitsQuery } from "../../api/queries";
import type { KitsPage, Pet } from "../../api/types";
import { useSession } from "../../app/session";
import { Board, Button, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { dayWords } from "../../words/common";
import * as say from "../../words/kits";
import { EditKit } from "./EditKit";
import { PetSheet } from "./PetSheet";

type Brief = KitsPage["kits"][number];

/** Every kit with what it lacks, the animals they are for, and the way to how long we would last. */
export default function KitsView() {
  const query = useQuery(kitsQuery);
  return (
    <Loaded query={query} what={say.fetching}>
      {(page) => <Page page={page} />}
    </Loaded>
  );
}

function Page({ page }: { page: KitsPage }) {
  const keeper = useSession().person?.role === "keeper";
  const [making, setMaking] = useState(false);
  const [pet, setPet] = useState<Pet | "new" | null>(null);
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1 mb-3">
        <h1>{say.kits}</h1>
        <span className="text-soft grow">{say.about}</span>
        <Link className="btn" to="/kits/before">
          {say.before}
        </Link>
        <Link className="btn" to="/kits/power-cut">
          {say.powerCut}
        </Link>
        <Link className="btn" to="/kits/lasting">
          {say.lastLong}
        </Link>
        {keeper && (
          <Button look="main" onClick={() => setMaking(true)}>
            {say.newKit}
          </Button>
        )}
      </div>
      {page.kits.length === 0 && <Empty title={say.none}>{say.noneWhy}</Empty>}
      <div className="grid gap-4 wide:grid-cols-2 items-start">
        {page.kits.map((kit) => (
          <Brief key={kit.id} kit={kit} />
        ))}
        <Animals pets={page.pets} keeper={keeper} onPick={setPet} />
      </div>
      {making && <EditKit kit={null} page={page} onClose={() => setMaking(false)} />}
      {pet && (
        <PetSheet key={pet === "new" ? "new" : pet.id} pet={pet === "new" ? null : pet} onClose={() => setPet(null)} />
      )}
    </>
  );
}

function Brief({ kit }: { kit: Brief }) {
  const { today } = useSession();
  const facts = [
    say.days(kit.days),
    say.forWhom([...kit.for, ...kit.pets]),
    kit.refresh_on ? say.refreshOn(dayWords(kit.refresh_on, today)) : say.pantry,
  ];
  return (
    <Board
      tone={kit.gaps.length > 0 ? "mustard" : "rim"}
      title={
        <Link className="text-rim underline" to={`/kits/${kit.id}`}>
          {kit.name}
        </Link>
      }
      note={facts.join(" · ")}
    >
      <p className="mt-1">{kit.gaps.length > 0 ? say.missing(kit.gaps) : say.nothingMissing}</p>
      <p className="text-soft text-small">{say.packsIn(kit.packs, kit.not_counted)}</p>
    </Board>
  );
}

function Animals({ pets, keeper, onPick }: { pets: Pet[]; keeper: boolean; onPick: (pet: Pet | "new") => void }) {
  return (
    <Board title={say.animals}>
      <ul className="mt-1">
        {pets.map((pet) => (
          <li key={pet.id} className="flex items-center gap-3 border-t border-zinc2 py-1.5">
            <span className="grow">
              <b>{pet.name}</b> <span className="text-soft">{`${pet.species}, ${say.weighs(pet.kg)}`}</span>
            </span>
            {keeper && (
              <Button aria-label={say.changeNamed(pet.name)} onClick={() => onPick(pet)}>
                {say.change}
              </Button>
            )}
          </li>
        ))}
        {pets.length === 0 && <li className="text-soft">{say.noAnimals}</li>}
      </ul>
      {keeper && (
        <Button className="mt-2" onClick={() => onPick("new")}>
          {say.anotherAnimal}
        </Button>
      )}
    </Board>
  );
}
