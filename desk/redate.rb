# frozen_string_literal: true

require_relative "../core/dating/judge"
require_relative "bench/bag_dates"

module NutShelf
  module Desk
    # Computes a stack's dates from what is known of it; they are stored with the act that changed them.
    class Redate
      # Raised with every change of the dating rules: older households are dated anew when the app starts.
      RULES = 4

      STORED = %i[quality_until safety_until ready_on usable_until stopped look_first by_school].freeze

      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # @param lot [Store::Rows::Lot]
      # @param policy [Core::Policy] the household's, unless said
      # @return [Core::Dating]
      def judge(lot, policy: @work.policy)
        Core::Judge.date(story(lot), catalog: @work.catalog, policy: policy, today: @work.today)
      end

      # @return [Core::Part] the stack as it would go into another today
      def part(lot) = Core::Part.of(judge(lot), lot.name(@work.food(lot.food_id)))

      # @return [Hash] the columns to store
      def columns(lot)
        dating = judge(lot)
        alike = @work.policy.by_the_date? || !dating.by_school
        strict = alike ? dating : judge(lot, policy: @work.policy.strict)
        {
          **dating.to_h.slice(*STORED),
          age_unknown: dating.unknown,
          strict_until: strict.usable_until,
          basis: dating.basis.to_s,
          steps: dating.steps,
          flags: dating.flags.map { |flag| flag.transform_keys(&:to_s) },
          frozen: frozen?(lot)
        }
      end

      # @param lot [Store::Rows::Lot]
      # @return [Core::Story] what the dating core is told
      def story(lot)
        Core::Story.new(
          food: @work.food(lot.food_id),
          place: standing(lot.start_place_id, lot.acquired_on || lot.made_on || lot.known_on),
          printed_kind: lot.printed_kind&.to_sym,
          events: lot.history.map { |event| happened(event) },
          quarantined: lot.quarantined,
          **lot.slice(
            :situation, :acquired_on, :made_on, :printed_on, :known_on, :quarantine_reason, :leftover_days, :method,
            :care_until, :care_words
          )
        )
      end

      private

      def happened(event)
        event = event.transform_keys(&:to_s)
        on = day(event["on"])
        Core::Event.new(
          kind: event["kind"].to_sym,
          on: on,
          order: event["seq"],
          place: event["place_id"] && standing(event["place_id"], on),
          result: event["result"]&.to_sym,
          method: event["method"],
          bag: event["bag"] && Bench::BagDates.read(event["bag"]),
          parts: parts(event).freeze
        )
      end

      # A jar remembers one part an event, in the event itself; a dish a list of them.
      def parts(event)
        return [remembered(event)] if event["kind"] == "topped_up"

        Array(event["parts"]).map { |part| remembered(part) }
      end

      def remembered(part)
        facts =
          %w[name stopped reason unknown cooked frozen thawed days_left]
            .to_h { |name| [name.to_sym, part[name]] }
            .compact
        Core::Part.new(**facts, safety_until: day(part["safety_until"]), quality_until: day(part["quality_until"]))
      end

      def day(text) = text && Date.iso8601(text)

      def standing(id, day) = @work.place(id).standing(day)

      def frozen?(lot) = @work.place(lot.place_id).kind == "freezer"
    end
  end
end
