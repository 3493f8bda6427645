import { Sheet } from "../kit/Sheet";
import { TABS } from "./tabs";

const KEYS: [string, string][] = [
  ["n", "label line: put something away"], ["/", "find on the shelf"], ["← → ↑ ↓", "walk the shelf"], ["Enter", "open the stack"], ["t", "take one"], ["o", "open a pack"], ["m", "move"], ["f", "freeze"], ["l", "look: it is good"],
  ["x", "throw"], ["k", "how to keep it"], ["z", "undo your own last act"], ["?", "these keys"], ["Esc", "close"],
];

export function KeysHelp({ open, onClose }: { open: boolean; onClose: () => void }) {
  const rows: [string, string][] = [...TABS.map((tab): [string, string] => [tab.key, tab.name]), ...KEYS];
  return (
    <Sheet open={open} onClose={onClose} title="Keys">
      <dl className="mt-3 grid grid-cols-[110px_1fr] gap-y-2">
        {rows.map(([key, words]) => (
          <div key={key} className="contents">
            <dt><kbd>{key}</kbd></dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <p className="text-soft mt-4">Single keys can be switched off in the menu with your name.</p>
    </Sheet>
  );
}
