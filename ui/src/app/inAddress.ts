import { useSearchParams } from "wouter";

/**
 * What a view shows, kept in its address: it outlives a reload, goes with a link, and Back finds it as it was.
 * @param usual what holds where the address says nothing; it is not written there
 * @param known what may stand there; anything else is taken for the usual
 */
export function useInAddress(
  name: string,
  usual: string,
  known: (value: string) => boolean = () => true,
): [string, (value: string) => void] {
  const [params, setParams] = useSearchParams();
  const said = params.get(name);
  const value = said !== null && known(said) ? said : usual;
  const set = (next: string) =>
    setParams(
      (now) => {
        const changed = new URLSearchParams(now);
        if (next === usual) changed.delete(name);
        else changed.set(name, next);
        return changed;
      },
      { replace: true },
    );
  return [value, set];
}
