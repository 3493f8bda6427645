import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "wouter";
import { useGo } from "../../app/address";
import { peopleQuery, recipeQuery } from "../../api/queries";
import type { Done, Recipe } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney, useSession } from "../../app/session";
import { Back } from "../../kit/Back";
import { Day, Form, Pick, Submit } from "../../kit/form";
import { Select } from "../../kit/choices";
import { Board, Button } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import { TakePicture } from "../../kit/TakePicture";
import * as say from "../../words/recipes";

/** Lets the number of portions be stepped. */
function Portions({ number, onNumber }: { number: number; onNumber: (next: number) => void }) {
  return (
    <span className="flex gap-1 items-center">
      <Button aria-label={say.fewer} disabled={number <= 1} onClick={() => onNumber(number - 1)}>
        −
      </Button>
      <b className="px-1" role="status">
        {say.portions(number)}
      </b>
      <Button aria-label={say.morePortions} disabled={number >= 500} onClick={() => onNumber(number + 1)}>
        +
      </Button>
    </span>
  );
}

function Lines({ recipe }: { recipe: Recipe }) {
  return (
    <ul className="mt-2">
      {recipe.lines.map((line, index) => (
        <li key={index} className="border-t border-zinc2 py-1.5">
          {line.text}
          {line.food_id === undefined && <span className="text-soft text-small block">{say.noFood}</span>}
          {line.substitutes.length > 0 && (
            <span className="text-soft text-small block">
              {say.orElse(line.substitutes.map((one) => one.food).join(", "))}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

/** What one portion comes to, and what is not known of it. */
function Picture({ recipe }: { recipe: Recipe }) {
  const { act } = useActs();
  const put = (content: string) =>
    act(`/api/recipes/${recipe.recipe_id}/photo`, { content }, say.pictureOf(recipe.name));
  return (
    <figure>
      {recipe.picture !== null && (
        <img
          src={`/api/recipes/${recipe.recipe_id}/photo?v=${recipe.picture}`}
          alt={say.looksLike(recipe.name)}
          className="w-full max-h-[260px] object-cover rounded-xl"
        />
      )}
      <TakePicture words={recipe.picture === null ? say.takePicture : say.newPicture} onPicture={put} />
    </figure>
  );
}

function OnePortion({ recipe }: { recipe: Recipe }) {
  const money = useMoney();
  const one = recipe.per_portion;
  return (
    <Board title={say.onePortion}>
      <p className="mt-1">{[money(one.cost_minor), say.energy(one.kcal), say.protein(one.protein_g)].join(", ")}</p>
      <div className="text-soft text-small">
        {one.allergens.length > 0 && <p>{say.holds(one.allergens.join(", "))}</p>}
        {one.estimated.length > 0 && <p>{say.estimatedFor(one.estimated.join("; "))}</p>}
        {one.unknown.length > 0 && <p>{say.noFiguresFor(one.unknown.join("; "))}</p>}
      </div>
    </Board>
  );
}

function PutOnDay({ recipe }: { recipe: Recipe }) {
  const { act } = useActs();
  const { today } = useSession();
  const put = (fields: FormData) =>
    act("/api/meals", { recipe_id: recipe.recipe_id, on: fields.get("on"), meal: fields.get("meal") }, recipe.name);
  return (
    <Board title={say.putOnDay}>
      <Form onSave={put} label={say.putOnDay} className="flex flex-wrap gap-2 items-end mt-1">
        <Day label={say.whichDay} name="on" min={today} defaultValue={today} required />
        <Pick label={say.whichMeal} name="meal" options={say.meals} defaultValue={recipe.meal} />
        <Submit>{say.putThere}</Submit>
      </Form>
    </Board>
  );
}

/** Who loves it, and who would rather not have it: a filling goes by that. */
function Likes({ recipe }: { recipe: Recipe }) {
  const { act } = useActs();
  const people = useQuery(peopleQuery).data?.people.filter((person) => person.eats) ?? [];
  const tell = (person: number, liking: string) =>
    void act(`/api/recipes/${recipe.recipe_id}/like`, { person_id: person, liking: liking || null }, recipe.name);
  return (
    <Board title={say.whoLikes}>
      <ul className="mt-1 grid gap-1">
        {people.map((person) => (
          <li key={person.id} className="grid grid-cols-[minmax(0,1fr)_auto] gap-2 items-center">
            <span>{person.name}</span>
            <Select
              label={say.howLikes(person.name)}
              value={recipe.likes[String(person.id)] ?? ""}
              options={say.likings}
              none={say.doesNotMind}
              onPick={(liking) => tell(person.id, liking)}
            />
          </li>
        ))}
      </ul>
    </Board>
  );
}

function Doings({ recipe }: { recipe: Recipe }) {
  const { act } = useActs();
  const go = useGo();
  const away = () => act<Done>(`/api/recipes/${recipe.recipe_id}/archive`, { archived: !recipe.archived }, recipe.name);
  return (
    <span className="flex flex-wrap gap-2 ml-auto phone:ml-0 no-print">
      <Button onClick={() => go(`/recipes/${recipe.recipe_id}/change`)}>{say.change}</Button>
      <Button onClick={() => go(`/recipes/${recipe.recipe_id}/copy`)}>{say.copy}</Button>
      <Button onClick={away}>{recipe.archived ? say.bringBack : say.putAway}</Button>
      <Button look="plain" onClick={() => window.print()}>
        {say.print}
      </Button>
    </span>
  );
}

function Standing({ recipe }: { recipe: Recipe }) {
  if (recipe.archived) return <p className="mb-3 border-l-4 border-mustard pl-3">{say.isAway}</p>;
  if (recipe.current_id === recipe.recipe_id) return null;
  return (
    <p className="mb-3 border-l-4 border-mustard pl-3">
      {say.isOlder}{" "}
      <Link className="text-rim underline" to={`/recipes/${recipe.current_id}`}>
        {say.toNewest}
      </Link>
    </p>
  );
}

function Beside({ recipe }: { recipe: Recipe }) {
  return (
    <div className="grid gap-3 no-print">
      <Picture recipe={recipe} />
      <OnePortion recipe={recipe} />
      <PutOnDay recipe={recipe} />
      <Likes recipe={recipe} />
      <Board title={say.takeAlong}>
        <ul className="mt-1">
          {say.files.map(([kind, words]) => (
            <li key={kind}>
              <a
                className="text-rim underline inline-block py-1.5"
                href={`/api/recipes/${recipe.recipe_id}/file?as=${kind}`}
              >
                {words}
              </a>
            </li>
          ))}
        </ul>
      </Board>
      {recipe.versions.length > 1 && (
        <Board title={say.versions}>
          <ul className="mt-1 flex flex-wrap gap-3">
            {recipe.versions.map((one) => (
              <li key={one.recipe_id}>
                {one.recipe_id === recipe.recipe_id ? (
                  <b>{say.version(one.version)}</b>
                ) : (
                  <Link className="text-rim underline" to={`/recipes/${one.recipe_id}`}>
                    {say.version(one.version)}
                  </Link>
                )}
              </li>
            ))}
          </ul>
        </Board>
      )}
    </div>
  );
}

function Page({ recipe, onPortions }: { recipe: Recipe; onPortions: (number: number) => void }) {
  return (
    <>
      <Back to="/recipes">{say.backToList}</Back>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 mb-3">
        <h1>{recipe.name}</h1>
        <span className="text-soft">
          {recipe.meal}, {say.inAll(recipe.minutes, recipe.active_minutes)},{" "}
          {recipe.gear.map((one) => say.withGear[one] ?? one).join(", ")}
        </span>
        <Doings recipe={recipe} />
      </div>
      <Standing recipe={recipe} />
      <div className="grid gap-4 wide:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)_290px] items-start">
        <Board title={say.whatGoesIn}>
          <Portions number={recipe.servings} onNumber={onPortions} />
          <Lines recipe={recipe} />
        </Board>
        <Board title={say.steps}>
          <ol className="list-decimal pl-5 mt-2 grid gap-2">
            {recipe.steps.map((step, index) => (
              <li key={index}>{step}</li>
            ))}
          </ol>
          <p className="mt-3 border-l-4 border-mustard pl-3 text-small">
            {say.keeps(recipe.leftover_days)} {recipe.freezes ? say.freezes : ""}
          </p>
          {recipe.notes !== "" && (
            <p className="mt-3 whitespace-pre-line">
              <b>{say.notes}</b>: {recipe.notes}
            </p>
          )}
          {recipe.source !== "" && <p className="mt-2 text-soft text-small">{say.from(recipe.source)}</p>}
        </Board>
        <Beside recipe={recipe} />
      </div>
    </>
  );
}

/** One dish: what goes in for so many, what to do, what a portion comes to. */
export default function RecipePage() {
  const id = Number(useParams().id);
  const [portions, setPortions] = useState<number | null>(null);
  const query = useQuery({ ...recipeQuery(id, portions), placeholderData: (before) => before });
  return (
    <Loaded query={query} what={say.fetchingOne}>
      {(recipe) => <Page recipe={recipe} onPortions={setPortions} />}
    </Loaded>
  );
}
