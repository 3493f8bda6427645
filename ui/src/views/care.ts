/** Views of foods, places, people and papers, fetched together: many small files weigh half as much again. */
export { default as BagsBench } from "./bench/BagsBench";
export { default as BenchView } from "./bench/BenchView";
export { default as BringForward } from "./places/BringForward";
export { default as BringIn } from "./bring-in/BringIn";
export { default as CheckView } from "./places/CheckView";
export { default as JarsView } from "./places/JarsView";
export { default as KeepingView } from "./keeping/KeepingView";
export { default as LabelsView } from "./labels/LabelsView";
export { default as PeopleView } from "./people/PeopleView";
export { default as PhonesView } from "./devices/PhonesView";
export { default as PlacesView } from "./places/PlacesView";
export {
  PrintEvent,
  PrintTrip,
  PrintGiveAway,
  PrintKit,
  PrintList,
  PrintMonth,
  PrintOccasion,
  PrintStanding,
  PrintWeek,
} from "./print/PrintRoom";
export { default as PrintShelf } from "./print/PrintShelf";
export { default as PreserveBench } from "./bench/PreserveBench";
export { default as BowlBench } from "./bench/BowlBench";
export { default as SeasonBench } from "./bench/SeasonBench";
export { default as RecallView } from "./places/RecallView";
export { default as ScalePage } from "./devices/ScalePage";
export { default as ScannerPage } from "./devices/ScannerPage";
