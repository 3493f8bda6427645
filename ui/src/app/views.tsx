import type { ComponentType } from "react";
import { Redirect, useParams } from "wouter";
import { lazily } from "../kit/lazily";
import { BENCH } from "./benchViews";
import { TodayView } from "../views/today/TodayView";

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
const KitsView = lazily(
  () => import("../views/kits"),
  (module) => module.KitsView,
);
const KitPage = lazily(
  () => import("../views/kits"),
  (module) => module.KitPage,
);
const TripsView = lazily(
  () => import("../views/trips"),
  (module) => module.TripsView,
);
const TripView = lazily(
  () => import("../views/trips"),
  (module) => module.TripView,
);
const BoxView = lazily(
  () => import("../views/trips"),
  (module) => module.BoxView,
);
const PackingView = lazily(
  () => import("../views/trips"),
  (module) => module.PackingView,
);
const OutageView = lazily(
  () => import("../views/kits"),
  (module) => module.OutageView,
  true,
);
const BeforeView = lazily(
  () => import("../views/kits"),
  (module) => module.BeforeView,
);
const LastingView = lazily(
  () => import("../views/kits"),
  (module) => module.LastingView,
);
const GiveAwayView = lazily(
  () => import("../views/look"),
  (module) => module.GiveAwayView,
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
const PrintGiveAway = lazily(
  () => import("../views/care"),
  (module) => module.PrintGiveAway,
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
const PhonesView = lazily(
  () => import("../views/care"),
  (module) => module.PhonesView,
);
const CheckView = lazily(
  () => import("../views/care"),
  (module) => module.CheckView,
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
const PrintKit = lazily(
  () => import("../views/care"),
  (module) => module.PrintKit,
);
const PrintEvent = lazily(
  () => import("../views/care"),
  (module) => module.PrintEvent,
);
const PrintTrip = lazily(
  () => import("../views/care"),
  (module) => module.PrintTrip,
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
const PrintShelf = lazily(
  () => import("../views/care"),
  (module) => module.PrintShelf,
);
const BringIn = lazily(
  () => import("../views/care"),
  (module) => module.BringIn,
);

function ToStack() {
  return <Redirect to={`/shelf?stack=${useParams().id}`} replace />;
}

/** The code on a lid: what stands in the box. */
function ToBox() {
  return <Redirect to={`/shelf?place=${useParams().id}`} replace />;
}

/** Scans are caught everywhere but on the page that sends them. */

/** Every view by its address; what is not the first one looked at is fetched when it is. */
export const VIEWS: [string, ComponentType][] = [
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
  ["/print/kit/:id/:what", PrintKit],
  ["/print/event/:id", PrintEvent],
  ["/print/trip/:id", PrintTrip],
  ["/make", MakeView],
  ["/print/week", PrintWeek],
  ["/print/standing", PrintStanding],
  ["/print/list", PrintList],
  ["/shop", ShopView],
  ["/shop/packs", PackCheckView],
  ["/shop/bought", BoughtView],
  ...BENCH,
  ["/places/:id/box", BoxView],
  ["/trips", TripsView],
  ["/trips/:id", TripView],
  ["/trips/:id/packing", PackingView],
  ["/kits", KitsView],
  ["/kits/lasting", LastingView],
  ["/kits/before", BeforeView],
  ["/kits/power-cut", OutageView],
  ["/kits/:id", KitPage],
  ["/look-back", LookBackView],
  ["/look-back/give-away", GiveAwayView],
  ["/print/give-away", PrintGiveAway],
  ["/print/month", PrintMonth],
  ["/bring-in", BringIn],
  ["/count", CountView],
  ["/count/:id", CountPage],
  ["/keeping", KeepingView],
  ["/phones", PhonesView],
  ["/places", PlacesView],
  ["/places/:id/check", CheckView],
  ["/bring-forward", BringForward],
  ["/jars", JarsView],
  ["/recall", RecallView],
  ["/labels", LabelsView],
  ["/people", PeopleView],
  ["/scanner", ScannerPage],
  ["/scale", ScalePage],
  ["/print/shelf", PrintShelf],
  ["/s/:id", ToStack],
  ["/box/:id", ToBox],
];
