import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { Navigate, Route, Routes, useLocation, useParams } from "react-router";
import { dayIs } from "../api/envelope";
import { belongsTo } from "../api/kept";
import { sessionQuery } from "../api/queries";
import { Loaded } from "../kit/state";
import { Waiting } from "../kit/kit";
import { TodayView } from "../views/today/TodayView";
import { ActsProvider } from "./acts";
import { Frame } from "./Frame";
import { SessionContext } from "./session";

const FirstStart = lazy(() => import("../views/door/FirstStart").then((module) => ({ default: module.FirstStart })));
const SignIn = lazy(() => import("../views/door/SignIn").then((module) => ({ default: module.SignIn })));
const NoHousehold = lazy(() => import("../views/door/NoHousehold").then((module) => ({ default: module.NoHousehold })));
const ShelfView = lazy(() => import("../views/shelf/ShelfView"));
const MealsView = lazy(() => import("../views/meals/MealsView"));
const CookPage = lazy(() => import("../views/meals/CookPage"));
const ShopView = lazy(() => import("../views/shop/ShopView"));
const CountView = lazy(() => import("../views/count/CountView"));
const CountPage = lazy(() => import("../views/count/CountPage"));
const KeepingView = lazy(() => import("../views/keeping/KeepingView"));
const PlacesView = lazy(() => import("../views/places/PlacesView"));
const BringForward = lazy(() => import("../views/places/BringForward"));
const JarsView = lazy(() => import("../views/places/JarsView"));
const RecallView = lazy(() => import("../views/places/RecallView"));
const LabelsView = lazy(() => import("../views/labels/LabelsView"));
const PeopleView = lazy(() => import("../views/people/PeopleView"));
const ScannerPage = lazy(() => import("../views/devices/ScannerPage"));
const ScalePage = lazy(() => import("../views/devices/ScalePage"));
const Join = lazy(() => import("../views/door/Join"));
const ScanCatcher = lazy(() => import("../scan/ScanCatcher").then((module) => ({ default: module.ScanCatcher })));
const BringIn = lazy(() => import("../views/bring-in/BringIn"));

export function App() {
  const query = useQuery({ ...sessionQuery, refetchOnWindowFocus: true });
  const joining = useLocation().pathname === "/join";
  return (
    <Loaded query={query} what="Opening the door">
      {(session) => {
        if (joining) return <Suspense fallback={null}><Join /></Suspense>;
        if (session.first_start && !session.demo) return <Suspense fallback={null}><FirstStart /></Suspense>;
        if (!session.signed_in && session.account) return <Suspense fallback={null}><NoHousehold name={session.account.name} /></Suspense>;
        if (!session.signed_in) return <Suspense fallback={null}><SignIn demo={session.demo} /></Suspense>;
        belongsTo(session.account?.id ?? 0, session.household?.id ?? 0);
        dayIs(session.today, session.zone);
        return (
          <SessionContext value={session} key={session.household?.id}>
            <ActsProvider>
              <Frame>
                <Suspense fallback={<Waiting what="Fetching" />}>
                  <Routes>
                    <Route path="/" element={<TodayView />} />
                    <Route path="/shelf" element={<ShelfView />} />
                    <Route path="/meals" element={<MealsView />} />
                    <Route path="/meals/:id" element={<CookPage />} />
                    <Route path="/shop" element={<ShopView />} />
                    <Route path="/bring-in" element={<BringIn />} />
                    <Route path="/count" element={<CountView />} />
                    <Route path="/count/:id" element={<CountPage />} />
                    <Route path="/keeping" element={<KeepingView />} />
                    <Route path="/places" element={<PlacesView />} />
                    <Route path="/bring-forward" element={<BringForward />} />
                    <Route path="/jars" element={<JarsView />} />
                    <Route path="/recall" element={<RecallView />} />
                    <Route path="/labels" element={<LabelsView />} />
                    <Route path="/people" element={<PeopleView />} />
                    <Route path="/scanner" element={<ScannerPage />} />
                    <Route path="/scale" element={<ScalePage />} />
                    <Route path="/s/:id" element={<ToStack />} />
                    <Route path="*" element={<Navigate to="/" replace />} />
                  </Routes>
                </Suspense>
                <Suspense fallback={null}><Catcher /></Suspense>
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
  return <Navigate to={`/shelf?stack=${useParams().id}`} replace />;
}

/** Scans are caught everywhere but on the page that sends them. */
function Catcher() {
  return useLocation().pathname === "/scanner" ? null : <ScanCatcher />;
}
