import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { post, Problem } from "../../api/client";
import { Button } from "../../kit/kit";
import { Door } from "./Door";
import { Form, Submit, Text, Tick } from "../../kit/form";
import * as say from "../../words/door";

function refusal(status: number): string {
  if (status === 503) return say.houseNotAnswering;
  if (status === 429) return say.tooManyWrong;
  return say.namePasswordDo;
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
  const submit = (form: FormData) =>
    enter("/api/login", {
      login: form.get("login"),
      password: form.get("password"),
      remember: form.get("remember") === "on",
    });
  return (
    <Door title={say.signIn} note={say.yourHouseholdsShelf}>
      {demo && (
        <Button look="main" className="w-full mb-4" disabled={busy} onClick={() => enter("/api/demo-sign-in", {})}>
          {say.lookAroundDemo}
        </Button>
      )}
      <Form onSave={submit}>
        <Text label={say.emailAddress} name="login" type="email" required autoComplete="username" />
        <Text label={say.password} name="password" type="password" required autoComplete="current-password" />
        <Tick name="remember" label={say.staySignedIn} />
        {error && (
          <p role="alert" className="text-beet font-semibold">
            {error}
          </p>
        )}
        <Submit disabled={busy}>{say.signIn}</Submit>
      </Form>
    </Door>
  );
}
