import { useQuery } from "@tanstack/react-query";
import { useState, type ChangeEvent } from "react";
import { Link } from "wouter";
import { useGo } from "../../app/address";
import { post, Problem } from "../../api/client";
import { placesQuery } from "../../api/queries";
import type { ImportFile, ImportPreview } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board, Button, Empty } from "../../kit/kit";
import { Heading, Homes, Known, Unread, usualPlaces } from "./ListParts";
import { Columns, Problems, Rows, Unknown } from "./PreviewParts";
import { UnknownPlaces } from "./UnknownPlaces";
import * as say from "../../words/list";

async function base64(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = "";
  for (let at = 0; at < bytes.length; at += 32_768) text += String.fromCharCode(...bytes.subarray(at, at + 32_768));
  return btoa(text);
}

/** A list from elsewhere: how it would be read, every problem by line, and then all of it or nothing. */
export default function BringIn() {
  const keeper = useSession().person?.role === "keeper";
  return keeper ? (
    <Lists />
  ) : (
    <Empty title={say.bringInList}>
      {say.keepersOnly}{" "}
      <Link className="text-rim underline" to="/shelf">
        {say.toTheLine}
      </Link>
    </Empty>
  );
}

function Lists() {
  const { act } = useActs();
  const go = useGo();
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
      setProblem(error.words);
    }
  };
  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0];
    if (chosen) await read({ content: await base64(chosen), default_places: usualPlaces(places) });
  };
  const skip = (line: number) =>
    void (
      file && read({ ...file, skip: [...new Set([...(file.skip ?? []), line])].sort((one, other) => one - other) })
    );
  const bring = async () => {
    if (file && (await act("/api/import", file, say.bringInList))) void go("/shelf");
  };
  return (
    <>
      <h1 className="mb-3">{say.bringInList}</h1>
      <Board title={say.chooseCsvFile} note={say.fromSpreadsheetOr}>
        <input
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          aria-label={say.csvFile}
          className="field mt-3"
          onChange={(event) => void choose(event)}
        />
        {problem && (
          <p role="alert" className="text-beet font-semibold mt-2">
            {problem}
          </p>
        )}
      </Board>
      {file && preview && (
        <div className="grid gap-4 mt-4">
          <Board
            title={say.lines(preview.total)}
            note={say.readColumnsApart(
              preview.encoding,
              preview.delimiter === "\t" ? "tab" : `“${preview.delimiter}”`,
              preview.decimal,
            )}
          >
            <Heading
              preview={preview}
              onHeading={(heading) => void read({ ...file, heading, columns: {}, skip: [] })}
            />
            <Columns
              preview={preview}
              onColumns={(columns) => void read({ ...file, columns })}
              chosen={file.columns ?? {}}
            />
            <Unread preview={preview} />
            <Homes file={file} places={places} onHomes={(default_places) => void read({ ...file, default_places })} />
          </Board>
          <UnknownPlaces
            preview={preview}
            places={places}
            onPlace={(text, id) => void read({ ...file, places: { ...file.places, [text]: id } })}
          />
          <Unknown
            preview={preview}
            onFood={(text, id) => void read({ ...file, foods: { ...file.foods, [text]: id } })}
          />
          <Known preview={preview} />
          <Problems preview={preview} onSkip={skip} />
          <Rows preview={preview} onSkip={skip} />
          {(file.skip ?? []).length > 0 && (
            <p className="text-soft">
              {say.leftOut((file.skip ?? []).join(", "))}{" "}
              <Button look="plain" onClick={() => read({ ...file, skip: [] })}>
                {say.takeIn}
              </Button>
            </p>
          )}
          <Button look="main" className="justify-self-start" disabled={!preview.ready} onClick={bring}>
            {preview.ready ? say.bringInAll(preview.total) : say.mendProblemsFirst}
          </Button>
        </div>
      )}
    </>
  );
}
