/** What is said of the frame: its menus, sheets and reports. */
export const thingsNeedYou = (needs: number) => `${needs} things need you`;
export const noted = (day: string, format: string) => `${day}, noted ${format}`;
export const undoThat = (summary: string) => `Undo: ${summary}`;
export const itSaysNow = (field: string, value: string) => `It says now: ${field} ${value}`;
export const sentInMoment = (message: string) => `${message} It is sent in a moment.`;
export const needsAnswerBefore = (message: string) =>
  `“${message}” needs an answer before it can be put away. It stands at the label line.`;
export const openingTheDoor = "Opening the door";
export const fetching = "Fetching";
export const nutShelfToday = "Nut Shelf, to Today";
export const nutShelf = "Nut Shelf";
export const views = "Views";
export const lately = "Lately";
export const more = "More";
export const bringInList = "Bring in a list";
export const toTheContent = "To the content";
const CLOCK = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });
/** @param kept when what is shown was told, null where it is older than this page knows */
export const houseNotAnswering = (kept: string | null) =>
  [
    "The house is not answering.",
    ...(kept === null ? [] : [`You see it as of ${CLOCK.format(new Date(kept))}.`]),
    "What you do is kept and is sent as soon as it is back.",
  ].join(" ");
export const labelLinePut = "label line: put something away";
export const findOnShelf = "find on the shelf";
export const walkTheShelf = "walk the shelf";
export const openTheStack = "open the stack";
export const takeOne = "take one";
export const openAPack = "open a pack";
export const lookGood = "look: it is good";
export const howKeep = "how to keep it";
export const undoYourOwn = "undo your own last act";
export const theseKeys = "these keys";
export const keys = "Keys";
export const singleKeysCan = "Single keys can be switched off in the menu with your name.";
export const undo = "Undo";
export const newPlace = "New place";
export const takeStockOut = "Take stock out";
export const lightOrDark = "Light or dark";
export const signOut = "Sign out";
export const fetchingWhatWas = "Fetching what was done";
export const nothingWasDone = "Nothing was done yet.";
export const light = "Light";
export const darkForNight = "Dark, for a night kitchen";
export const asTheDevice = "As the device";
export const goOverTo = "Go over to";
export const bringInListCsv = "Bring in a list (CSV)";
export const takeStockOutCsv = "Take the stock out (CSV)";
export const singleKeys = "Single keys";
export const cupboardOrShelf = "cupboard or shelf, room temperature";
export const coolDarkCellar = "cool and dark: cellar, larder";
export const atHandFor = "at hand, for every day";
export const backstockFurtherOff = "backstock, further off";
export const setApartMeals = "set apart, meals leave it alone";
export const name = "Name";
export const kind = "Kind";
export const forIt = "For";
export const placeCanFall = "A place that can fall below freezing warns you of what would freeze there.";
export const makeThePlace = "Make the place";
export const report = "Report";
export const times = "times)";
export const undoInList = "Undo it in the list of what was done lately";
export const closeThisMessage = "Close this message";
export const coldest = "Coldest";
export const warmest = "Warmest";
export const today = "Today";
export const shelf = "Shelf";
export const count = "Count";
export const meals = "Meals";
export const shop = "Shop";
export const lookBack = "Look back";
export const onYourPhone = "On your phone";
export const keeping = "Keeping";
export const dishes = "Dishes";
export const occasions = "Occasions";
export const withoutShopping = "Days without shopping";
export const places = "Places";
export const bringForward = "Bring forward";
export const jarsAndBoxes = "Jars and boxes";
export const labels = "Labels";
export const recall = "Recall";
export const peopleAndHousehold = "People and household";
export const simulatedScanner = "Simulated scanner";
export const simulatedScale = "Simulated scale";
export const lastOnList = "The last one: on the list";
export const onList = (food: string) => `On the list: ${food}`;
