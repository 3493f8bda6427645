import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "wouter";
import { useGo } from "../../app/address";
import { recipeQuery } from "../../api/queries";
import { useActs } from "../../app/acts";
import { Back } from "../../kit/Back";
import { Field, Form, Pick, Submit, Text, Tick, Whole } from "../../kit/form";
import { Board } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/recipes";
import { EMPTY, fromRecipe, toKeep, type Begun } from "./model";
import { ReadLines } from "./ReadLines";
import { useReading } from "./useReading";

function Facts({ begun }: { begun: Begun }) {
  return (
    <Board>
      <div className="grid gap-3 grid-cols-6 phone:grid-cols-2">
        <Text
          label={say.name}
          name="name"
          defaultValue={begun.name}
          required
          maxLength={120}
          wide="col-span-3 phone:col-span-2"
        />
        <Pick label={say.whichMeal} name="meal" options={say.meals} defaultValue={begun.meal} />
        <Whole label={say.forHowMany} name="servings" min={1} max={500} defaultValue={begun.servings} required />
        <Whole label={say.keepsDays} name="keeps" min={0} max={60} defaultValue={begun.keeps} required />
        <Whole label={say.minutesInAll} name="total" min={0} max={10080} defaultValue={begun.total} required />
        <Whole label={say.minutesBusy} name="active" min={0} max={10080} defaultValue={begun.active} required />
        <Text label={say.tags} name="tags" placeholder={say.tagsNote} defaultValue={begun.tags} wide="col-span-2" />
        <Text label={say.source} name="source" defaultValue={begun.source} maxLength={300} wide="col-span-2" />
      </div>
      <fieldset className="flex flex-wrap gap-x-4 mt-2">
        <legend className="font-semibold">{say.neededGear}</legend>
        {Object.entries(say.withGear).map(([key, words]) => (
          <Tick key={key} name="gear" value={key} label={words} defaultChecked={begun.gear.includes(key)} />
        ))}
        <Tick name="freezes" value="yes" label={say.itFreezes} defaultChecked={begun.freezes} />
      </fieldset>
    </Board>
  );
}

/** Where a dish is written down: its facts, its lines with how each is read, its steps. */
export function RecipeEditor({ begun, keep }: { begun: Begun; keep: string }) {
  const { act } = useActs();
  const go = useGo();
  const [lines, setLines] = useState(begun.lines);
  const reading = useReading(lines, begun.known);
  const save = async (fields: FormData) => {
    const known = await reading.whole();
    const done = await act("/api/recipes", toKeep(fields, known, begun.changes), String(fields.get("name")));
    const id = (done as { recipe_id?: number } | null)?.recipe_id;
    if (id) go(`/recipes/${id}`);
    return done;
  };
  return (
    <>
      <Back to="/recipes">{say.backToList}</Back>
      <h1 className="mb-3">{begun.changes ? say.changing(begun.name) : say.newDish}</h1>
      {begun.problems.length > 0 && (
        <p role="alert" className="mb-3 border-l-4 border-mustard pl-3">
          {say.toMend} {begun.problems.join(" ")}
        </p>
      )}
      <Form
        onSave={save}
        keep={keep}
        label={say.newDish}
        onInput={(form) => setLines(String(new FormData(form).get("lines") ?? ""))}
      >
        <Facts begun={begun} />
        <Board>
          <div className="grid gap-4 wide:grid-cols-2 items-start">
            <Field label={say.lines} note={say.linesNote}>
              <textarea className="field" name="lines" rows={12} defaultValue={begun.lines} required />
            </Field>
            <ReadLines text={lines} known={reading.known} onCorrect={reading.correct} />
          </div>
        </Board>
        <Board>
          <div className="grid gap-4 wide:grid-cols-2 items-start">
            <Field label={say.stepsOne}>
              <textarea className="field" name="steps" rows={8} defaultValue={begun.steps} />
            </Field>
            <Field label={say.notesLabel} note={say.notesNote}>
              <textarea className="field" name="notes" rows={4} defaultValue={begun.notes} maxLength={4000} />
            </Field>
          </div>
        </Board>
        <div className="flex gap-3 items-center">
          <Submit>{say.save}</Submit>
          <span className="text-soft text-small">{say.keepsNote}</span>
        </div>
      </Form>
    </>
  );
}

/** A dish of the household's own, from an empty page. */
export function NewRecipe() {
  return <RecipeEditor begun={EMPTY} keep="recipe.new" />;
}

/** A dish there is, to be changed, or another made of it. */
export function ChangeRecipe() {
  const { id, how } = useParams();
  const query = useQuery({ ...recipeQuery(Number(id), null), refetchOnWindowFocus: false });
  return (
    <Loaded query={query} what={say.fetchingOne}>
      {(recipe) => (
        <RecipeEditor
          key={recipe.recipe_id}
          begun={how === "change" ? { ...fromRecipe(recipe), changes: recipe.recipe_id } : fromRecipe(recipe)}
          keep={`recipe.${how}.${recipe.recipe_id}`}
        />
      )}
    </Loaded>
  );
}
