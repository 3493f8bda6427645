import { useQuery } from "@tanstack/react-query";
import { Suspense } from "react";
import { Redirect, Route, Switch } from "wouter";
import { usePath } from "./address";
import { keepFor } from "../api/answers";
import { dayIs } from "../api/envelope";
import { belongsTo } from "../api/kept";
import { sessionQuery } from "../api/queries";
import { Loaded } from "../kit/state";
import { Waiting } from "../kit/kit";
import { ActsProvider } from "./acts";
import { localeOf, measureIn, speakAs } from "../words/region";
import { Frame } from "./Frame";
import { SessionContext } from "./session";
import { lazily } from "../kit/lazily";
import { VIEWS } from "./views";
import * as say from "../words/app";

const FirstStart = lazily(
  () => import("../views/door"),
  (module) => module.FirstStart,
);
const SignIn = lazily(
  () => import("../views/door"),
  (module) => module.SignIn,
);
const NoHousehold = lazily(
  () => import("../views/door"),
  (module) => module.NoHousehold,
);
const Join = lazily(
  () => import("../views/door"),
  (module) => module.Join,
);
const ScanCatcher = lazily(
  () => import("../scan/ScanCatcher"),
  (module) => module.ScanCatcher,
);

function Views() {
  return (
    <Switch>
      {VIEWS.map(([path, View]) => (
        <Route key={path} path={path}>
          <View />
        </Route>
      ))}
      <Route>
        <Redirect to="/" replace />
      </Route>
    </Switch>
  );
}

export function App() {
  const query = useQuery({ ...sessionQuery, refetchOnWindowFocus: true });
  const joining = usePath() === "/join";
  return (
    <Loaded query={query} what={say.openingTheDoor}>
      {(session) => {
        if (joining)
          return (
            <Suspense fallback={null}>
              <Join />
            </Suspense>
          );
        if (session.first_start && !session.demo)
          return (
            <Suspense fallback={null}>
              <FirstStart />
            </Suspense>
          );
        if (!session.signed_in && session.account)
          return (
            <Suspense fallback={null}>
              <NoHousehold name={session.account.name} />
            </Suspense>
          );
        if (!session.signed_in)
          return (
            <Suspense fallback={null}>
              <SignIn demo={session.demo} />
            </Suspense>
          );
        belongsTo(session.account?.id ?? 0, session.household?.id ?? 0);
        void keepFor(`${session.account?.id}.${session.household?.id}`);
        dayIs(session.today, session.zone);
        speakAs(localeOf(session.household));
        if (session.household) measureIn(session.household.units);
        return (
          <SessionContext value={session} key={session.household?.id}>
            <ActsProvider>
              <Frame>
                <Suspense fallback={<Waiting what={say.fetching} />}>
                  <Views />
                </Suspense>
                <Suspense fallback={null}>
                  <Catcher />
                </Suspense>
              </Frame>
            </ActsProvider>
          </SessionContext>
        );
      }}
    </Loaded>
  );
}

/** Where the square code on a label leads. */
function Catcher() {
  return usePath() === "/scanner" ? null : <ScanCatcher />;
}
