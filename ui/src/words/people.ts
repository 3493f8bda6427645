import { plural } from "./region";

/** What is said of people, the household and its ways. */
export const countPortions = (count: number) => plural(count, "portion");
export const roleOf = (name: string) => `Role of ${name}`;
export const roleOfSmall = (name: string) => `role of ${name}`;
export const mayNotSign = (name: string) => `${name} may not sign in any more`;
export const letGo = (name: string) => `let ${name} go`;
export const invitationOf = (name: string) => `invitation of ${name}`;
export const change = (name: string) => `Change ${name}`;
export const never = (foods: string) => `never ${foods}`;
export const eats = (portions: number) => `eats ${countPortions(portions)}`;
export const calendarFeed = "calendar feed";
export const calendar = "Calendar";
export const lastGoodDays = "Last good days, thawing, care and checks, for any calendar that reads iCalendar";
export const feedYoursMade = "A feed of yours, made";
export const endTheFeed = "end the feed";
export const endIt = "End it";
export const makePrivateAddress = "Make a private address";
export const whoeverHasThis =
  "Whoever has this address sees these days. It is shown only now, and an earlier one leads nowhere any more.";
export const metricCup250 = "Metric: a cup is 250 ml, a pint 568 ml";
export const imperialCup284 = "Imperial: a cup is 284 ml, a pint 568 ml, a gallon 4.55 l";
export const unitedStatesCup = "United States: a cup is 237 ml, a pint 473 ml, a gallon 3.79 l";
export const dayFirstExample = "Day first: 3/4 is 3 April";
export const monthFirstExample = "Month first: 3/4 is March 4";
export const celsiusFridgeAt = "Celsius: the fridge is at 4 °C";
export const fahrenheitFridgeAt = "Fahrenheit: the fridge is at 39 °F";
export const german2Dosen = "German: 2 Dosen Mais MHD 5/28";
export const french2Bo = "French: 2 boîtes de maïs ddm 5/28";
export const spanish2Latas = "Spanish: 2 latas de maíz cad 5/28";
export const cupsPintsGallons = "Cups, pints and gallons";
export const howColdWarm = "How cold and warm";
export const datesInFigures = "Dates in figures";
export const besidesEnglishLines = "Besides English, lines are written in";
export const money = "Money";
export const pricesAreStored = "Prices are stored in it already, so it stays.";
export const whoMaySign = "Who may sign in";
export const keeper = "keeper";
export const helper = "helper";
export const invitedAs = "invited as";
export const until = ", until";
export const takeBack = "Take back";
export const invite = "Invite";
export const name = "Name";
export const asWhat = "As what";
export const asHelper = "as helper";
export const asKeeper = "as keeper";
export const makeALink = "Make a link";
export const giveThisLink = "Give this link to them alone. It works once, and is shown only now.";
export const theLink = "The link";
export const copied = "Copied";
export const copy = "Copy";
export const fetchingTheHousehold = "Fetching the household";
export const youAreKeeper = "you are a keeper";
export const youAreHelper = "you are a helper: counting, putting away, cooking; rules are the keepers’";
export const whoEatsHere = "Who eats here";
export const changeIt = "Change";
export const nobodyEnteredYet = "Nobody is entered yet: meals are planned for one.";
export const somebodyElse = "Somebody else";
export const backup = "Backup";
export const everythingThisHousehold = "Everything of this household as one open JSON document";
export const takeBackupOut = "Take the backup out";
export const goesBackInto = "It goes back into an empty instance with";
export const binRestore = "bin/restore";
export const byteForByte = ", byte for byte. Passwords are not in it: everybody gets a link to choose a new one.";
export const doesNotEat = "does not eat at the table";
export const dateOnly = "by the date only";
export const aSmallChild = "a small child";
export const aSmallEater = "a small eater";
export const onePortion = "one portion";
export const aGoodEater = "a good eater";
export const aHungryOne = "a hungry one";
export const somebodyWhoEats = "Somebody who eats here";
export const appetite1One = "Appetite, 1 is one portion";
export const from04 = "From 0 to 4.999";
export const eatsAtTable = "eats at the table";
export const dateOnlySmall = "by the date only: small child, pregnancy, old age, weak immunity, guest";
export const neverEats = "Never eats";
export const note = "Note";
export const keepItSo = "Keep it so";
export const doesNotEatHere = "Does not eat here any more";
export const lookThenDecide = "Look, then decide";
export const pastBestBefore =
  "Past a best-before date somebody looks and records what they found, within a tolerance for that food.";
export const byTheDate = "By the date";
export const pastItsBest = "Past its best-before a thing counts as gone.";
export const eatThisWeek = "“Eat this week” means within … days";
export const soonMeansWithin = "“Soon” means within … days";
export const countEachPlace = "Count each place every … days";
export const askWhySomething = "Ask why something is missing from … cents on";
export const whatSaysAlready = "That is what it says already.";
export const theHouseholdsWays = "the household’s ways";
export const ways = "Ways";
export const pastBestBeforeDate = "Past a best-before date";
export const noSchoolEats = "No school eats past a use-by date. Changing it dates every stack anew.";
export const thereIsAHeap = "there is a compost heap for raw plants";
export const thereAreAnimals = "there are animals to feed";
export const planTinsJars = "plan tins and jars that must be looked at first";
export const howWeWrite = "How we write";
export const surelyLetGo = (name: string) => `${name} can then no longer come in. Only a new link lets them in again.`;
export const letThemGo = "Let them go";
export const account = "Your own door";
export const passwordNow = "Your password now";
export const newPassword = "The new one, at least ten characters";
export const changePassword = "Change the password";
export const changed = "Your password is changed. Every other device has to sign in anew.";
export const forKits = "For kits and hard days";
export const forKitsNote = "All of it may stay empty: then the usual figure stands in, and the kit says so.";
export const age = "Age in years";
export const weight = "Weight in kg";
export const sex = "Woman or man";
export const SEXES: readonly (readonly [string, string])[] = [
  ["woman", "woman or girl"],
  ["man", "man or boy"],
];
export const notSaid = "not said";
export const effort = "What they do all day";
export const EFFORTS: readonly (readonly [string, string])[] = [
  ["rest", "rest"],
  ["light", "up and about"],
  ["hiking", "walk all day"],
  ["hard", "work hard, or in the cold"],
];
export const asTheKit = "as the kit says";
export const pregnant = "pregnant";
export const nursing = "nursing";
export const formulaFed = "an infant on formula";
export const dislikes = "Does not like, so no kit counts on it";
