import { useState } from "react";
import type { DoorDone, PeoplePage } from "../../api/types";
import { useActs } from "../../app/acts";
import { useSession } from "../../app/session";
import { Board, Button } from "../../kit/kit";
import { Form, Submit, Text } from "../../kit/form";

/** Who may sign in, and invitations by one-time link. */
export function Members({ page }: { page: PeoplePage }) {
  const { act } = useActs();
  return (
    <Board title="Who may sign in">
      <ul className="mt-2">
        {page.members.map((member) => (
          <li key={member.account_id} className="flex flex-wrap items-center gap-2 border-t border-zinc2 py-2">
            <span className="grow min-w-0"><b>{member.name}</b>{member.you ? " (you)" : ""}<span className="block text-soft text-small">{member.email}</span></span>
            <select className="field !w-auto" aria-label={`Role of ${member.name}`} value={member.role} onChange={(event) => void act(`/api/members/${member.account_id}/role`, { role: event.target.value }, `role of ${member.name}`)}>
              <option value="keeper">keeper</option><option value="helper">helper</option>
            </select>
            {!member.you && <Button look="plain" aria-label={`${member.name} may not sign in any more`} onClick={() => act(`/api/members/${member.account_id}/role`, { role: null }, `let ${member.name} go`)}>✕</Button>}
          </li>
        ))}
        {page.invitations.map((one) => (
          <li key={one.id} className="flex items-center gap-2 border-t border-zinc2 py-2">
            <span className="grow"><b>{one.name}</b> <span className="text-soft">invited as {one.role}, until {new Date(one.expires_at).toLocaleDateString("en-GB", { day: "numeric", month: "short" })}</span></span>
            <Button onClick={() => act(`/api/members/${one.id}/revoke`, {}, `invitation of ${one.name}`)}>Take back</Button>
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
    const done = await act<DoorDone>("/api/members/invite", { name: String(form.get("name")).trim(), role: form.get("role") }, "invite");
    if (done?.path) setLink((address ?? window.location.origin) + done.path);
    return done;
  };
  return (
    <>
      <Form className="flex flex-wrap gap-2 items-end mt-3" keep="invite" onSave={submit}>
        <Text wide="grow" label="Invite" name="name" required maxLength={80} placeholder="Name" />
        <select className="field !w-auto" name="role" aria-label="As what"><option value="helper">as helper</option><option value="keeper">as keeper</option></select>
        <Submit>Make a link</Submit>
      </Form>
      {link && <Secret link={link} words="Give this link to them alone. It works once, and is shown only now." />}
    </>
  );
}

/** An address that is shown this one time. */
export function Secret({ link, words }: { link: string; words: string }) {
  const [copied, setCopied] = useState(false);
  return (
    <div className="mt-3 border-l-4 border-mustard pl-3" role="status">
      <p className="text-small">{words}</p>
      <div className="flex gap-2 mt-1"><input className="field" readOnly value={link} aria-label="The link" onFocus={(event) => event.target.select()} /><Button onClick={() => void navigator.clipboard?.writeText(link).then(() => setCopied(true))}>{copied ? "Copied" : "Copy"}</Button></div>
    </div>
  );
}
