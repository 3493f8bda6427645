import { useEffect, useRef, useState } from "react";
import type { Place, StackDetail } from "../../api/types";
import { Button } from "../../kit/kit";
import type { Doing, Input } from "./doings";
import { Effect } from "./Effect";
import { Day, Form, Pick, Text, Whole } from "../../kit/form";
import { Jars, Known, Part, Portions, Signs, Sources, Where } from "./ActFields";
import * as say from "../../words/shelf";

interface Props {
  doing: Doing;
  detail: StackDetail;
  places: Place[];
  onDo: (act: string, input: Input) => Promise<unknown>;
}

/** Nothing has to be said, so the hand waits on the button: Enter does it. */
const AT_ONCE = ["open", "freeze", "thaw", "look"];

/** One thing to do to a stack: what it needs to know, what it does to the date, and the button that does it. */
export function ActPanel({ doing, detail, places, onDo }: Props) {
  const form = useRef<HTMLFormElement | null>(null);
  const read = () => (form.current ? doing.input(new FormData(form.current), detail, places) : null);
  const [input, setInput] = useState<Input | null>(null);
  const [danger, setDanger] = useState(false);
  useEffect(() => {
    const first = AT_ONCE.includes(doing.key)
      ? null
      : form.current?.querySelector<HTMLElement>("select, input:not([type=checkbox])");
    (first ?? form.current?.querySelector<HTMLElement>("[data-confirm]"))?.focus();
  }, [doing.key]);
  const submit = () => {
    const now = read();
    return now && onDo(doing.act, now);
  };
  const changed = (element: HTMLFormElement) => {
    form.current = element;
    setInput(read());
  };
  return (
    <Form
      className="board p-3 grid gap-2"
      label={doing.name}
      keep={`do.${detail.stack.id}.${doing.key}`}
      onSave={submit}
      onInput={changed}
    >
      <Fields doing={doing} detail={detail} places={places} onReady={() => setInput(read())} />
      {doing.note && <p className="text-soft text-small">{doing.note}</p>}
      {input && <Effect id={detail.stack.id} act={doing.act} input={input} onDanger={setDanger} />}
      <Button type="submit" look={danger && doing.key !== "throw" ? "grave" : doing.look} data-confirm>
        {danger && !["throw", "look"].includes(doing.key) ? say.thoughNotEat(doing.confirm) : doing.confirm}
      </Button>
    </Form>
  );
}

function Fields({ doing, detail, places, onReady }: Omit<Props, "onDo"> & { onReady: () => void }) {
  switch (doing.key) {
    case "take":
      return (
        <Part detail={detail} label={say.howMuch} value={detail.stack.open ? undefined : (detail.stack.pack ?? "1")} />
      );
    case "open":
      return null;
    case "freeze":
    case "thaw":
      return <Part detail={detail} label={say.howMuchEmpty} />;
    case "move":
      return (
        <>
          <Where places={places.filter((place) => place.id !== detail.stack.place_id)} />
          <Part detail={detail} label={say.howMuchEmpty} />
        </>
      );
    case "look":
      return <Signs detail={detail} />;
    case "pests":
      return (
        <>
          <Whole label={say.gnawedPacks} name="packs" min={1} max={100000} required defaultValue={1} />
          <Whole label={say.sealedInside} name="inner" min={0} max={1000} defaultValue={0} />
          <Whole label={say.soundKept} name="kept" min={0} max={100000} defaultValue={0} />
        </>
      );
    case "ripened":
    case "cut":
    case "cooked":
      return (
        <>
          <Where places={places} stays detail={detail} cold={doing.key !== "ripened"} />
          <Part detail={detail} label={say.howMuchEmpty} />
        </>
      );
    case "portion":
      return <Portions detail={detail} places={places} />;
    case "decant":
      return (
        <>
          <Jars onReady={onReady} />
          <Part detail={detail} label={say.howMuchEmptyFor} />
        </>
      );
    case "top-up":
      return (
        <>
          <Sources detail={detail} onReady={onReady} />
          <Part detail={detail} label={say.howMuchEmptyFor} />
        </>
      );
    case "set-apart":
      return (
        <>
          <Text label={say.whatFor} name="for" required maxLength={120} placeholder={say.forExample} />
          <Part detail={detail} label={say.howMuchAllFree} />
          <Day label={say.untilDay} name="until" />
        </>
      );
    case "store":
      return (
        <Pick
          name="method"
          label={say.stored}
          options={detail.storage.ways
            .filter((way) => way !== detail.storage.now)
            .map((way): [string, string] => [way, WAYS[way] ?? way])}
        />
      );
    case "amend":
      return <Known detail={detail} />;
    case "correct":
      return (
        <>
          <Part detail={detail} label={say.whatReallyThere} required />
          <Text label={say.whatHappened} name="why" maxLength={200} placeholder={say.typed10Was} />
        </>
      );
    case "throw":
      return (
        <>
          <Pick
            name="outcome"
            label={say.whereItGoes}
            options={OUTCOMES.filter(([way]) => detail.ways_out.some((one) => one === way))}
          />
          <Pick name="why" label={say.why} options={WHYS} />
          <Part detail={detail} label={say.howMuchEmpty} />
        </>
      );
    default:
      return null;
  }
}

const OUTCOMES: [string, string][] = [
  ["binned", say.bin],
  ["composted", say.compost],
  ["given_away", say.giveAway],
  ["animals", say.toTheAnimals],
];
const WHYS: [string, string][] = [
  ["turned", say.itTurned],
  ["forgotten", say.forgottenAtBack],
  ["bought_too_much", say.boughtTooMuch],
  ["disliked", say.nobodyLikesIt],
  ["pest", "pests"],
  ["damaged", "damaged"],
  ["recalled", "recalled"],
  ["other", say.anotherReason],
];
const WAYS: Record<string, string> = {
  bag: say.inABag,
  jar: say.inClosedJar,
  water: say.standingInWater,
  paper: say.wrappedInPaper,
  vacuum: say.withoutAir,
};
