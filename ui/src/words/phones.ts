/** What is said of getting here by phone. */
export const title = "On your phone";
export const asking = "Asking where the house is";
export const onlyHere = "Only this machine can get here";
export const onlyHereWhy =
  "Start Nut Shelf with bin/serve --house, and phones on the same network get here over a secure connection.";
export const begin = "Begin here";
export const beginNote = "point the phone's camera at it; the phone has to be on the same network";
export const codeOf = (address: string) => `Square code of ${address}`;
export const steps = "Once for each phone";
export const STEPS = [
  "Open the address and fetch the household's certificate.",
  "In the phone's settings, install it as a certificate authority; some phones ask once more whether to trust it.",
  "Compare its fingerprint with the one below.",
  "Open Nut Shelf by its own address and put it on the home screen.",
];
export const plain = "Open the address and put Nut Shelf on the home screen.";
export const whatFor = "The camera, the list without signal and the icon on the home screen need this.";
export const fingerprint = "Fingerprint (SHA-256)";
export const address = "Its own address";
export const whatItIs = "What it is";
export const whatItIsWords =
  "A certificate this household's machine made for itself. It can vouch for names and addresses of home networks " +
  "alone, and its key never leaves the machine.";
export const takeBack = "Taking it back";
export const takeBackWords =
  "Remove it in the phone's settings. To end it for all phones, stop Nut Shelf, delete the folder .local/tls and " +
  "start again.";
export const notSecure =
  "This address is not secure: phones will not keep the list without signal, nor lend their camera.";
