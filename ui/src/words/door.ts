/** What is said of the door: signing in, joining, the first start. */
export const comeInTo = (household: string) => `Come in to ${household}`;
export const chooseNewPassword = (email: string) => `Choose a new password for ${email}.`;
export const youAreInvited = (role: string) => `You are invited as ${role}.`;
export const belongsNoHousehold = (name: string) => `${name} belongs to no household here`;
export const nutShelf = "Nut Shelf";
export const aNewHousehold = "A new household";
export const youBecomeIts = "You become its keeper. Everything stays on this machine.";
export const nameHousehold = "Name of the household";
export const yourName = "Your name";
export const eMailAddress = "E-mail address, to sign in";
export const passwordAtLeast = "Password, at least ten characters";
export const peopleWhoEat = "People who eat here";
export const timeZone = "Time zone";
export const makeTheHousehold = "Make the household";
export const tryAgain = "Try again.";
export const linkComeIn = "A link to come in";
export const suchLinkWorks = "Such a link works once.";
export const youAreSigned = "You are signed in as";
export const accountMayBelong = ". An account may belong to several households.";
export const comeInAs = "Come in as";
export const orMakeAnother = "Or make another account:";
export const emailAddress = "E-mail address";
export const passwordTenLetters = "Password, at least ten characters";
export const comeIn = "Come in";
export const keeperCanSend =
  "A keeper can send you a link to come in. Open it on this device, and you keep this account.";
export const signOut = "Sign out";
export const houseNotAnswering = "The house is not answering. Try again in a moment.";
export const tooManyWrong =
  "Too many wrong tries: the door stays shut for ten minutes. Whoever runs the house can open it sooner.";
export const namePasswordDo =
  "That name and password do not open this door. Check both and try again; " +
  "after eight wrong tries it stays shut for ten minutes.";
export const signIn = "Sign in";
export const yourHouseholdsShelf = "To your household's shelf.";
export const lookAroundDemo = "Look around the demo";
export const password = "Password";
export const staySignedIn = "Stay signed in on this device";
