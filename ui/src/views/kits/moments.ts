/** What a box for a moment takes: the local time of this device, to the minute. */
export function inBox(moment: Date): string {
  return new Date(moment.getTime() - moment.getTimezoneOffset() * 60000).toISOString().slice(0, 16);
}

const CLOCK = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });
const DAY = new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short" });

/** "07:08", with the day where it is another than today. */
export function clock(moment: string, now = new Date()): string {
  const at = new Date(moment);
  const time = CLOCK.format(at);
  return at.toDateString() === now.toDateString() ? time : `${DAY.format(at)}, ${time}`;
}
