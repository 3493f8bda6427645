/** Looking back, with its charts: fetched when somebody does. */
export { default as LookBackView } from "./look-back/LookBackView";
export { default as GiveAwayView } from "./look-back/GiveAwayView";
