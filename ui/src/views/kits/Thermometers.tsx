import { Board, Button } from "../../kit/kit";
import * as say from "../../words/outage";

const TOUCHES: ["fridge" | "freezer", string, string[]][] = [
  ["fridge", say.fridge, ["4", "5", "6", "8", "10", "15"]],
  ["freezer", say.freezer, ["-18", "-12", "-6", "-1", "3", "6"]],
];

/** What the thermometers of fridge and freezer say, in one touch. */
export function Thermometers({ onRead }: { onRead: (where: string, name: string, celsius: string) => unknown }) {
  return (
    <Board title={say.reading} note={say.touch}>
      {TOUCHES.map(([where, name, list]) => (
        <div key={where} className="flex flex-wrap items-center gap-2 mt-2">
          <span className="w-[9ch] phone:w-full font-semibold">{name}</span>
          {list.map((c) => (
            <Button key={c} aria-label={say.readAs(name, c)} onClick={() => onRead(where, name, c)}>
              {say.degree(c)}
            </Button>
          ))}
        </div>
      ))}
    </Board>
  );
}
