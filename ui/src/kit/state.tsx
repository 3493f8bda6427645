import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Problem } from "../api/client";
import { Button, Waiting } from "./kit";

/** The four faces of a view: waiting, away or refused, and there. */
export function Loaded<T>({ query, what, children }: { query: UseQueryResult<T>; what: string; children: (data: T) => ReactNode }) {
  if (query.data !== undefined) return children(query.data);
  if (query.isPending) return <Waiting what={what} />;
  const document = query.error instanceof Problem ? query.error.document : null;
  return (
    <div className="board p-6" role="alert">
      <h2>{document?.title ?? "This could not be shown."}</h2>
      <p className="text-soft my-2">{document?.remedy ?? "Try again."}</p>
      <Button onClick={() => void query.refetch()}>Try again</Button>
    </div>
  );
}
