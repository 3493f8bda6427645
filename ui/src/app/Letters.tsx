import { useState } from "react";
import { useGo } from "./address";
import * as outbox from "../api/outbox";
import { Button } from "../kit/kit";
import { Sheet } from "../kit/Sheet";
import { dayWords } from "../words/common";
import { lines, takeAside, putAside, type BackInLine } from "../label-line/aside";
import { lineBack } from "../label-line/lineBack";
import { useActs } from "./acts";
import { bothSides, insisting, viewOf } from "./letterWords";
import { useSession } from "./session";
import { useKept } from "./useKept";
import * as say from "../words/letters";

type Dropped = { words: string; back: () => void };

/** What was typed or done and has not been taken in: on its way, in need of an answer, or refused. */
export function Letters({ onClose }: { onClose: () => void }) {
  const all = useKept(outbox.letters);
  const aside = useKept(lines);
  const [dropped, setDropped] = useState<Dropped | null>(null);
  const pending = all.filter((letter) => letter.state === "pending");
  const refused = all.filter((letter) => letter.state === "refused");
  const drop = (letter: outbox.Letter) => {
    outbox.drop(letter.key);
    setDropped({ words: letter.words, back: () => outbox.store(letter) });
  };
  const dropLine = (index: number) => {
    const line = takeAside(index);
    if (line) setDropped({ words: line.text, back: () => putAside(line) });
  };
  const bringBack = () => {
    dropped?.back();
    setDropped(null);
  };
  return (
    <Sheet open onClose={onClose} title={say.title}>
      <p className="text-soft mt-2">{say.note}</p>
      <Group title={say.refused} empty={refused.length === 0}>
        {refused.map((letter) => (
          <Refused key={letter.key} letter={letter} onDrop={drop} onClose={onClose} />
        ))}
      </Group>
      <Group title={say.asks} empty={aside.length === 0}>
        {aside.map((line, index) => (
          <Line key={`${index}-${line.text}`} line={line} index={index} onDrop={dropLine} onClose={onClose} />
        ))}
      </Group>
      <Group title={say.pending} empty={pending.length === 0}>
        {pending.map((letter) => (
          <Pending key={letter.key} letter={letter} onDrop={drop} />
        ))}
      </Group>
      {all.length + aside.length === 0 && <p className="mt-4">{say.none}</p>}
      {dropped && (
        <p role="status" className="mt-4">
          {say.dropped(dropped.words)} <Button onClick={bringBack}>{say.bringBack}</Button>
        </p>
      )}
    </Sheet>
  );
}

function Group({ title, empty, children }: { title: string; empty: boolean; children: React.ReactNode }) {
  if (empty) return null;
  return (
    <section className="mt-4" aria-label={title}>
      <h3>{title}</h3>
      <ul>{children}</ul>
    </section>
  );
}

const row = "py-2 border-b border-zinc2 grid gap-1";

function When({ letter }: { letter: outbox.Letter }) {
  const { today } = useSession();
  return <span className="text-soft text-small">{say.done(dayWords(letter.on, today))}</span>;
}

function Pending({ letter, onDrop }: { letter: outbox.Letter; onDrop: (letter: outbox.Letter) => void }) {
  const { again } = useActs();
  return (
    <li className={row}>
      <b className="break-words">{letter.words}</b>
      <When letter={letter} />
      <div className="flex gap-2">
        <Button onClick={() => again(letter)}>{say.sendNow}</Button>
        <Button look="plain" aria-label={say.dropThis(letter.words)} onClick={() => onDrop(letter)}>
          {say.drop}
        </Button>
      </div>
    </li>
  );
}

function Refused({
  letter,
  onDrop,
  onClose,
}: {
  letter: outbox.Letter;
  onDrop: (letter: outbox.Letter) => void;
  onClose: () => void;
}) {
  const { again } = useActs();
  const go = useGo();
  const sides = bothSides(letter);
  const view = viewOf(letter);
  const look = () => {
    onClose();
    if (view) void go(view);
  };
  return (
    <li className={row}>
      <b className="break-words">{letter.words}</b>
      <When letter={letter} />
      <span className="text-beet">{letter.problem?.title}</span>
      {letter.problem?.remedy && <span className="text-soft">{letter.problem.remedy}</span>}
      {sides.length > 0 && (
        <table className="text-small w-full">
          <thead>
            <tr className="text-left">
              <th />
              <th>{say.yours}</th>
              <th>{say.saysNow}</th>
            </tr>
          </thead>
          <tbody>
            {sides.map((side) => (
              <tr key={side.name}>
                <th className="text-left font-normal">{side.name}</th>
                <td className="break-words">{side.mine}</td>
                <td className="break-words">{side.theirs}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="flex flex-wrap gap-2">
        {view && (
          <Button look="main" onClick={look}>
            {say.look}
          </Button>
        )}
        <Button onClick={() => again(insisting(letter))}>{sides.length > 0 ? say.mineStands : say.sendAgain}</Button>
        <Button look="plain" aria-label={say.dropThis(letter.words)} onClick={() => onDrop(letter)}>
          {say.drop}
        </Button>
      </div>
    </li>
  );
}

interface LineProps {
  line: BackInLine;
  index: number;
  onDrop: (index: number) => void;
  onClose: () => void;
}

function Line({ line, index, onDrop, onClose }: LineProps) {
  const edit = () => {
    const taken = takeAside(index);
    onClose();
    if (taken) lineBack(taken);
  };
  return (
    <li className={row}>
      <b className="break-words">{line.text}</b>
      <div className="flex gap-2">
        <Button look="main" onClick={edit}>
          {say.edit}
        </Button>
        <Button look="plain" aria-label={say.dropThis(line.text)} onClick={() => onDrop(index)}>
          {say.drop}
        </Button>
      </div>
    </li>
  );
}
