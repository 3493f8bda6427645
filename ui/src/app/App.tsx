import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { Navigate, Route, Routes } from "react-router";
import { sessionQuery } from "../api/queries";
import { Loaded } from "../kit/state";
import { Waiting } from "../kit/kit";
import { TodayView } from "../views/today/TodayView";
import { ActsProvider } from "./acts";
import { Frame } from "./Frame";
import { SessionContext } from "./session";

const FirstStart = lazy(() => import("../views/door/FirstStart").then((module) => ({ default: module.FirstStart })));
const SignIn = lazy(() => import("../views/door/SignIn").then((module) => ({ default: module.SignIn })));
const ShelfView = lazy(() => import("../views/shelf/ShelfView"));
const MealsView = lazy(() => import("../views/meals/MealsView"));
const CookPage = lazy(() => import("../views/meals/CookPage"));
const ShopView = lazy(() => import("../views/shop/ShopView"));
const BringIn = lazy(() => import("../views/bring-in/BringIn"));

export function App() {
  const query = useQuery({ ...sessionQuery, refetchOnWindowFocus: true });
  return (
    <Loaded query={query} what="Opening the door">
      {(session) => {
        if (session.first_start && !session.demo) return <Suspense fallback={null}><FirstStart /></Suspense>;
        if (!session.signed_in) return <Suspense fallback={null}><SignIn demo={session.demo} /></Suspense>;
        return (
          <SessionContext value={session}>
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
                    <Route path="*" element={<Navigate to="/" replace />} />
                  </Routes>
                </Suspense>
              </Frame>
            </ActsProvider>
          </SessionContext>
        );
      }}
    </Loaded>
  );
}
