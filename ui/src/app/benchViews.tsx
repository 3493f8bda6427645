import type { ComponentType } from "react";
import { lazily } from "../kit/lazily";

const BenchView = lazily(
  () => import("../views/care"),
  (module) => module.BenchView,
);
const BagsBench = lazily(
  () => import("../views/care"),
  (module) => module.BagsBench,
);
const PreserveBench = lazily(
  () => import("../views/care"),
  (module) => module.PreserveBench,
);
const SeasonBench = lazily(
  () => import("../views/care"),
  (module) => module.SeasonBench,
);
const BowlBench = lazily(
  () => import("../views/care"),
  (module) => module.BowlBench,
);

/** The jobs of the bench by their addresses. */
export const BENCH: [string, ComponentType][] = [
  ["/portion", BenchView],
  ["/portion/bags", BagsBench],
  ["/portion/preserve", PreserveBench],
  ["/portion/season", SeasonBench],
  ["/portion/bowls", BowlBench],
];
