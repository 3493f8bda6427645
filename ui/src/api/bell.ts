/** Tells those who listen that something has changed. Typed and imported by both sides: nothing is told by name. */
export interface Bell<T = void> {
  ring: (news: T) => void;
  /** @returns what ends the listening */
  heard: (listener: (news: T) => void) => () => void;
}

export function bell<T = void>(): Bell<T> {
  const listeners = new Set<(news: T) => void>();
  return {
    ring: (news) => listeners.forEach((listener) => listener(news)),
    heard: (listener) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}

/** Whether the house answers, as every read finds out by itself. */
export const answering = bell<boolean>();
