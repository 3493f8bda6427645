/** Classes that do not fit on one line. */
export const css = (...classes: string[]): string => classes.join(" ");
