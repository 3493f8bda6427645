# frozen_string_literal: true

require_relative "../base"
require_relative "../lines"
require_relative "../views/audit_view"
require_relative "../views/eat_down_view"
require_relative "../views/week_view"
require_relative "../../desk/acts/begin_span"
require_relative "../../desk/acts/carry_over"
require_relative "../../desk/acts/drop_pattern"
require_relative "../../desk/acts/end_span"
require_relative "../../desk/acts/fill_meals"
require_relative "../../desk/acts/note_span"
require_relative "../../desk/acts/set_pattern"
require_relative "../../desk/acts/set_slot"
require_relative "../../desk/meal_filling"

module NutShelf
  module Api
    # Days of meals: what they are like, what fills them, and looking for what could.
    class Plan < Base
      helpers Lines

      # Seconds a filling looks for better plans.
      SECONDS = 3.0
      LONGEST = 92

      get("/") do
        from = day_param(:from)
        days = number_param(:days, 7, 1..LONGEST)
        view(:stock, :plan, :people, :rules) do |work|
          first = from || work.today
          WeekView.new(work, from: first, to: first + days - 1).call
        end
      end

      # What is looked over before the days are planned.
      get("/audit") do
        from = day_param(:from)
        days = number_param(:days, 7, 1..LONGEST)
        view(:stock, :plan, :people, :rules) do |work|
          first = from || work.today
          AuditView.new(work, from: first, to: first + days - 1).call
        end
      end

      # How far more of one food than anybody would eat as it is would go over the days; changes nothing.
      post("/spread") do
        asked = body_as("SpreadGlut")
        from, to = asked.values_at(:from, :to).map { |day| Date.iso8601(day) }
        read_only do |work|
          json AuditView.new(work, from: from, to: [to, from + LONGEST].min).spread(asked[:lot_id])
        end
      end

      # Better and better plans, a line of JSON each, the first one soon; the last says it is the last.
      post("/proposals") do
        asked = body_as("AskProposals")
        filling = prepared(asked)
        lines { |out| told(filling, asked, out) }
      end

      post("/spans") { act(Desk::BeginSpan, body_as("BeginSpan")) }

      post("/spans/:id/note") { act(Desk::NoteSpan, { span_id: id_param, **body_as("NoteSpan") }) }

      post("/spans/:id/end") do
        body_as("Nothing")
        act(Desk::EndSpan, { span_id: id_param })
      end

      # How long the shelf carries so many days without shopping; changes nothing.
      post("/eat-down") do
        asked = body_as("AskEatDown")
        eat_down =
          read_only do |work|
            Desk::EatDown.new(work, days: asked[:days], fresh: asked[:fresh] || []).ready
          end
        json EatDownView.new(eat_down, asked[:days]).call(SECONDS / 2)
      end

      post("/carry-over") { act(Desk::CarryOver, body_as("CarryOver")) }

      post("/fill") { act(Desk::FillMeals, body_as("FillMeals")) }

      post("/slots") { act(Desk::SetSlot, body_as("SetSlot")) }

      post("/patterns") { act(Desk::SetPattern, body_as("SetPattern")) }

      post("/patterns/:id/drop") do
        body_as("Nothing")
        act(Desk::DropPattern, { pattern_id: id_param })
      end

      helpers do
        # Reads everything a search needs, so that it holds no connection while it looks.
        def prepared(asked)
          read_only do |work|
            only = asked[:only]&.map { |one| [Date.iso8601(one[:on]), one[:meal]] }
            from, to = asked.values_at(:from, :to).map { |day| Date.iso8601(day) }
            Desk::MealFilling.new(
              work, from: from, to: to, only: only, again: asked[:again] || [], in_hand: asked[:in_hand] || 0
            ).ready
          end
        end

        def told(filling, asked, out)
          last = filling.call(seconds: asked[:seconds]&.to_f || SECONDS, cancel: out.method(:gone?)) do |proposed, cost|
            out << line(filling, proposed, cost: cost.to_f.round(2), done: false)
          end
          out << line(filling, last, done: true)
        end

        def line(filling, proposed, **more)
          { open: filling.open, meals: proposed.map { |one| filling.told(one, among: proposed) }, **more }
        end
      end
    end
  end
end
