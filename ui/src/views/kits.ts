/** Kits and how long a household would last: fetched when somebody looks. */
export { default as KitsView } from "./kits/KitsView";
export { default as KitPage } from "./kits/KitPage";
export { default as OutageView } from "./kits/OutageView";
export { default as BeforeView } from "./kits/BeforeView";
export { default as LastingView } from "./kits/LastingView";
