import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { post, Problem } from "../../api/client";
import { Button } from "../../kit/kit";
import { Door } from "./Door";
import { Form, Submit, Text, Tick } from "../../kit/form";

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
  const submit = (form: FormData) => enter("/api/login", { login: form.get("login"), password: form.get("password"), remember: form.get("remember") === "on" });
  return (
    <Door title="Sign in" note="To your household's shelf.">
      {demo && <Button look="main" className="w-full mb-4" disabled={busy} onClick={() => enter("/api/demo-sign-in", {})}>Look around the demo</Button>}
      <Form onSave={submit}>
        <Text label="E-mail address" name="login" type="email" required autoComplete="username" />
        <Text label="Password" name="password" type="password" required autoComplete="current-password" />
        <Tick name="remember" label="Stay signed in on this device" />
        {error && <p role="alert" className="text-beet font-semibold">{error}</p>}
        <Submit disabled={busy}>Sign in</Submit>
      </Form>
    </Door>
  );
}
