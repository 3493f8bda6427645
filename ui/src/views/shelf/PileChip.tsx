import { memo } from "react";
import type { Stack } from "../../api/types";
import { ShelfChip } from "./ShelfChip";

interface Props {
  stack: Stack;
  name: string;
  place: string;
  tied: boolean;
  pile: number;
  /** What spreads the pile it stands for. */
  pileKey: string;
  onPick: (id: number) => void;
  onSpread: (key: string) => void;
}

/** A chip on a board, or the first of a pile. Drawn anew only when it itself changes: a shelf may hold thousands. */
export const PileChip = memo(function PileChip({ stack, name, place, tied, pile, pileKey, onPick, onSpread }: Props) {
  const many = pile > 1;
  return (
    <ShelfChip
      {...{ stack, name, place, tied, pile }}
      expanded={many ? false : undefined}
      onPick={() => (many ? onSpread(pileKey) : onPick(stack.id))}
    />
  );
});
