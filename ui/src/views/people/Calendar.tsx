import { useState } from "react";
import type { DoorDone, PeoplePage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { Secret } from "./Members";

/** A private calendar address for last good days, thawing, care and checks; it can be ended at any time. */
export function Calendar({ page }: { page: PeoplePage }) {
  const { act } = useActs();
  const { address } = useSession();
  const [link, setLink] = useState("");
  const open = async () => {
    const done = await act<DoorDone>("/api/feeds", {}, "calendar feed");
    if (done?.path) setLink((address ?? window.location.origin) + done.path);
  };
  return (
    <Board title="Calendar" note="Last good days, thawing, care and checks, for any calendar that reads iCalendar">
      {page.feeds.map((feed) => (
        <div key={feed.id} className="flex items-center gap-2 border-t border-zinc2 py-2 mt-2">
          <span className="grow">A feed of yours, made {new Date(feed.made_at).toLocaleDateString("en-GB", { day: "numeric", month: "short", year: "numeric" })}</span>
          <Button look="grave" onClick={() => act(`/api/feeds/${feed.id}/revoke`, {}, "end the feed").then(() => setLink(""))}>End it</Button>
        </div>
      ))}
      <Button className="mt-2" onClick={() => void open()}>Make a private address</Button>
      {link && <Secret link={link} words="Whoever has this address sees these days. It is shown only now, and an earlier one leads nowhere any more." />}
    </Board>
  );
}
