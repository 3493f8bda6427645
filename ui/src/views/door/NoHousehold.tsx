import { useSignOut } from "../../app/useSignOut";
import { Button } from "../../kit/kit";
import { Door } from "./Door";
import * as say from "../../words/door";

/** Somebody is signed in whom no household knows any more. */
export function NoHousehold({ name }: { name: string }) {
  const signOut = useSignOut();
  return (
    <Door title={say.belongsNoHousehold(name)} note={say.keeperCanSend}>
      <Button onClick={() => void signOut()}>{say.signOut}</Button>
    </Door>
  );
}
