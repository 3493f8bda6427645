import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import * as say from "../words/kit";
import { css } from "./css";

/** A sheet from the side; on a phone it fills the screen. */
export function Sheet({
  open,
  onClose,
  title,
  children,
}: {
  open: boolean;
  onClose: () => void;
  title: ReactNode;
  children: ReactNode;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/35 z-40" />
        <Dialog.Content
          aria-describedby={undefined}
          className={css(
            "sheet-in fixed z-50 right-0 top-0 bottom-0 w-[460px] max-w-full bg-enamel border-l-[5px]",
            "border-rim overflow-y-auto p-5 phone:w-full phone:border-l-0 phone:border-t-[5px]",
          )}
        >
          <div className="sheet-head flex items-start gap-3">
            <Dialog.Title className="text-head grow min-w-0 break-words">{title}</Dialog.Title>
            <Dialog.Close className="btn shrink-0" data-look="plain" aria-label={say.close}>
              ✕
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
