import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { barcodesQuery, shelfQuery } from "../../api/queries";
import { Board, Button } from "../../kit/kit";
import { shortName } from "../../words/common";
import { CHANNEL } from "../../scan/useScanner";
import { Text, Form } from "../../kit/form";
import * as say from "../../words/devices";

/** Stands in for a hand scanner: open it in a second window, touch a code, and the first window gets the scan. */
export default function ScannerPage() {
  const codes = useQuery(barcodesQuery).data ?? [];
  const stacks = (useQuery(shelfQuery).data?.stacks ?? []).slice(0, 12);
  const [text, setText] = useState("");
  const [sent, setSent] = useState("");
  const send = (code: string) => {
    const channel = new BroadcastChannel(CHANNEL);
    channel.postMessage(code);
    channel.close();
    setSent(code);
  };
  return (
    <div className="max-w-[900px] grid gap-4">
      <div>
        <h1>{say.simulatedScanner}</h1>
        <p className="text-soft">{say.standsInForScanner}</p>
      </div>
      <Form className="board p-3 flex gap-2 items-end flex-wrap" onSave={() => text.trim() !== "" && send(text.trim())}>
        <Text
          wide="grow"
          label={say.anyCode}
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder={say.exampleOr01}
        />
        <Button type="submit" look="main">
          {say.scanIt}
        </Button>
      </Form>
      <p role="status" className="text-soft min-h-[20px]">
        {sent && say.sent(sent)}
      </p>
      <Board title={say.packsWereLearnt} note={say.barCodesPacks}>
        {codes.length === 0 && <p className="text-soft mt-2">{say.noneYetSend}</p>}
        <ul className="mt-2 grid wide:grid-cols-2 gap-2">
          {codes.map((one) => (
            <li key={one.code}>
              <Button className="card w-full" onClick={() => send(one.code.replace(/^0(?=\d{13}$)/, ""))}>
                {one.pack} {shortName(one.food)}{" "}
                <span className="text-soft font-normal">{one.code.replace(/^0+/, "")}</span>
              </Button>
            </li>
          ))}
        </ul>
      </Board>
      <Board title={say.labelsOnStacks} note={say.squareCodesFront}>
        <ul className="mt-2 grid wide:grid-cols-2 gap-2">
          {stacks.map((stack) => (
            <li key={stack.id}>
              <Button className="card w-full" onClick={() => send(`/s/${stack.id}`)}>
                {stack.name}
              </Button>
            </li>
          ))}
        </ul>
      </Board>
    </div>
  );
}
