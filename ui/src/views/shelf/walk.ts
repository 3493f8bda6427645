/** Where an arrow leads: pure geometry over the boxes of the chips. */
export interface Box {
  x: number;
  y: number;
}

export function nearest(from: Box, all: Box[], key: string): number {
  const horizontal = key === "ArrowLeft" || key === "ArrowRight";
  const sign = key === "ArrowLeft" || key === "ArrowUp" ? -1 : 1;
  let best = -1;
  let least = Infinity;
  all.forEach((box, index) => {
    const along = (horizontal ? box.x - from.x : box.y - from.y) * sign;
    const across = Math.abs(horizontal ? box.y - from.y : box.x - from.x);
    const cost = along + across * 2.5;
    if (along > 4 && cost < least) {
      least = cost;
      best = index;
    }
  });
  return best;
}

const ARROWS = ["ArrowLeft", "ArrowRight", "ArrowUp", "ArrowDown"];

/**
 * Each board is one stop for the Tab key: the chip one was on last, or its first. From there the arrows lead, so that
 * nobody presses Tab a hundred times to come past the shelf.
 */
export function stops(root: HTMLElement): void {
  root.querySelectorAll("section").forEach((board) => {
    const chips = [...board.querySelectorAll<HTMLElement>("[data-chip]")];
    const stop =
      chips.find((chip) => chip === document.activeElement) ??
      chips.find((chip) => chip.getAttribute("tabindex") === "0") ??
      chips[0];
    for (const chip of chips) {
      const wanted = chip === stop ? "0" : "-1";
      if (chip.getAttribute("tabindex") !== wanted) chip.setAttribute("tabindex", wanted);
    }
  });
}

/** Moves the focus along the chips inside `root`; true when the key was an arrow on a chip. */
export function walk(key: string, root: HTMLElement): boolean {
  if (
    !ARROWS.includes(key) ||
    !(document.activeElement instanceof HTMLElement) ||
    document.activeElement.dataset.chip === undefined
  )
    return false;
  const chips = [...root.querySelectorAll<HTMLElement>("[data-chip]")];
  const centre = (chip: HTMLElement): Box => {
    const rect = chip.getBoundingClientRect();
    return { x: rect.left, y: rect.top + rect.height / 2 };
  };
  const target = chips[nearest(centre(document.activeElement), chips.map(centre), key)];
  target?.focus();
  return true;
}
