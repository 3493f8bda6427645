/** Trips: fetched when somebody looks. */
export { default as TripsView } from "./trips/TripsView";
export { default as BoxView } from "./trips/BoxView";
export { default as PackingView } from "./trips/PackingView";
export { default as TripView } from "./trips/TripView";
