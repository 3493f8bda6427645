import { Sheet } from "../kit/Sheet";
import { TABS } from "./tabs";
import * as say from "../words/app";

const KEYS: [string, string][] = [
  ["n", say.labelLinePut],
  ["/", say.findOnShelf],
  ["← → ↑ ↓", say.walkTheShelf],
  ["Enter", say.openTheStack],
  ["t", say.takeOne],
  ["o", say.openAPack],
  ["m", "move"],
  ["f", "freeze"],
  ["l", say.lookGood],
  ["x", "throw"],
  ["k", say.howKeep],
  ["z", say.undoYourOwn],
  ["?", say.theseKeys],
  ["Esc", "close"],
];

export function KeysHelp({ open, onClose }: { open: boolean; onClose: () => void }) {
  const rows: [string, string][] = [...TABS.map((tab): [string, string] => [tab.key, tab.name]), ...KEYS];
  return (
    <Sheet open={open} onClose={onClose} title={say.keys}>
      <dl className="mt-3 grid grid-cols-[110px_1fr] gap-y-2">
        {rows.map(([key, words]) => (
          <div key={key} className="contents">
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <p className="text-soft mt-4">{say.singleKeysCan}</p>
    </Sheet>
  );
}
