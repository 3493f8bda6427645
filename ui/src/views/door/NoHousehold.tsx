import { useSignOut } from "../../app/useSignOut";
import { Button } from "../../kit/kit";
import { Door } from "./Door";

/** Somebody is signed in whom no household knows any more. */
export function NoHousehold({ name }: { name: string }) {
  const signOut = useSignOut();
  return (
    <Door title={`${name} belongs to no household here`} note="A keeper can send you a link to come in. Open it on this device, and you keep this account.">
      <Button onClick={() => void signOut()}>Sign out</Button>
    </Door>
  );
}
