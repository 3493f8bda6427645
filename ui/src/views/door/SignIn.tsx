import { useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { post, Problem } from "../../api/client";
import { Button } from "../../kit/kit";
import { Door, Labelled } from "./Door";

function refusal(status: number): string {
  if (status === 503) return "The house is not answering. Try again in a moment.";
  if (status === 429) return "Too many wrong tries: the door stays shut for ten minutes. Whoever runs the house can open it sooner.";
  return "That name and password do not open this door. Check both and try again; after eight wrong tries it stays shut for ten minutes.";
}

export function SignIn({ demo }: { demo: boolean }) {
  const client = useQueryClient();
  const [error, setError] = useState("");
  const [busy, setBusy] = useState(false);
  const enter = async (path: string, body: unknown) => {
    setBusy(true);
    setError("");
    try {
      await post(path, body);
    } catch (refused) {
      setError(refusal(refused instanceof Problem ? refused.document.status : 503));
    }
    await client.invalidateQueries();
    setBusy(false);
  };
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    void enter("/api/login", { login: form.get("login"), password: form.get("password"), remember: form.get("remember") === "on" });
  };
  return (
    <Door title="Sign in" note="To your household's shelf.">
      {demo && <Button look="main" className="w-full mb-4" disabled={busy} onClick={() => void enter("/api/demo-sign-in", {})}>Look around the demo</Button>}
      <form onSubmit={submit} className="grid gap-3">
        <Labelled text="E-mail address"><input className="field" name="login" type="email" required autoComplete="username" /></Labelled>
        <Labelled text="Password"><input className="field" name="password" type="password" required autoComplete="current-password" /></Labelled>
        <label className="flex items-center gap-2"><input type="checkbox" name="remember" className="size-5" /> Stay signed in on this device</label>
        {error && <p role="alert" className="text-beet font-semibold">{error}</p>}
        <Button type="submit" look={demo ? "quiet" : "main"} disabled={busy}>Sign in</Button>
      </form>
    </Door>
  );
}
