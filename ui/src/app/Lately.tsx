import { useQuery } from "@tanstack/react-query";
import { Link } from "wouter";
import { actsQuery } from "../api/queries";
import type { ActRow } from "../api/types";
import { Button } from "../kit/kit";
import { Sheet } from "../kit/Sheet";
import { Loaded } from "../kit/state";
import { dayWords } from "../words/common";
import { useActs } from "./acts";
import { useSession } from "./session";
import { useSignOut } from "./useSignOut";
import { MORE, PHONE, TABS } from "./tabs";
import { applyTheme, theme } from "./theme";
import * as say from "../words/app";

const TIME = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });
const WHEN = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" });

/** The day it happened; when it was noted, where that was another day. */
function whenWords(act: ActRow, today: string): string {
  const noted = new Date(act.noted_at);
  const day = dayWords(act.occurred_on, today);
  return noted.toLocaleDateString("sv-SE") === act.occurred_on
    ? `${day}, ${TIME.format(noted)}`
    : say.noted(day, WHEN.format(noted));
}

function Row({ act }: { act: ActRow }) {
  const { undo } = useActs();
  const { today } = useSession();
  return (
    <li className="flex items-center gap-3 py-2 border-b border-zinc2">
      <div className={`grow ${act.undone ? "line-through text-soft" : ""}`}>
        {act.summary}
        <div className="text-soft text-small">
          {act.person}, {whenWords(act, today)}
        </div>
      </div>
      {act.undoable && (
        <Button onClick={() => undo(act.id)} aria-label={say.undoThat(act.summary)}>
          {say.undo}
        </Button>
      )}
    </li>
  );
}

/**
 * What was done lately, by whom, each with its undo; on a phone also the way to everything that has no room in the
 * bar.
 */
export function Lately({
  open,
  more,
  onPlace,
  onClose,
}: {
  open: boolean;
  more: boolean;
  onPlace: () => void;
  onClose: () => void;
}) {
  const query = useQuery({ ...actsQuery, enabled: open || actsQuery.enabled });
  const signOut = useSignOut();
  return (
    <Sheet open={open} onClose={onClose} title={more ? say.more : say.lately}>
      {more && (
        <nav aria-label={say.more} className="grid grid-cols-2 gap-2 my-4">
          {TABS.filter((tab) => !PHONE.includes(tab.path)).map((tab) => (
            <Link key={tab.path} className="btn" to={tab.path} onClick={onClose}>
              {tab.name}
            </Link>
          ))}
          {MORE.map(([path, name]) => (
            <Link key={path} className="btn" to={path} onClick={onClose}>
              {name}
            </Link>
          ))}
          <Link className="btn" to="/bring-in" onClick={onClose}>
            {say.bringInList}
          </Link>
          <Button onClick={onPlace}>{say.newPlace}</Button>
          <a className="btn" href="/api/export.csv">
            {say.takeStockOut}
          </a>
          <Button onClick={() => applyTheme(theme() === "dark" ? "light" : "dark")}>{say.lightOrDark}</Button>
          <Button onClick={() => void signOut()}>{say.signOut}</Button>
        </nav>
      )}
      {more && <h3 className="mt-4">{say.lately}</h3>}
      <Loaded query={query} what={say.fetchingWhatWas}>
        {(acts) =>
          acts.length === 0 ? (
            <p className="text-soft mt-3">{say.nothingWasDone}</p>
          ) : (
            <ul className="mt-2">
              {acts.map((act) => (
                <Row key={act.id} act={act} />
              ))}
            </ul>
          )
        }
      </Loaded>
    </Sheet>
  );
}
