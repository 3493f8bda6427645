import { useState } from "react";
import type { DoorDone, PeoplePage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { Secret } from "./Members";
import * as say from "../../words/people";

/** A private calendar address for last good days, thawing, care and checks; it can be ended at any time. */
export function Calendar({ page }: { page: PeoplePage }) {
  const { act } = useActs();
  const { address } = useSession();
  const [link, setLink] = useState("");
  const open = async () => {
    const done = await act<DoorDone>("/api/feeds", {}, say.calendarFeed);
    if (done?.path) setLink((address ?? window.location.origin) + done.path);
  };
  return (
    <Board title={say.calendar} note={say.lastGoodDays}>
      {page.feeds.map((feed) => (
        <div key={feed.id} className="flex items-center gap-2 border-t border-zinc2 py-2 mt-2">
          <span className="grow">
            {say.feedYoursMade}{" "}
            {new Date(feed.made_at).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" })}
          </span>
          <Button
            look="grave"
            onClick={() => act(`/api/feeds/${feed.id}/revoke`, {}, say.endTheFeed).then(() => setLink(""))}
          >
            {say.endIt}
          </Button>
        </div>
      ))}
      <Button className="mt-2" onClick={() => void open()}>
        {say.makePrivateAddress}
      </Button>
      {link && <Secret link={link} words={say.whoeverHasThis} />}
    </Board>
  );
}
