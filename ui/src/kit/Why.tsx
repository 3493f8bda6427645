import * as say from "../words/kit";
/** Where a number comes from, a touch away. */
export function Why({ steps }: { steps: string[] }) {
  if (steps.length === 0) return null;
  return (
    <details className="text-small">
      <summary className="cursor-pointer text-rim font-semibold w-max min-h-[24px] phone:py-[10px]">{say.why}</summary>
      <ul className="text-soft">
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ul>
    </details>
  );
}
