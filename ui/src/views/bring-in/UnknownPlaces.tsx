import type { ImportPreview, Place } from "../../api/types";
import { useActs } from "../../app/acts";
import { Board, Button } from "../../kit/kit";
import { Select } from "../../kit/choices";
import * as say from "../../words/list";

/** Words of the list that name no place here: choose one for each, or make it. */
export function UnknownPlaces({
  preview,
  places,
  onPlace,
}: {
  preview: ImportPreview;
  places: Place[];
  onPlace: (text: string, id: number) => void;
}) {
  const { act } = useActs();
  if (preview.unknown_places.length === 0) return null;
  const make = async (text: string, kind: string) => {
    const done = await act("/api/places", { name: text, kind }, text);
    if (done?.place_id) onPlace(text, done.place_id);
  };
  return (
    <Board tone="mustard" title={say.whichPlacesAre} note={say.sayOnceCounts}>
      <ul className="mt-2">
        {preview.unknown_places.map((place) => (
          <li key={place.text} className="flex flex-wrap items-center gap-2 border-t border-zinc2 py-2">
            <b className="min-w-[150px]">{place.text}</b>
            <span className="text-soft text-small">{say.countLines(place.lines)}</span>
            <Select
              label={say.placeFor(place.text)}
              value=""
              onPick={(id) => onPlace(place.text, Number(id))}
              none={{ words: say.chooseAPlace, disabled: true }}
              options={places.map((one) => [String(one.id), one.name])}
            />
            <Button onClick={() => void make(place.text, place.kind)}>
              {say.makeThePlace} {place.text}
            </Button>
          </li>
        ))}
      </ul>
    </Board>
  );
}
