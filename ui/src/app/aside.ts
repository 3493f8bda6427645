/** What stands ready beside every view, fetched when nothing else is to be done. */
export { KeysHelp } from "./KeysHelp";
export { Lately } from "./Lately";
export { Labels } from "../label-line/Labels";
export { LearnCode } from "../scan/LearnCode";
export { Letters } from "./Letters";
export { default as NewFood } from "../views/keeping/NewFood";
export { NewPlace } from "./NewPlace";
export { ReportBar } from "./ReportBar";
export { OneHand } from "../label-line/OneHand";
