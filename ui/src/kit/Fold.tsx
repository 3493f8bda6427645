import { Collapsible } from "radix-ui";
import { useState, type ReactNode } from "react";
import * as say from "../words/kit";
import { css } from "./css";

/** A board of which only the first line is seen until it is opened. */
export function Fold({
  title,
  note,
  tone = "rim",
  children,
}: {
  title: ReactNode;
  note?: ReactNode;
  tone?: "rim" | "mustard";
  children: ReactNode;
}) {
  const edge = { rim: "border-t-rim", mustard: "border-t-mustard" }[tone];
  return (
    <Collapsible.Root asChild>
      <section className={`board ${edge} px-3 py-0.5`}>
        <Collapsible.Trigger
          className={css("fold flex items-center gap-x-3 w-full", "text-left min-h-[36px] phone:min-h-[44px]")}
        >
          <h2 className="shrink-0">{title}</h2>
          {note && <span className="text-soft text-small truncate">{note}</span>}
        </Collapsible.Trigger>
        <Collapsible.Content>{children}</Collapsible.Content>
      </section>
    </Collapsible.Root>
  );
}

/** The first few of a list, and the rest at a touch. */
export function FirstOf<T>({
  list,
  most,
  what,
  children,
}: {
  list: T[];
  most: number;
  what: string;
  children: (item: T) => ReactNode;
}) {
  const [all, setAll] = useState(false);
  // One more row costs no more room than the button that would hide it.
  const cut = !all && list.length > most + 1;
  const shown = cut ? list.slice(0, most) : list;
  return (
    <>
      {shown.map(children)}
      {cut && (
        <li className="border-t border-zinc2">
          <button
            type="button"
            className="text-rim font-semibold min-h-[34px] phone:min-h-[44px] w-full text-left"
            onClick={() => setAll(true)}
          >
            +{list.length - shown.length} {say.more} {what}
          </button>
        </li>
      )}
    </>
  );
}
