import { useQuery } from "@tanstack/react-query";
import { Suspense } from "react";
import { Navigate, Route, Routes, useLocation, useParams } from "react-router";
import { dayIs } from "../api/envelope";
import { belongsTo } from "../api/kept";
import { sessionQuery } from "../api/queries";
import { Loaded } from "../kit/state";
import { Waiting } from "../kit/kit";
import { TodayView } from "../views/today/TodayView";
import { ActsProvider } from "./acts";
import { localeOf, speakAs } from "../words/region";
import { Frame } from "./Frame";
import { SessionContext } from "./session";
import { lazily } from "../kit/lazily";

const FirstStart = lazily(() => import("../views/door/FirstStart"), (module) => module.FirstStart);
const SignIn = lazily(() => import("../views/door/SignIn"), (module) => module.SignIn);
const NoHousehold = lazily(() => import("../views/door/NoHousehold"), (module) => module.NoHousehold);
const ShelfView = lazily(() => import("../views/shelf/ShelfView"), (module) => module.default, true);
const MealsView = lazily(() => import("../views/meals/MealsView"), (module) => module.default, true);
const CookPage = lazily(() => import("../views/meals/CookPage"), (module) => module.default);
const ShopView = lazily(() => import("../views/shop/ShopView"), (module) => module.default, true);
const CountView = lazily(() => import("../views/count/CountView"), (module) => module.default, true);
const CountPage = lazily(() => import("../views/count/CountPage"), (module) => module.default);
const KeepingView = lazily(() => import("../views/keeping/KeepingView"), (module) => module.default);
const PlacesView = lazily(() => import("../views/places/PlacesView"), (module) => module.default);
const BringForward = lazily(() => import("../views/places/BringForward"), (module) => module.default);
const JarsView = lazily(() => import("../views/places/JarsView"), (module) => module.default);
const RecallView = lazily(() => import("../views/places/RecallView"), (module) => module.default);
const LabelsView = lazily(() => import("../views/labels/LabelsView"), (module) => module.default);
const PeopleView = lazily(() => import("../views/people/PeopleView"), (module) => module.default);
const ScannerPage = lazily(() => import("../views/devices/ScannerPage"), (module) => module.default);
const ScalePage = lazily(() => import("../views/devices/ScalePage"), (module) => module.default);
const Join = lazily(() => import("../views/door/Join"), (module) => module.default);
const ScanCatcher = lazily(() => import("../scan/ScanCatcher"), (module) => module.ScanCatcher);
const PrintShelf = lazily(() => import("../views/print/PrintShelf"), (module) => module.default);
const BringIn = lazily(() => import("../views/bring-in/BringIn"), (module) => module.default);

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
        speakAs(localeOf(session.household));
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
                    <Route path="/print/shelf" element={<PrintShelf />} />
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
