import { useState } from "react";
import type { DoorDone, PeoplePage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { Form, Submit, Text } from "../../kit/form";
import { Sure } from "../../kit/Sure";
import { Select } from "../../kit/choices";
import * as say from "../../words/people";

/** Who may sign in, and invitations by one-time link. */
export function Members({ page }: { page: PeoplePage }) {
  const { act } = useActs();
  return (
    <Board title={say.whoMaySign}>
      <ul className="mt-2">
        {page.members.map((member) => (
          <li key={member.account_id} className="flex flex-wrap items-center gap-2 border-t border-zinc2 py-2">
            <span className="grow min-w-0">
              <b>{member.name}</b>
              {member.you ? " (you)" : ""}
              <span className="block text-soft text-small">{member.email}</span>
            </span>
            <Select
              label={say.roleOf(member.name)}
              value={member.role}
              onPick={(role) =>
                void act(`/api/members/${member.account_id}/role`, { role }, say.roleOfSmall(member.name))
              }
              options={[
                ["keeper", say.keeper],
                ["helper", say.helper],
              ]}
            />
            {!member.you && (
              <Sure
                look="plain"
                aria-label={say.mayNotSign(member.name)}
                ask={say.surelyLetGo(member.name)}
                yes={say.letThemGo}
                onYes={() => act(`/api/members/${member.account_id}/role`, { role: null }, say.letGo(member.name))}
              >
                ✕
              </Sure>
            )}
          </li>
        ))}
        {page.invitations.map((one) => (
          <li key={one.id} className="flex items-center gap-2 border-t border-zinc2 py-2">
            <span className="grow">
              <b>{one.name}</b>{" "}
              <span className="text-soft">
                {say.invitedAs} {one.role}
                {say.until} {new Date(one.expires_at).toLocaleDateString("en-GB", { day: "numeric", month: "short" })}
              </span>
            </span>
            <Button onClick={() => act(`/api/members/${one.id}/revoke`, {}, say.invitationOf(one.name))}>
              {say.takeBack}
            </Button>
          </li>
        ))}
      </ul>
      <Invite />
    </Board>
  );
}

function Invite() {
  const { act } = useActs();
  const { address } = useSession();
  const [link, setLink] = useState("");
  const submit = async (form: FormData) => {
    const done = await act<DoorDone>(
      "/api/members/invite",
      { name: String(form.get("name")).trim(), role: form.get("role") },
      "invite",
    );
    if (done?.path) setLink((address ?? window.location.origin) + done.path);
    return done;
  };
  return (
    <>
      <Form className="flex flex-wrap gap-2 items-end mt-3" keep="invite" onSave={submit}>
        <Text wide="grow" label={say.invite} name="name" required maxLength={80} placeholder={say.name} />
        <Select
          name="role"
          label={say.asWhat}
          options={[
            ["helper", say.asHelper],
            ["keeper", say.asKeeper],
          ]}
        />
        <Submit>{say.makeALink}</Submit>
      </Form>
      {link && <Secret link={link} words={say.giveThisLink} />}
    </>
  );
}

/** An address that is shown this one time. */
export function Secret({ link, words }: { link: string; words: string }) {
  const [copied, setCopied] = useState(false);
  return (
    <div className="mt-3 border-l-4 border-mustard pl-3" role="status">
      <p className="text-small">{words}</p>
      <div className="flex gap-2 mt-1">
        <input
          className="field"
          readOnly
          value={link}
          aria-label={say.theLink}
          onFocus={(event) => event.target.select()}
        />
        <Button onClick={() => void navigator.clipboard?.writeText(link).then(() => setCopied(true))}>
          {copied ? say.copied : say.copy}
        </Button>
      </div>
    </div>
  );
}
