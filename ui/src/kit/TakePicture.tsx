import type { ChangeEvent } from "react";
import { useActs } from "../app/acts";
import * as say from "../words/kit";

/** As much as the house takes of one picture. */
const LARGEST = 3_000_000;

/** Takes a picture, or picks one, and hands it over as the house takes it. */
export function TakePicture({ words, onPicture }: { words: string; onPicture: (content: string) => unknown }) {
  const { tell } = useActs();
  const take = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = "";
    if (!file) return;
    if (file.size > LARGEST) return tell({ text: say.pictureLargerThan });
    const bytes = new Uint8Array(await file.arrayBuffer());
    let text = "";
    for (let at = 0; at < bytes.length; at += 8192) text += String.fromCharCode(...bytes.subarray(at, at + 8192));
    await onPicture(btoa(text));
  };
  return (
    <label className="btn mt-2 cursor-pointer focus-within:outline focus-within:outline-3">
      {words}
      <input
        type="file"
        accept="image/jpeg,image/png,image/webp"
        capture="environment"
        className="sr-only"
        onChange={(event) => void take(event)}
      />
    </label>
  );
}
