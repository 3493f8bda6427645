import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { useGo } from "./address";
import { keysOff, setKeysOff } from "./keys";
import { useSession } from "./session";
import { useChooseHousehold } from "./useChooseHousehold";
import { useSignOut } from "./useSignOut";
import { MORE } from "./tabs";
import { applyTheme, theme, type Theme } from "./theme";
import { css } from "../kit/css";
import * as say from "../words/app";

const THEMES: [Theme, string][] = [
  ["light", say.light],
  ["dark", say.darkForNight],
  ["system", say.asTheDevice],
];
const item = "px-3 py-2 rounded-md cursor-pointer outline-none data-[highlighted]:bg-rim2 flex gap-2";

export function MoreMenu({ onPlace }: { onPlace: () => void }) {
  const session = useSession();
  const go = useGo();
  const signOut = useSignOut();
  const choose = useChooseHousehold();
  const [now, setNow] = useState({ theme: theme(), keys: !keysOff() });
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="px-3 min-h-[44px] text-[#dbe5f7] hover:text-white phone:hidden">
        {session.person?.name} ▾
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className={css(
            "z-50 max-h-[86dvh] overflow-y-auto bg-board text-ink border border-edge rounded-xl p-1.5",
            "min-w-[240px] shadow-lg",
          )}
        >
          <DropdownMenu.Label className="px-3 py-1 text-soft text-small">
            {session.household?.name}, {session.person?.role}
          </DropdownMenu.Label>
          {session.households.length > 1 &&
            session.households
              .filter((one) => one.id !== session.household?.id)
              .map((one) => (
                <DropdownMenu.Item key={one.id} className={item} onSelect={() => void choose(one.id)}>
                  {say.goOverTo} {one.name}
                </DropdownMenu.Item>
              ))}
          {MORE.map(([path, name]) => (
            <DropdownMenu.Item key={path} className={item} onSelect={() => void go(path)}>
              {name}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Item className={item} onSelect={onPlace}>
            {say.newPlace}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} onSelect={() => void go("/bring-in")}>
            {say.bringInListCsv}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} onSelect={() => window.location.assign("/api/export.csv")}>
            {say.takeStockOutCsv}
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="h-px bg-zinc2 my-1" />
          <DropdownMenu.RadioGroup
            value={now.theme}
            onValueChange={(next) => {
              applyTheme(next as Theme);
              setNow({ ...now, theme: next as Theme });
            }}
          >
            {THEMES.map(([value, name]) => (
              <DropdownMenu.RadioItem key={value} value={value} className={item}>
                <span className="w-4">{now.theme === value ? "●" : ""}</span>
                {name}
              </DropdownMenu.RadioItem>
            ))}
          </DropdownMenu.RadioGroup>
          <DropdownMenu.CheckboxItem
            className={item}
            checked={now.keys}
            onCheckedChange={(on) => {
              setKeysOff(!on);
              setNow({ ...now, keys: on });
            }}
          >
            <span className="w-4">{now.keys ? "✓" : ""}</span>
            {say.singleKeys}
          </DropdownMenu.CheckboxItem>
          <DropdownMenu.Separator className="h-px bg-zinc2 my-1" />
          <DropdownMenu.Item className={item} onSelect={() => void signOut()}>
            {say.signOut}
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
