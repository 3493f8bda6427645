import { Popover } from "radix-ui";
import { useState, type ReactNode } from "react";
import { Form, Submit } from "../kit/form";
import * as say from "../words/labelLine";

/** A small label that opens into a little form: any one thing can be put right without typing the line again. */
export function EditLabel({
  label,
  sure = true,
  title,
  children,
  onSave,
}: {
  label: ReactNode;
  sure?: boolean;
  title: string;
  children: ReactNode;
  onSave: (form: FormData) => void;
}) {
  const [open, setOpen] = useState(false);
  const save = (form: FormData) => {
    onSave(form);
    setOpen(false);
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="pill phone:min-h-[40px]" data-sure={sure ? "yes" : "no"}>
        {label}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={6}
          aria-label={title}
          className="z-50 bg-board text-ink border border-edge rounded-xl p-3 shadow-lg w-[260px]"
        >
          <Form onSave={save} className="grid gap-2">
            {children}
            <Submit>{say.putItRight}</Submit>
          </Form>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
