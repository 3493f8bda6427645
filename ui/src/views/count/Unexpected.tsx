import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { placesQuery } from "../../api/queries";
import type { Count, PutAway } from "../../api/types";
import { useActs } from "../../app/acts";
import { Button } from "../../kit/kit";
import { Labels } from "../../label-line/Labels";
import { held, putAwayFrom, type Corrections } from "../../label-line/model";
import { OneHand } from "../../label-line/OneHand";
import { readLine, usePreview } from "../../label-line/usePreview";
import { isScan, readScan, type Known } from "../../scan/readScan";
import { ScanButton } from "../../scan/ScanButton";
import { LearnCode } from "../../scan/LearnCode";
import { Form } from "../../kit/form";
import * as say from "../../words/count";

/** What stands here without being expected: a line of words, a scan, or a touch. A date can wait. */
export function Unexpected({ count, place, onClose }: { count: Count; place: number; onClose: () => void }) {
  const { note } = useActs();
  const places = (useQuery(placesQuery).data ?? []).filter((one) => count.places.some((inner) => inner.id === one.id));
  const [text, setText] = useState("");
  const [corrections, setCorrections] = useState<Corrections>({});
  const [nudge, setNudge] = useState("");
  const [hand, setHand] = useState(false);
  const [unknown, setUnknown] = useState<string | null>(null);
  const preview = usePreview(isScan(text) ? "" : text);
  const type = (next: string) => {
    setText(next);
    setCorrections({});
    setNudge("");
  };
  const add = async (draft: PutAway) => {
    type("");
    await note(`/api/counts/${count.id}/lines`, { draft }, say.besides);
  };
  const scan = async (code: string) => {
    const known: Known = await readScan(code);
    if (known.unknown) return setUnknown(known.unknown);
    if (!known.draft) return setNudge(known.words);
    await add({ ...known.draft, place_id: place });
  };
  const submit = async () => {
    if (text.trim() === "") return;
    if (isScan(text)) return scan(text.trim());
    const fresh = preview.read === text && preview.draft ? preview : await readLine(text);
    const here =
      fresh.draft?.place && places.some((one) => one.id === fresh.draft?.place?.id) ? {} : { place_id: place };
    const all = { ...here, ...corrections };
    const body = fresh.draft && putAwayFrom(fresh.draft, all);
    if (!body) {
      const { words, then } = held(fresh.draft, all);
      setCorrections((now) => ({ ...now, ...then }));
      return setNudge(words);
    }
    // The next line may be typed while this one is on its way.
    void add(body);
  };
  return (
    <Form className="board p-3 grid gap-2" label={say.somethingNotOn} onSave={submit}>
      <div className="flex items-center gap-2">
        <h2 className="grow">{say.newOnList}</h2>
        <Button look="plain" aria-label={say.close} onClick={onClose}>
          ✕
        </Button>
      </div>
      <input
        className="field !text-lead !border-2 !border-rim"
        data-unexpected
        autoFocus
        aria-label={say.whatStandsHere}
        placeholder={say.threeTinsTuna}
        value={text}
        maxLength={500}
        autoComplete="off"
        enterKeyHint="done"
        onChange={(event) => type(event.target.value)}
      />
      {text.trim() !== "" && !isScan(text) && (
        <div className="flex flex-wrap gap-2">
          <Labels
            preview={preview}
            corrections={{ place_id: place, ...corrections }}
            places={places}
            correct={(more) => setCorrections((now) => ({ ...now, ...more }))}
          />
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="main">
          {say.addIt}
        </Button>
        <Button onClick={() => setHand(true)}>{say.touchRecentFoods}</Button>
        <ScanButton onScan={(code) => void scan(code)} />
      </div>
      {nudge && (
        <p role="status" className="text-beet font-semibold">
          {nudge}
        </p>
      )}
      {hand && (
        <OneHand
          open
          onClose={() => setHand(false)}
          places={places}
          place={place}
          onPlace={() => undefined}
          send={(body) => add(body)}
        />
      )}
      {unknown && <LearnCode code={unknown} onClose={() => setUnknown(null)} onLearnt={() => void scan(unknown)} />}
    </Form>
  );
}
