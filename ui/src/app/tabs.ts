export interface Tab {
  path: string;
  name: string;
  /** The number key; a tab keeps its number whatever other tabs work. */
  key: string;
}

export const TABS: Tab[] = [
  { path: "/", name: "Today", key: "1" },
  { path: "/shelf", name: "Shelf", key: "2" },
  { path: "/meals", name: "Meals", key: "4" },
  { path: "/shop", name: "Shop", key: "5" },
];

export const PHONE = ["/", "/shelf", "/shop"];
