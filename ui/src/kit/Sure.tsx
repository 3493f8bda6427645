import { useEffect, useRef, useState, type ComponentProps, type ReactNode } from "react";
import { Button } from "./kit";
import * as say from "../words/kit";

type Props = Omit<ComponentProps<typeof Button>, "onClick"> & { ask: ReactNode; yes: string; onYes: () => unknown };

/** What cannot be taken back by oneself is asked once more, in its place. */
export function Sure({ ask, yes, onYes, children, ...rest }: Props) {
  const [asked, setAsked] = useState(false);
  const no = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (asked) no.current?.focus();
  }, [asked]);
  if (!asked)
    return (
      <Button {...rest} onClick={() => setAsked(true)}>
        {children}
      </Button>
    );
  const go = () => {
    setAsked(false);
    return onYes();
  };
  return (
    <span role="group" className="flex flex-wrap items-center gap-2">
      <span role="status" className="text-beet font-semibold">
        {ask}
      </span>
      <Button look="grave" onClick={go}>
        {yes}
      </Button>
      <Button ref={no} onClick={() => setAsked(false)}>
        {say.ratherNot}
      </Button>
    </span>
  );
}
