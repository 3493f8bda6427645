import { useState, type ButtonHTMLAttributes, type MouseEvent, type ReactNode, type Ref } from "react";
import type { Stack } from "../api/types";
import { Mark } from "./Mark";
import { dayTab, shortAmount, shortName, stackWords } from "../words/common";
import * as say from "../words/kit";
import { css } from "./css";

type Look = "main" | "quiet" | "plain" | "grave";

type Press = (event: MouseEvent<HTMLButtonElement>) => unknown;

/** What a press sets off may take a while: until it is over the button says so. Each press still counts. */
export function Button({
  look = "quiet",
  className = "",
  type = "button",
  onClick,
  ...rest
}: Omit<ButtonHTMLAttributes<HTMLButtonElement>, "onClick"> & {
  look?: Look;
  onClick?: Press;
  ref?: Ref<HTMLButtonElement>;
}) {
  const [under, setUnder] = useState(0);
  const press = (event: MouseEvent<HTMLButtonElement>) => {
    const answer = onClick?.(event);
    if (!(answer instanceof Promise)) return;
    setUnder((count) => count + 1);
    void answer.finally(() => setUnder((count) => count - 1));
  };
  return (
    <button
      type={type}
      data-look={look}
      className={`btn ${className}`}
      aria-busy={under > 0 || undefined}
      onClick={press}
      {...rest}
    />
  );
}

interface ChipProps {
  stack: Stack;
  /** What it is called here; its short name where nothing else is. */
  name?: string;
  place: string;
  tied?: boolean;
  pile?: number;
  onPick: () => void;
  expanded?: boolean;
  /** The level is shown by something laid over it. */
  bare?: boolean;
}

/** A stack on the shelf. Its state is told by edge, hatch, fill and words, never by colour alone. */
export function StackChip({ stack, name, place, tied = false, pile = 1, onPick, expanded, bare = false }: ChipProps) {
  return (
    <button
      type="button"
      className="chip"
      data-state={stack.state}
      data-open={stack.open ? "yes" : "no"}
      data-frozen={stack.frozen ? "yes" : "no"}
      data-tied={tied ? "yes" : "no"}
      data-pile={pile > 1 ? "yes" : "no"}
      data-chip={stack.id}
      aria-expanded={expanded}
      title={`${stack.name}, ${stack.level ?? stack.amount}`}
      onClick={onPick}
    >
      <Mark kind={stack.mark} className="chip-mark" />
      <span className="chip-name">{name ?? shortName(stack.name)}</span>
      <span className="chip-line">
        <span className="tab-day">{dayTab(stack)}</span>
        {stack.level ? (
          !bare && <Notches level={stack.level} />
        ) : (
          <span className="chip-amount">{pile > 1 ? say.stacks(pile) : shortAmount(stack.amount)}</span>
        )}
      </span>
      <span className="sr-only">{stackWords(stack, place, tied)}</span>
    </button>
  );
}

const LEVELS = ["out", "low", "half", "plenty"];

/** What is kept by level shows four notches. */
export function Notches({ level }: { level: string }) {
  const full = LEVELS.indexOf(level);
  return (
    <span className="inline-flex gap-[2px] items-center" aria-hidden="true">
      {LEVELS.map((name, index) => (
        <span
          key={name}
          className={css(
            "w-[8px] h-[11px] shrink-0 rounded-[2px] border",
            `border-edge ${index <= full && full > 0 ? "bg-pea" : ""}`,
          )}
        />
      ))}
    </span>
  );
}

export function Board({
  title,
  note,
  children,
  className = "",
  tone = "rim",
}: {
  title?: ReactNode;
  note?: ReactNode;
  children: ReactNode;
  className?: string;
  tone?: "rim" | "beet" | "mustard";
}) {
  const edge = { rim: "border-t-rim", beet: "border-t-beet", mustard: "border-t-mustard" }[tone];
  return (
    <section className={`board ${edge} px-3 pt-2.5 pb-2 ${className}`}>
      {title && <h2>{title}</h2>}
      {note && <p className="text-soft text-small mt-0.5">{note}</p>}
      {children}
    </section>
  );
}

export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="board p-8 text-center">
      <h2>{title}</h2>
      <div className="text-soft mt-2 max-w-[56ch] mx-auto">{children}</div>
    </div>
  );
}

export function Waiting({ what }: { what: string }) {
  return (
    <p role="status" className="board p-6 text-soft">
      {what} …
    </p>
  );
}
