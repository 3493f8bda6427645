import * as say from "../words/app";
export interface Tab {
  path: string;
  name: string;
  /** The number key; a tab keeps its number whatever other tabs work. */
  key: string;
}

export const TABS: Tab[] = [
  { path: "/", name: say.today, key: "1" },
  { path: "/shelf", name: say.shelf, key: "2" },
  { path: "/count", name: say.count, key: "3" },
  { path: "/meals", name: say.meals, key: "4" },
  { path: "/shop", name: say.shop, key: "5" },
  { path: "/portion", name: say.portion, key: "6" },
  { path: "/kits", name: say.kits, key: "7" },
  { path: "/trips", name: say.trips, key: "8" },
  { path: "/look-back", name: say.lookBack, key: "9" },
  { path: "/keeping", name: say.keeping, key: "0" },
];

export const PHONE = ["/", "/shelf", "/shop"];

/** What has no tab: in the menu on a wide screen, under More on a phone. */
export const MORE: [string, string][] = [
  ["/recipes", say.dishes],
  ["/occasions", say.occasions],
  ["/meals/eat-down", say.withoutShopping],
  ["/places", say.places],
  ["/bring-forward", say.bringForward],
  ["/jars", say.jarsAndBoxes],
  ["/labels", say.labels],
  ["/recall", say.recall],
  ["/people", say.peopleAndHousehold],
  ["/phones", say.onYourPhone],
  ["/scanner", say.simulatedScanner],
  ["/scale", say.simulatedScale],
];
