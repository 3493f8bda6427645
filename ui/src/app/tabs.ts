export interface Tab {
  path: string;
  name: string;
  /** The number key; a tab keeps its number whatever other tabs work. */
  key: string;
}

export const TABS: Tab[] = [
  { path: "/", name: "Today", key: "1" },
  { path: "/shelf", name: "Shelf", key: "2" },
  { path: "/count", name: "Count", key: "3" },
  { path: "/meals", name: "Meals", key: "4" },
  { path: "/shop", name: "Shop", key: "5" },
  { path: "/keeping", name: "Keeping", key: "0" },
];

export const PHONE = ["/", "/shelf", "/shop"];

/** What has no tab: in the menu on a wide screen, under More on a phone. */
export const MORE: [string, string][] = [["/places", "Places"], ["/bring-forward", "Bring forward"], ["/jars", "Jars and boxes"], ["/labels", "Labels"], ["/recall", "Recall"], ["/people", "People and household"], ["/scanner", "Simulated scanner"], ["/scale", "Simulated scale"]];
