import { useQuery } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { barcodesQuery, shelfQuery } from "../../api/queries";
import { Board, Button } from "../../kit/kit";
import { shortName } from "../../kit/words";
import { CHANNEL } from "../../scan/useScanner";
import { Text } from "../../kit/form";

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
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() !== "") send(text.trim());
  };
  return (
    <div className="max-w-[900px] grid gap-4">
      <div><h1>Simulated scanner</h1><p className="text-soft">Stands in for a scanner that types. Open this page in a second window; each touch sends a scan to the first. A real scanner needs nothing but to be plugged in.</p></div>
      <form className="board p-3 flex gap-2 items-end flex-wrap" onSubmit={submit}>
        <Text wide="grow" label="Any code" value={text} onChange={(event) => setText(event.target.value)} placeholder="4006381333931 or (01)04006381333931(15)280531(10)L7" />
        <Button type="submit" look="main">Scan it</Button>
      </form>
      <p role="status" className="text-soft min-h-[20px]">{sent && `Sent ${sent}`}</p>
      <Board title="Packs that were learnt" note="Bar codes of packs">
        {codes.length === 0 && <p className="text-soft mt-2">None yet: send a number, and the first window asks what it is.</p>}
        <ul className="mt-2 grid wide:grid-cols-2 gap-2">{codes.map((one) => <li key={one.code}><Button className="card w-full" onClick={() => send(one.code.replace(/^0(?=\d{13}$)/, ""))}>{one.pack} {shortName(one.food)} <span className="text-soft font-normal">{one.code.replace(/^0+/, "")}</span></Button></li>)}</ul>
      </Board>
      <Board title="Labels on stacks" note="Square codes of the front of the shelf">
        <ul className="mt-2 grid wide:grid-cols-2 gap-2">{stacks.map((stack) => <li key={stack.id}><Button className="card w-full" onClick={() => send(`/s/${stack.id}`)}>{stack.name}</Button></li>)}</ul>
      </Board>
    </div>
  );
}
