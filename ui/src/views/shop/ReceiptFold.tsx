import { useState } from "react";
import { newKey, post, Problem } from "../../api/client";
import type { ReceiptCheck } from "../../api/types";
import { useActs } from "../../app/acts";
import { useMoney } from "../../app/session";
import { Fold } from "../../kit/Fold";
import { Field, Form, Submit } from "../../kit/form";
import { Button } from "../../kit/kit";
import * as say from "../../words/receipt";

function Pairs({ pairs }: { pairs: ReceiptCheck["pairs"] }) {
  const money = useMoney();
  return (
    <ul>
      {pairs.map((pair) => (
        <li key={pair.ref} className="border-t border-zinc2 py-1 flex gap-3">
          <span className="grow min-w-0">
            <b>{pair.text}</b>
            <span className="block text-small text-soft">{say.lines(pair.lines)}</span>
          </span>
          <span className={`text-right ${pair.same ? "" : "text-beet"}`}>
            {money(pair.paid_minor)}
            <span className="block text-small">
              {pair.same
                ? say.same
                : pair.expected_minor === null
                  ? say.nobodyKnew
                  : say.other(money(pair.expected_minor))}
            </span>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** The receipt against the basket: what cost otherwise, what is beside the list, what was not paid. */
export function ReceiptFold() {
  const { note, tell } = useActs();
  const money = useMoney();
  const [found, setFound] = useState<ReceiptCheck | null>(null);
  const check = async (fields: FormData) => {
    try {
      setFound(await post<ReceiptCheck>("/api/bought/receipt", { text: String(fields.get("receipt")) }));
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      tell({ text: error.message, problem: error });
    }
  };
  const differ = found?.pairs.filter((pair) => !pair.same) ?? [];
  const keep = () => {
    for (const pair of differ) note(`/api/list/${pair.ref}`, { paid_minor: pair.paid_minor }, say.kept);
    setFound(null);
  };
  const add = (line: ReceiptCheck["extra"][number]) => {
    const ref = newKey();
    note("/api/list", { ref, text: line.text, ticked: true }, say.add(line.text));
    note(`/api/list/${ref}`, { paid_minor: Math.max(line.price_minor, 0) }, say.kept);
    if (found) setFound({ ...found, extra: found.extra.filter((one) => one !== line) });
  };
  return (
    <div className="mb-3">
      <Fold title={say.title} note={say.note}>
        <Form onSave={check} className="grid gap-2 pb-2" label={say.title}>
          <Field label={say.paste}>
            <textarea className="field" name="receipt" rows={5} required maxLength={8000} placeholder={say.example} />
          </Field>
          <Submit>{say.check}</Submit>
        </Form>
        {found && (
          <div className="pb-2">
            <p>{found.pairs.length + found.extra.length === 0 ? say.nothing : say.paid(money(found.paid_minor))}</p>
            <Pairs pairs={found.pairs} />
            {differ.length > 0 && (
              <Button look="main" onClick={keep} className="mt-1">
                {say.take}
              </Button>
            )}
            {found.extra.length > 0 && (
              <>
                <h3 className="mt-2">{say.extra}</h3>
                <ul>
                  {found.extra.map((line) => (
                    <li key={line.text} className="border-t border-zinc2 py-1 flex flex-wrap gap-3 items-center">
                      <b className="grow">{line.text}</b> {money(line.price_minor)}
                      <Button onClick={() => add(line)} aria-label={`${say.addIt}: ${line.text}`}>
                        {say.addIt}
                      </Button>
                    </li>
                  ))}
                </ul>
              </>
            )}
            {found.unpaid.length > 0 && (
              <>
                <h3 className="mt-2">{say.unpaid}</h3>
                <ul>
                  {found.unpaid.map((one) => (
                    <li key={one.ref} className="border-t border-zinc2 py-1">
                      {one.text}
                    </li>
                  ))}
                </ul>
              </>
            )}
          </div>
        )}
      </Fold>
    </div>
  );
}
