import { useState } from "react";
import { post, Problem } from "../../api/client";
import type { WrittenRecipe } from "../../api/types";
import { useActs } from "../../app/acts";
import { useGo } from "../../app/address";
import { Back } from "../../kit/Back";
import { Field, Form, Submit } from "../../kit/form";
import { Board, Button } from "../../kit/kit";
import * as say from "../../words/recipes";
import { fromWritten, straight, whole } from "./model";
import { RecipeEditor } from "./RecipeEditor";

/** The file's bytes as text that JSON carries. */
async function bytesOf(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = "";
  for (const byte of bytes) text += String.fromCharCode(byte);
  return btoa(text);
}

/** All of them as they were read; where lines are not known, their words are kept. */
function KeepAll({ recipes }: { recipes: WrittenRecipe[] }) {
  const { act } = useActs();
  const go = useGo();
  const fit = recipes.filter(whole);
  if (fit.length < 2) return null;
  const keep = async () => {
    if (await act("/api/recipes/all", { recipes: fit.map(straight) }, say.keepAll(fit.length)))
      go("/recipes?which=own");
  };
  return (
    <p className="mt-2 flex flex-wrap gap-3 items-center">
      <Button onClick={keep}>{say.keepAll(fit.length)}</Button>
      <span className="text-soft text-small">{say.keepAllNote}</span>
    </p>
  );
}

function Found({ recipes, onPick }: { recipes: WrittenRecipe[]; onPick: (one: WrittenRecipe) => void }) {
  return (
    <Board title={say.found(recipes.length)} note={say.nothingKept} className="mt-3">
      <ul className="mt-1">
        {recipes.map((one, index) => (
          <li key={index} className="border-t border-zinc2 py-2 flex gap-3 items-start">
            <span className="grow min-w-0">
              <b className="block">{one.name || say.newDish}</b>
              <span className="text-soft">
                {say.linesRead(one.lines.filter((line) => line.food_id !== null).length, one.lines.length)}
              </span>
              {one.problems.length > 0 && (
                <span className="block text-beet">
                  {say.toMend} {one.problems.map((problem) => problem.text).join(" ")}
                </span>
              )}
            </span>
            <Button look="main" onClick={() => onPick(one)}>
              {say.lookOver}
            </Button>
          </li>
        ))}
      </ul>
      <KeepAll recipes={recipes} />
    </Board>
  );
}

/** A recipe from elsewhere: pasted or from a file, read, looked over, kept. */
export default function BringRecipe() {
  const [found, setFound] = useState<WrittenRecipe[] | null>(null);
  const [picked, setPicked] = useState<WrittenRecipe | null>(null);
  const [trouble, setTrouble] = useState("");
  const read = async (fields: FormData) => {
    const file = fields.get("file");
    const text = String(fields.get("text") ?? "").trim();
    setTrouble("");
    setFound(null);
    try {
      const body = file instanceof File && file.size > 0 ? { content: await bytesOf(file) } : { text };
      const { recipes } = await post<{ recipes: WrittenRecipe[] }>("/api/recipes/read", body);
      if (recipes.length === 1) setPicked(recipes[0]!);
      setFound(recipes);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      setTrouble(error.words);
    }
    return false;
  };
  if (picked) return <RecipeEditor begun={fromWritten(picked)} keep={`recipe.brought.${picked.name}`} />;
  return (
    <>
      <Back to="/recipes">{say.backToList}</Back>
      <h1 className="mb-3">{say.bringTitle}</h1>
      <Board>
        <Form onSave={read} keep="recipe.paste" label={say.bringTitle}>
          <Field label={say.pasteHere} note={say.pasteNote}>
            <textarea className="field" name="text" rows={14} maxLength={100000} />
          </Field>
          <Field label={say.orFile}>
            <input className="field" type="file" name="file" accept=".json,.jsonld,.html,.htm,.txt,.md,.csv" />
          </Field>
          {trouble !== "" && (
            <p role="alert" className="text-beet font-semibold">
              {trouble}
            </p>
          )}
          <div>
            <Submit>{say.readIt}</Submit>
          </div>
        </Form>
      </Board>
      {found && <Found recipes={found} onPick={setPicked} />}
    </>
  );
}
