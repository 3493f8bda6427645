/** Classes of which some hold only now and then, or which do not fit on one line. */
export const css = (...classes: (string | false)[]): string => classes.filter(Boolean).join(" ");
