/** What stands before the house, fetched together. */
export { FirstStart } from "./door/FirstStart";
export { default as Join } from "./door/Join";
export { NoHousehold } from "./door/NoHousehold";
export { SignIn } from "./door/SignIn";
