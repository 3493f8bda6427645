# frozen_string_literal: true

require "json"
require_relative "../core/dating/lineage"
require_relative "errors"

module NutShelf
  module Exchange
    # Reads stories of stacks from JSON, so that anybody can try the dating rules on their own, and writes the answers.
    class StoryFile
      # What is wrong in a file: which story, which field, and how to mend it.
      class Unreadable < Error
      end

      SITUATIONS = %w[
        bought_sealed bought_frozen left_over cooked home_canned home_dried ripening opened thawed frozen_at_home cut
        ripe ground portioned
      ].freeze
      KINDS = %w[opened frozen thawed moved looked ripened cut cooked stored topped_up dark suspected].freeze
      PLACES = %w[cupboard cool_dark fridge freezer].freeze
      RESULTS = %w[good turning bad].freeze
      VERDICTS = %w[keep eat_today cook_now eat_soon refreeze refreeze_poorer].freeze
      SCHOOLS = %w[look_then_decide by_the_date].freeze
      PRINTED = %w[use_by best_before].freeze

      # @param text [String] a JSON array of stories
      # @param catalog [Core::Catalog]
      # @raise [Unreadable]
      def initialize(text, catalog:)
        @catalog = catalog
        @rows = JSON.parse(text)
        unless @rows.is_a?(Array) && @rows.all?(Hash)
          raise Unreadable, "The file must hold a list of stories, [{...}, ...]."
        end

        refuse_twice
        @lineage = Core::Lineage.new(@rows.to_h { |row| [row["id"].to_s, member(row)] }, catalog: catalog)
      rescue JSON::ParserError => e
        raise Unreadable, "That is no JSON: #{e.message.lines.first.strip}"
      end

      # @return [Hash{String=>Hash}] by id, ready for JSON
      # @raise [Unreadable] when a story is made of one that is not there, or of itself
      def answers
        @rows.to_h { |row| [row["id"].to_s, answer(row)] }
      rescue Core::Unknown => e
        raise Unreadable, e.message
      end

      private

      def refuse_twice
        twice = @rows.map { |row| row["id"].to_s }.tally.find { |id, count| id.empty? || count > 1 } or return
        raise Unreadable, twice.first.empty? ? "Every story needs an id." : "The id #{twice.first} stands there twice."
      end

      def answer(row)
        policy = Core::Policy.new(school: word(row, "school", SCHOOLS, "look_then_decide").to_sym)
        policy = policy.strict if row["strict"] == true
        dating =
          @lineage.date(row["id"].to_s, policy: policy, today: day(row, row["id"], "today") || missing(row, "today"))
        days =
          %i[usable_until quality_until safety_until ready_on].to_h { |name| [name, dating.public_send(name)&.iso8601] }
        { state: dating.state, **days, flags: dating.flags.map { |flag| flag[:code] }, steps: dating.steps }
      end

      def member(row)
        events = row["events"] || []
        raise Unreadable, "Story #{row["id"]}: events must be a list." unless events.is_a?(Array) && events.all?(Hash)

        from = events.each_index.to_h { |index| [index, Array(events[index]["from"]).map(&:to_s)] }
        Core::Lineage::Member.new(name: name(row), story: story(row, events), from: from.reject { |_, ids| ids.empty? })
      end

      def name(row) = "#{food(row).name} (#{row["id"]})"

      def food(row)
        @catalog.foods[row["food"]] ||
          bad(row["id"], "food", row["food"], "Use a key of data/foods.csv or a class of data/food_classes.csv.")
      end

      def story(row, events)
        id = row["id"]
        printed_on = day(row, id, "printed_on")
        Core::Story.new(
          food: food(row),
          situation: word(row, "situation", SITUATIONS, "bought_sealed"),
          printed_on: printed_on,
          printed_kind: printed_on && word(row, "printed_kind", PRINTED, "best_before").to_sym,
          acquired_on: day(row, id, "acquired_on"),
          made_on: day(row, id, "made_on"),
          known_on: day(row, id, "known_on"),
          place: standing(word(row, "place", PLACES)),
          leftover_days: row["leftover_days"],
          method: row["method"],
          quarantined: row["quarantined"] == true,
          events: events.map { |event| event(id, event) }.freeze
        )
      end

      def event(id, event)
        row = { **event, "id" => id }
        Core::Event.new(
          kind: word(row, "kind", KINDS).to_sym,
          on: day(event, id, "on"),
          order: event["order"],
          place: place_of(row),
          result: result_of(row)&.to_sym,
          method: event["method"]
        )
      end

      def place_of(row)
        return standing(word(row, "place", PLACES)) if row["place"] || row["kind"] == "moved"

        nil
      end

      def result_of(row)
        case row["kind"]
        when "looked" then word(row, "result", RESULTS, "good")
        when "dark" then word(row, "result", VERDICTS, "eat_today")
        end
      end

      def standing(kind) = Core::Standing.new(name: "the #{kind.tr("_", " ")}", kind: kind)

      def word(row, field, known, default = nil)
        value = row[field] || default
        known.include?(value) ? value : bad(row["id"], field, value, "Use one of #{known.join(", ")}.")
      end

      def day(row, id, field)
        text = row[field] or return
        Date.iso8601(text)
      rescue Date::Error, TypeError
        bad(id, field, text, "Write a day like 2026-11-24, or null when nobody knows.")
      end

      def missing(row, field) = bad(row["id"], field, nil, "Write a day like 2026-11-24.")

      def bad(id, field, value, remedy)
        raise(Unreadable, "Story #{id}: #{field} cannot be #{value.inspect}. #{remedy}")
      end
    end
  end
end
