import { useState } from "react";
import type { Pet } from "../../api/types";
import { useActs } from "../../app/acts";
import { amountOf, Form, Pick, Submit, Text } from "../../kit/form";
import { Button } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import * as say from "../../words/kits";

const known = (species: string | undefined) =>
  species === undefined || ["cat", "dog"].includes(species) ? species : "other";

/** An animal of the house: what it is and what it weighs. */
export function PetSheet({ pet, onClose }: { pet: Pet | null; onClose: () => void }) {
  const { act } = useActs();
  const [kind, setKind] = useState(known(pet?.species) ?? "cat");
  const path = pet ? `/api/kits/pets/${pet.id}/change` : "/api/kits/pets";
  const save = async (form: FormData) => {
    const body = {
      name: String(form.get("name")).trim(),
      species: kind === "other" ? String(form.get("other")).trim() : kind,
      kg: amountOf(form.get("kg")) || null,
    };
    const done = await act(path, pet ? { version: Number(form.get("version")), ...body } : body, body.name);
    if (done) onClose();
    return done;
  };
  return (
    <Sheet open onClose={onClose} title={pet?.name ?? say.anotherAnimal}>
      <Form className="grid gap-3 mt-3" keep={`pet.${pet?.id ?? "new"}`} version={pet?.version} onSave={save}>
        <Text label={say.name} name="name" required maxLength={80} defaultValue={pet?.name} />
        <Pick
          label={say.species}
          name="species"
          options={say.SPECIES}
          value={kind}
          onChange={(event) => setKind(event.target.value)}
        />
        {kind === "other" && (
          <Text label={say.otherSpecies} name="other" required maxLength={40} defaultValue={pet?.species} />
        )}
        <Text
          label={say.weight}
          name="kg"
          inputMode="decimal"
          pattern="[0-9]{1,3}([.,][0-9]{1,2})?"
          defaultValue={pet?.kg ?? ""}
        />
        <Submit>{say.keep}</Submit>
        {pet && (
          <Button look="grave" onClick={() => act(path, { gone: true }, pet.name).then((done) => done && onClose())}>
            {say.goneAnimal}
          </Button>
        )}
      </Form>
    </Sheet>
  );
}
