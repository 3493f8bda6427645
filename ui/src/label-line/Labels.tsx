import { DropdownMenu } from "radix-ui";
import { Hint } from "../kit/Hint";
import type { ReactNode } from "react";
import type { Place, Question } from "../api/types";
import { useSession } from "../app/session";
import { dayWords } from "../words/common";
import { CountLabel, DateLabel, FoodLabel, PriceLabel } from "./Editors";
import { answer, leftOut, open, type Corrections } from "./model";
import type { Preview } from "./usePreview";
import * as say from "../words/labelLine";

const STATE: Record<string, string> = { leftover: say.leftOver, home_made: "home-made", unripe: say.notRipeYet };
const item = "px-3 py-2 rounded-md cursor-pointer outline-none data-[highlighted]:bg-rim2";

/** A small label with a list to choose from. */
function Choice({
  label,
  sure,
  options,
  onPick,
}: {
  label: ReactNode;
  sure: boolean;
  options: { text: string; value: string }[];
  onPick: (value: string) => void;
}) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="pill phone:min-h-[36px]" data-sure={sure ? "yes" : "no"}>
        {label} ▾
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          side="top"
          align="start"
          sideOffset={6}
          className="z-50 bg-board text-ink border border-edge rounded-xl p-1.5 max-h-[60vh] overflow-y-auto shadow-lg"
        >
          {options.map((option) => (
            <DropdownMenu.Item key={option.value} className={item} onSelect={() => onPick(option.value)}>
              {option.text}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function Asked({
  question,
  corrections,
  correct,
}: {
  question: Question;
  corrections: Corrections;
  correct: (more: Corrections) => void;
}) {
  const done = [...(corrections.answered ?? []), question.field];
  if (question.answers.length === 0)
    return (
      <span className="pill" data-sure="no">
        {question.text}
      </span>
    );
  return (
    <span className="inline-flex flex-wrap items-center gap-1.5" role="group" aria-label={question.text}>
      <span className="text-beet font-semibold text-small">{question.text}</span>
      {question.answers.slice(0, 3).map((option, index) => (
        <button
          key={option.value}
          type="button"
          className="pill phone:min-h-[44px]"
          data-sure="no"
          title={say.altAnd(index + 1)}
          onClick={() => correct({ ...answer(question, option.value), answered: done })}
        >
          {option.text}
        </button>
      ))}
    </span>
  );
}

/** What was understood, as labels that can be corrected one by one; what is unsure is dashed and asks. */
export function Labels({
  preview,
  corrections,
  places,
  correct,
}: {
  preview: Preview;
  corrections: Corrections;
  places: Place[];
  correct: (more: Corrections) => void;
}) {
  const { today } = useSession();
  const draft = preview.draft;
  if (!draft)
    return (
      <span role="status" className="text-soft text-small">
        {preview.away ? say.houseNotAnswering : (preview.trouble ?? say.reading)}
      </span>
    );
  const questions = open(draft, corrections);
  const left = leftOut(draft, corrections);
  const place = places.find((one) => one.id === (corrections.place_id ?? draft.place?.id));
  // The date below was worked out for the line as it was read, not for what was put right since.
  const untouched = !corrections.date && !corrections.food_id && !corrections.opened_on;
  const shared = { draft, corrections, correct };
  const opened = corrections.opened_on ?? draft.opened_on;
  const options = places.map((one) => ({ text: one.name, value: String(one.id) }));
  return (
    <span
      role="group"
      aria-label={say.whatWasUnderstood}
      className="inline-flex flex-wrap items-center gap-2 text-small"
    >
      <CountLabel {...shared} />
      <FoodLabel {...shared} />
      <DateLabel {...shared} />
      {opened && (
        <span className="pill">
          {say.opened} {dayWords(opened, today)}
        </span>
      )}
      {draft.frozen_on && (
        <span className="pill">
          {say.frozen} {dayWords(draft.frozen_on, today)}
        </span>
      )}
      {draft.state && STATE[draft.state] && <span className="pill">{STATE[draft.state]}</span>}
      <Choice
        label={place?.name ?? say.whereTo}
        sure={Boolean(place)}
        options={options}
        onPick={(value) => correct({ place_id: Number(value) })}
      />
      <PriceLabel {...shared} />
      {draft.lot_text && (
        <span className="pill">
          {say.lot} {draft.lot_text}
        </span>
      )}
      {left && (
        <button
          type="button"
          className="pill phone:min-h-[40px]"
          data-sure="no"
          onClick={() => correct({ unread: true })}
        >
          {say.notUnderstood} {left}
          {say.leaveItOut}
        </button>
      )}
      {draft.notes.map((note) => (
        <span key={note} className="text-soft">
          {note}
        </span>
      ))}
      {questions.map((question) => (
        <Asked key={question.field} question={question} corrections={corrections} correct={correct} />
      ))}
      {untouched && draft.effect?.usable_until && (
        <Hint className="text-soft" words={draft.effect.steps.join(" ")}>
          {say.goodUntil} {dayWords(draft.effect.usable_until, today)}
        </Hint>
      )}
      {untouched && draft.effect && !draft.effect.usable_until && <span className="text-soft">{say.noDateYet}</span>}
    </span>
  );
}
