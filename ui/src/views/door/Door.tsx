import type { ReactNode } from "react";
import * as say from "../../words/door";

export function Door({ title, note, children }: { title: string; note: string; children: ReactNode }) {
  return (
    <main className="min-h-dvh grid place-items-center p-4">
      <div className="w-[430px] max-w-full">
        <p className="flex items-center gap-2 font-head font-bold text-big mb-3">
          <img src="/mark.svg" alt="" width="28" height="28" /> {say.nutShelf}
        </p>
        <section className="board p-6">
          <h1>{title}</h1>
          <p className="text-soft mt-1 mb-4">{note}</p>
          {children}
        </section>
      </div>
    </main>
  );
}

export function Labelled({ text, children, fault }: { text: string; children: ReactNode; fault?: string }) {
  return (
    <label className="grid gap-1">
      <span className="font-semibold">{text}</span>
      {children}
      {fault && <span className="text-beet font-semibold text-small">{fault}</span>}
    </label>
  );
}
