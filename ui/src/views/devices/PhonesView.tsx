import { useQuery } from "@tanstack/react-query";
import { phonesQuery } from "../../api/queries";
import type { Phones } from "../../api/types";
import { Board, Empty } from "../../kit/kit";
import { Loaded } from "../../kit/state";
import * as say from "../../words/phones";

/** Light room around the code, in modules, as readers need it. */
const EDGE = 4;

function SquareCode({ code, address }: { code: string[]; address: string }) {
  const size = code.length + 2 * EDGE;
  const dark = code.flatMap((row, y) =>
    [...row].map((cell, x) => (cell === "1" ? `M${x + EDGE} ${y + EDGE}h1v1h-1z` : "")),
  );
  return (
    <svg viewBox={`0 0 ${size} ${size}`} role="img" aria-label={say.codeOf(address)} className="w-[240px] max-w-full">
      <rect width={size} height={size} fill="#fff" />
      <path d={dark.join("")} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}

function Way({ phones }: { phones: Phones }) {
  if (!phones.reachable) return <Empty title={say.onlyHere}>{say.onlyHereWhy}</Empty>;
  return (
    <div className="grid gap-3 wide:grid-cols-2 items-start">
      <Board title={say.begin} note={say.beginNote}>
        <div className="mt-2">
          <SquareCode code={phones.code} address={phones.begins} />
        </div>
        <p className="font-semibold break-all mt-1">{phones.begins}</p>
        {!phones.secure && <p className="text-beet mt-1">{say.notSecure}</p>}
      </Board>
      <Board title={say.steps} note={say.whatFor}>
        {phones.fingerprint === null ? (
          <p className="mt-1">{say.plain}</p>
        ) : (
          <>
            <ol className="list-decimal pl-5 mt-1 grid gap-1">
              {say.STEPS.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ol>
            <h3 className="mt-3">{say.fingerprint}</h3>
            <p className="break-all">{phones.fingerprint}</p>
            <h3 className="mt-2">{say.address}</h3>
            <p className="break-all">{phones.address}</p>
            <h3 className="mt-2">{say.whatItIs}</h3>
            <p>{say.whatItIsWords}</p>
            <h3 className="mt-2">{say.takeBack}</h3>
            <p>{say.takeBackWords}</p>
          </>
        )}
      </Board>
    </div>
  );
}

/** How the phones of the house get here. */
export default function PhonesView() {
  const query = useQuery(phonesQuery);
  return (
    <>
      <h1 className="mb-3">{say.title}</h1>
      <Loaded query={query} what={say.asking}>
        {(phones) => <Way phones={phones} />}
      </Loaded>
    </>
  );
}
