import { useState } from "react";
import { post, Problem } from "../../api/client";
import { useActs } from "../../app/acts";
import { Form, Submit, Text } from "../../kit/form";
import { Board } from "../../kit/kit";
import * as say from "../../words/people";

/** One's own password. */
export function Account() {
  const { tell } = useActs();
  const [key, setKey] = useState(0);
  const [problem, setProblem] = useState("");
  const submit = async (form: FormData) => {
    setProblem("");
    try {
      await post("/api/change-password", {
        password: form.get("password"),
        "new-password": form.get("new-password"),
        "password-confirm": form.get("new-password"),
      });
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
      return setProblem(error.words);
    }
    setKey(key + 1);
    tell({ text: say.changed });
  };
  return (
    <Board title={say.account}>
      <Form key={key} className="grid gap-2 mt-2" onSave={submit}>
        <Text label={say.passwordNow} name="password" type="password" required autoComplete="current-password" />
        <Text
          label={say.newPassword}
          name="new-password"
          type="password"
          required
          minLength={10}
          maxLength={200}
          autoComplete="new-password"
        />
        {problem && (
          <p role="alert" className="text-beet font-semibold">
            {problem}
          </p>
        )}
        <Submit className="justify-self-start">{say.changePassword}</Submit>
      </Form>
    </Board>
  );
}
