import { useQuery } from "@tanstack/react-query";
import { Suspense, type ComponentType } from "react";
import { Redirect, Route, Switch, useParams } from "wouter";
import { usePath } from "./address";
import { keepFor } from "../api/answers";
import { dayIs } from "../api/envelope";
import { belongsTo } from "../api/kept";
import { sessionQuery } from "../api/queries";
import { Loaded } from "../kit/state";
import { Waiting } from "../kit/kit";
import { TodayView } from "../views/today/TodayView";
import { ActsProvider } from "./acts";
import { localeOf, measureIn, speakAs } from "../words/region";
import { Frame } from "./Frame";
import { SessionContext } from "./session";
import { lazily } from "../kit/lazily";
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
const ShelfView = lazily(
  () => import("../views/shelf/ShelfView"),
  (module) => module.default,
  true,
);
const MealsView = lazily(
  () => import("../views/work"),
  (module) => module.MealsView,
  true,
);
const AuditView = lazily(
  () => import("../views/work"),
  (module) => module.AuditView,
);
const CookPage = lazily(
  () => import("../views/work"),
  (module) => module.CookPage,
);
const RecipesView = lazily(
  () => import("../views/recipes"),
  (module) => module.RecipesView,
);
const RecipePage = lazily(
  () => import("../views/recipes"),
  (module) => module.RecipePage,
);
const NewRecipe = lazily(
  () => import("../views/recipes"),
  (module) => module.NewRecipe,
);
const ChangeRecipe = lazily(
  () => import("../views/recipes"),
  (module) => module.ChangeRecipe,
);
const BringRecipe = lazily(
  () => import("../views/recipes"),
  (module) => module.BringRecipe,
);
const EatDownView = lazily(
  () => import("../views/work"),
  (module) => module.EatDownView,
);
const MakeView = lazily(
  () => import("../views/work"),
  (module) => module.MakeView,
);
const LookBackView = lazily(
  () => import("../views/look"),
  (module) => module.LookBackView,
);
const PackCheckView = lazily(
  () => import("../views/work"),
  (module) => module.PackCheckView,
);
const BoughtView = lazily(
  () => import("../views/work"),
  (module) => module.BoughtView,
);
const PrintWeek = lazily(
  () => import("../views/care"),
  (module) => module.PrintWeek,
);
const PrintList = lazily(
  () => import("../views/care"),
  (module) => module.PrintList,
);
const PrintMonth = lazily(
  () => import("../views/care"),
  (module) => module.PrintMonth,
);
const PrintStanding = lazily(
  () => import("../views/care"),
  (module) => module.PrintStanding,
);
const ShopView = lazily(
  () => import("../views/work"),
  (module) => module.ShopView,
  true,
);
const CountView = lazily(
  () => import("../views/work"),
  (module) => module.CountView,
  true,
);
const CountPage = lazily(
  () => import("../views/work"),
  (module) => module.CountPage,
);
const KeepingView = lazily(
  () => import("../views/care"),
  (module) => module.KeepingView,
);
const PlacesView = lazily(
  () => import("../views/care"),
  (module) => module.PlacesView,
);
const BringForward = lazily(
  () => import("../views/care"),
  (module) => module.BringForward,
);
const JarsView = lazily(
  () => import("../views/care"),
  (module) => module.JarsView,
);
const RecallView = lazily(
  () => import("../views/care"),
  (module) => module.RecallView,
);
const LabelsView = lazily(
  () => import("../views/care"),
  (module) => module.LabelsView,
);
const PeopleView = lazily(
  () => import("../views/care"),
  (module) => module.PeopleView,
);
const OccasionsView = lazily(
  () => import("../views/work"),
  (module) => module.OccasionsView,
);
const OccasionPage = lazily(
  () => import("../views/work"),
  (module) => module.OccasionPage,
);
const PrintOccasion = lazily(
  () => import("../views/care"),
  (module) => module.PrintOccasion,
);
const ScannerPage = lazily(
  () => import("../views/care"),
  (module) => module.ScannerPage,
);
const ScalePage = lazily(
  () => import("../views/care"),
  (module) => module.ScalePage,
);
const Join = lazily(
  () => import("../views/door"),
  (module) => module.Join,
);
const ScanCatcher = lazily(
  () => import("../scan/ScanCatcher"),
  (module) => module.ScanCatcher,
);
const PrintShelf = lazily(
  () => import("../views/care"),
  (module) => module.PrintShelf,
);
const BringIn = lazily(
  () => import("../views/care"),
  (module) => module.BringIn,
);

/** Where each view stands. */
const VIEWS: [string, ComponentType][] = [
  ["/", TodayView],
  ["/shelf", ShelfView],
  ["/meals", MealsView],
  ["/meals/audit", AuditView],
  ["/meals/eat-down", EatDownView],
  ["/meals/:id", CookPage],
  ["/recipes", RecipesView],
  ["/recipes/new", NewRecipe],
  ["/recipes/bring-in", BringRecipe],
  ["/recipes/:id", RecipePage],
  ["/recipes/:id/:how", ChangeRecipe],
  ["/occasions", OccasionsView],
  ["/occasions/:id", OccasionPage],
  ["/print/occasion/:id", PrintOccasion],
  ["/make", MakeView],
  ["/print/week", PrintWeek],
  ["/print/standing", PrintStanding],
  ["/print/list", PrintList],
  ["/shop", ShopView],
  ["/shop/packs", PackCheckView],
  ["/shop/bought", BoughtView],
  ["/look-back", LookBackView],
  ["/print/month", PrintMonth],
  ["/bring-in", BringIn],
  ["/count", CountView],
  ["/count/:id", CountPage],
  ["/keeping", KeepingView],
  ["/places", PlacesView],
  ["/bring-forward", BringForward],
  ["/jars", JarsView],
  ["/recall", RecallView],
  ["/labels", LabelsView],
  ["/people", PeopleView],
  ["/scanner", ScannerPage],
  ["/scale", ScalePage],
  ["/print/shelf", PrintShelf],
  ["/s/:id", ToStack],
];

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
function ToStack() {
  return <Redirect to={`/shelf?stack=${useParams().id}`} replace />;
}

/** Scans are caught everywhere but on the page that sends them. */
function Catcher() {
  return usePath() === "/scanner" ? null : <ScanCatcher />;
}
