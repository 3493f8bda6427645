import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Problem } from "../api/client";
import { Button, Waiting } from "./kit";
import * as say from "../words/kit";

/** The four faces of a view: waiting, away or refused, and there. */
export function Loaded<T>({
  query,
  what,
  children,
}: {
  query: UseQueryResult<T>;
  what: string;
  children: (data: T) => ReactNode;
}) {
  if (query.data !== undefined) return children(query.data);
  if (query.isPending) return <Waiting what={what} />;
  const document = query.error instanceof Problem ? query.error.document : null;
  return (
    <div className="board p-6" role="alert">
      <h2>{document?.title ?? say.thisCouldNot}</h2>
      <p className="text-soft my-2">{document?.remedy ?? say.tryAgainSentence}</p>
      <Button onClick={() => void query.refetch()}>{say.tryAgain}</Button>
    </div>
  );
}
