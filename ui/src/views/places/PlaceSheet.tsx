import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "wouter";
import { useGo } from "../../app/address";
import { placeQuery } from "../../api/queries";
import type { Place, PlaceDetail } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Button, StackChip } from "../../kit/kit";
import { Sheet } from "../../kit/Sheet";
import { Sure } from "../../kit/Sure";
import { Loaded } from "../../kit/state";
import { NewCare } from "../shelf/StackCare";
import { BoxFit } from "./BoxFit";
import { EditPlace } from "./EditPlace";
import { TakePicture } from "../../kit/TakePicture";
import { dayWords } from "../../words/common";
import { standingBox } from "../../words/box";
import { lookThrough } from "../../words/check";
import * as say from "../../words/places";

/** One place: its picture, the room left, what stands wrong there, what fits. */
export function PlaceSheet({ id, places, onClose }: { id: number; places: Place[]; onClose: () => void }) {
  const query = useQuery(placeQuery(id));
  return (
    <Sheet open onClose={onClose} title={query.data?.place.name ?? say.placeField}>
      <Loaded query={query} what={say.fetchingThePlace}>
        {(detail) => (
          <Body key={detail.place.id} detail={detail} places={places} onClose={onClose} stamp={query.dataUpdatedAt} />
        )}
      </Loaded>
    </Sheet>
  );
}

function Body({
  detail,
  places,
  onClose,
  stamp,
}: {
  detail: PlaceDetail;
  places: Place[];
  onClose: () => void;
  stamp: number;
}) {
  const { act } = useActs();
  const { person, today } = useSession();
  const keeper = person?.role === "keeper";
  const [panel, setPanel] = useState<"edit" | "fit" | "care" | null>(null);
  const place = detail.place;
  return (
    <div className="grid gap-4 mt-2">
      {place.note && <p>{place.note}</p>}
      {place.off_since && <p className="text-beet font-semibold">{say.isOff(dayWords(place.off_since, today))}</p>}
      <Photo place={place} stamp={stamp} />
      {detail.room_left && (
        <section>
          <h3>
            {detail.room_left.litres} {say.ofIt} {detail.room_left.of} {say.litresAreFree}
          </h3>
          <ul className="text-soft text-small">
            {detail.room_left.steps.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ul>
        </section>
      )}
      <div className="flex flex-wrap gap-2">
        <Link className="btn" to={`/shelf?place=${place.id}`}>
          {say.seeItsStacks}
        </Link>
        <Link className="btn" to={`/places/${place.id}/box`}>
          {standingBox}
        </Link>
        {place.stacks > 0 && (
          <Link className="btn" to={`/places/${place.id}/check`}>
            {lookThrough}
          </Link>
        )}
        {keeper && (
          <Button aria-expanded={panel === "edit"} onClick={() => setPanel(panel === "edit" ? null : "edit")}>
            {say.changeIt}
          </Button>
        )}
        <Button aria-expanded={panel === "fit"} onClick={() => setPanel(panel === "fit" ? null : "fit")}>
          {say.willBoxFit}
        </Button>
        <Button aria-expanded={panel === "care"} onClick={() => setPanel(panel === "care" ? null : "care")}>
          {say.checkRemember}
        </Button>
        <Switch place={place} />
        {keeper && place.stacks === 0 && (
          <Button
            look="grave"
            onClick={() =>
              act(`/api/places/${place.id}/remove`, {}, say.takeAway(place.name)).then((done) => done && onClose())
            }
          >
            {say.takeItAway}
          </Button>
        )}
      </div>
      {panel === "care" && <NewCare target={{ place_id: place.id }} today={today} onDone={() => setPanel(null)} />}
      {panel === "edit" && <EditPlace place={place} places={places} onDone={() => setPanel(null)} />}
      {panel === "fit" && <BoxFit place={place} />}
      <Wrong detail={detail} />
      <AtRisk detail={detail} />
    </div>
  );
}

/** A fridge that is off is a cupboard: with food in it that is asked once more. */
function Switch({ place }: { place: Place }) {
  const { act } = useActs();
  const off = place.off_since === null;
  if (off && !["fridge", "freezer"].includes(place.kind)) return null;
  const go = () => act(`/api/places/${place.id}/switch`, { off }, say.switchWord(place.off_since));
  if (!off || place.stacks === 0) return <Button onClick={go}>{say.switchWord(place.off_since)}</Button>;
  return (
    <Sure ask={say.surelyOff(place.stacks)} yes={say.switchWord(null)} onYes={go}>
      {say.switchWord(null)}
    </Sure>
  );
}

function Photo({ place, stamp }: { place: Place; stamp: number }) {
  const { act } = useActs();
  const put = (content: string) => act(`/api/places/${place.id}/photo`, { content }, say.pictureOf(place.name));
  return (
    <figure>
      {place.photo && (
        <img
          src={`/api/places/${place.id}/photo?v=${stamp}`}
          alt={say.whatLooksLike(place.name)}
          className="w-full max-h-[260px] object-cover rounded-xl"
        />
      )}
      <TakePicture words={place.photo ? say.aNewPicture : say.takePictureLook} onPicture={put} />
    </figure>
  );
}

function Wrong({ detail }: { detail: PlaceDetail }) {
  if (detail.warnings.length === 0) return null;
  return (
    <section>
      <h3>{say.wrongHere}</h3>
      <ul className="grid gap-2 mt-2">
        {detail.warnings.map((one) => (
          <li key={one.kind + one.stack.id} className="border-l-4 border-beet pl-3">
            <Link className="font-semibold underline" to={`/shelf?stack=${one.stack.id}`}>
              {one.stack.name}
            </Link>
            <div className="text-small">{one.text}</div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function AtRisk({ detail }: { detail: PlaceDetail }) {
  const [open, setOpen] = useState(false);
  const go = useGo();
  if (detail.at_risk.length === 0) return null;
  return (
    <section>
      <Button look="plain" className="!px-0" aria-expanded={open} onClick={() => setOpen(!open)}>
        {say.countPacks(detail.at_risk.length)} {say.inPaperCard}
      </Button>
      {open && (
        <ul className="grid grid-cols-2 gap-2 mt-2">
          {detail.at_risk.map((stack) => (
            <li key={stack.id}>
              <StackChip stack={stack} place={detail.place.name} onPick={() => void go(`/shelf?stack=${stack.id}`)} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
