import type { ImportFile, ImportPreview, Place } from "../../api/types";
import { Pick } from "../../kit/form";
import { Board } from "../../kit/kit";
import * as say from "../../words/list";

type Homes = NonNullable<ImportFile["default_places"]>;

const KINDS: [keyof Homes, string][] = [
  ["cupboard", say.kinds.cupboard],
  ["fridge", say.kinds.fridge],
  ["freezer", say.kinds.freezer],
];

/** The first place of each kind, where the household has one. */
export function usualPlaces(places: Place[]): Homes {
  const found = KINDS.flatMap(([kind]) => {
    const place = places.find((one) => one.kind === kind);
    return place ? [[kind, place.id] as const] : [];
  });
  return Object.fromEntries(found);
}

/** Which line holds the headings; the first few are there to choose from. */
export function Heading({ preview, onHeading }: { preview: ImportPreview; onHeading: (line: number) => void }) {
  const options = preview.first_lines.map(
    ({ line, cells }) => [String(line), say.line(line, cells.filter(Boolean).join(", ").slice(0, 70))] as const,
  );
  return (
    <Pick
      label={say.headingsIn}
      wide="max-w-[640px] mt-3"
      value={String(preview.heading)}
      options={[["0", say.noHeadings], ...options]}
      onChange={(event) => onHeading(Number(event.target.value))}
    />
  );
}

/** Where lines without a place go, by what such food needs. */
export function Homes({
  file,
  places,
  onHomes,
}: {
  file: ImportFile;
  places: Place[];
  onHomes: (homes: Homes) => void;
}) {
  return (
    <fieldset className="mt-3">
      <legend className="font-semibold">{say.homes}</legend>
      <div className="grid gap-3 wide:grid-cols-3 mt-1">
        {KINDS.map(([kind, words]) => (
          <Pick
            key={kind}
            label={say.goesTo(words)}
            value={file.default_places?.[kind] ?? ""}
            none={say.askEach}
            options={places.map((place) => [String(place.id), place.name] as const)}
            onChange={(event) =>
              onHomes({
                ...file.default_places,
                [kind]: event.target.value === "" ? undefined : Number(event.target.value),
              })
            }
          />
        ))}
      </div>
    </fieldset>
  );
}

/** Nothing is left behind in silence. */
export function Unread({ preview }: { preview: ImportPreview }) {
  if (preview.unread.length === 0) return null;
  return (
    <p role="status" className="mt-3 border-l-4 border-mustard pl-3">
      {say.unread(preview.unread.map((column) => say.column(column.heading, column.cells)).join(", "))}
    </p>
  );
}

/** What to know before saying yes: the same list again, the same line twice. */
export function Known({ preview }: { preview: ImportPreview }) {
  if (!preview.before && preview.notes.length === 0) return null;
  return (
    <Board tone="mustard" title={say.twice}>
      {preview.before && <p className="mt-2 font-semibold">{preview.before}</p>}
      <ul className="mt-2 max-h-[180px] overflow-y-auto" tabIndex={0} aria-label={say.linesTwice}>
        {preview.notes.slice(0, 200).map((note) => (
          <li key={note.line}>
            {say.lineNumber} <b>{note.line}</b>: {note.text}
          </li>
        ))}
      </ul>
    </Board>
  );
}
