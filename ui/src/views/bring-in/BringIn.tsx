import { useQuery } from "@tanstack/react-query";
import { useState, type ChangeEvent } from "react";
import { useNavigate } from "react-router";
import { post, Problem } from "../../api/client";
import { placesQuery } from "../../api/queries";
import type { ImportFile, ImportPreview } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board, Button } from "../../kit/kit";
import { Columns, Problems, Rows, Unknown } from "./PreviewParts";
import { UnknownPlaces } from "./UnknownPlaces";

async function base64(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = "";
  for (let at = 0; at < bytes.length; at += 32_768) text += String.fromCharCode(...bytes.subarray(at, at + 32_768));
  return btoa(text);
}

/** A list from elsewhere: how it would be read, every problem by line, and then all of it or nothing. */
export default function BringIn() {
  const { act } = useActs();
  const go = useNavigate();
  const places = useQuery(placesQuery).data ?? [];
  const [file, setFile] = useState<ImportFile | null>(null);
  const [preview, setPreview] = useState<ImportPreview | null>(null);
  const [problem, setProblem] = useState("");
  const read = async (next: ImportFile) => {
    setFile(next);
    setProblem("");
    try {
      setPreview(await post<ImportPreview>("/api/import/preview", next));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      setPreview(null);
      setProblem(`${error.message} ${error.document.remedy ?? ""}`);
    }
  };
  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0];
    if (chosen) await read({ content: await base64(chosen), ...(places[0] ? { place_id: places[0].id } : {}) });
  };
  const bring = async () => {
    if (file && (await act("/api/import", file, "list"))) void go("/shelf");
  };
  return (
    <>
      <h1 className="mb-3">Bring in a list</h1>
      <Board title="Choose a CSV file" note="From a spreadsheet or another program. Headings in English, German, French or Spanish are understood; nothing changes before you say so.">
        <input type="file" accept=".csv,.tsv,.txt,text/csv" aria-label="CSV file" className="field mt-3" onChange={(event) => void choose(event)} />
        {problem && <p role="alert" className="text-beet font-semibold mt-2">{problem}</p>}
      </Board>
      {file && preview && (
        <div className="grid gap-4 mt-4">
          <Board title={`${preview.total} lines`} note={`read as ${preview.encoding}, columns apart by ${preview.delimiter === "\t" ? "tab" : `“${preview.delimiter}”`}, decimals with “${preview.decimal}”`}>
            <Columns preview={preview} onColumns={(columns) => void read({ ...file, columns })} chosen={file.columns ?? {}} />
            <label className="flex items-center gap-2 mt-3">Lines without a place go to
              <select className="field !w-auto" value={file.place_id ?? ""} onChange={(event) => void read({ ...file, place_id: Number(event.target.value) })}>{places.map((place) => <option key={place.id} value={place.id}>{place.name}</option>)}</select>
            </label>
          </Board>
          <UnknownPlaces preview={preview} places={places} onPlace={(text, id) => void read({ ...file, places: { ...file.places, [text]: id } })} />
          <Unknown preview={preview} onFood={(text, id) => void read({ ...file, foods: { ...file.foods, [text]: id } })} />
          <Problems preview={preview} />
          <Rows preview={preview} />
          <Button look="main" className="justify-self-start" disabled={!preview.ready} onClick={() => void bring()}>{preview.ready ? `Bring in all ${preview.total}` : "Mend the problems first"}</Button>
        </div>
      )}
    </>
  );
}
