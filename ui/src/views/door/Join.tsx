import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useGo } from "../../app/address";
import { newKey, post, Problem } from "../../api/client";
import { sessionQuery } from "../../api/queries";
import type { Invitation } from "../../api/types";
import { Button } from "../../kit/kit";
import { Door } from "./Door";
import { Form, Submit, Text } from "../../kit/form";
import * as say from "../../words/door";

/**
 * Behind a one-time link: choose a password and come in. The secret stays in the part of the address that is never
 * sent.
 */
export default function Join() {
  const token = window.location.hash.slice(1);
  const client = useQueryClient();
  const go = useGo();
  const [found, setFound] = useState<Invitation | null>(null);
  const [trouble, setTrouble] = useState("");
  const me = useQuery(sessionQuery).data?.account;
  useEffect(() => {
    post<Invitation>("/api/join/look", { token }).then(setFound, (error: unknown) =>
      setTrouble(error instanceof Problem ? error.words : say.tryAgain),
    );
  }, [token]);
  const submit = async (form: FormData) => {
    await come({ password: form.get("password"), ...newcomer(form) });
  };
  const newcomer = (form: FormData) =>
    found?.email ? {} : { name: String(form.get("name")).trim(), email: String(form.get("email")).trim() };
  const come = async (more: Record<string, unknown>) => {
    try {
      await post("/api/join", { token, ...more }, newKey());
      client.removeQueries({ queryKey: ["house"] });
      await client.fetchQuery({ ...sessionQuery, staleTime: 0 });
      void go("/", { replace: true });
    } catch (error) {
      setTrouble(error instanceof Problem ? error.words : say.tryAgain);
    }
  };
  return (
    <Door title={found ? say.comeInTo(found.household) : say.linkComeIn} note={say.suchLinkWorks}>
      {found && !found.email && me && (
        <div className="grid gap-2 mb-4">
          <p>
            {say.youAreSigned} {me.name}
            {say.accountMayBelong}
          </p>
          <Button look="main" onClick={() => come({})}>
            {say.comeInAs} {me.name}
          </Button>
          <p className="text-soft">{say.orMakeAnother}</p>
        </div>
      )}
      {found && (
        <Form keep="join" onSave={submit}>
          <p>{found.email ? say.chooseNewPassword(found.email) : say.youAreInvited(found.role)}</p>
          {!found.email && (
            <Text
              label={say.yourName}
              name="name"
              required
              maxLength={80}
              defaultValue={found.name}
              autoComplete="name"
            />
          )}
          {!found.email && (
            <Text label={say.emailAddress} name="email" type="email" required maxLength={200} autoComplete="email" />
          )}
          <Text
            label={say.passwordTenLetters}
            name="password"
            type="password"
            required
            minLength={10}
            maxLength={200}
            autoComplete="new-password"
          />
          <Submit>{say.comeIn}</Submit>
        </Form>
      )}
      {trouble && (
        <p role="alert" className="text-beet font-semibold mt-3">
          {trouble}
        </p>
      )}
    </Door>
  );
}
