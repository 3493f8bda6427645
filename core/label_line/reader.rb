# frozen_string_literal: true

require_relative "line_price"
require_relative "line"
require_relative "lexicon"
require_relative "date_field"
require_relative "price_field"
require_relative "amount_field"
require_relative "place_field"
require_relative "state_field"
require_relative "food_field"
require_relative "home_made"
require_relative "lot_field"
require_relative "tongue"
require_relative "../reference/food"

module NutShelf
  module Core
    module LabelLine
      # Reads one line of plain words into a Draft, in a fixed order: what is marked first (dates behind a
      # word, prices with a sign), then amounts, then what is bare, then the words. It never guesses a date.
      class Reader
        include LinePrice

        PERISHABLE = [
          "Bread", "Meat and fish", "Dairy and eggs", "Fresh fruit", "Fresh vegetables", "Home leftovers"
        ].freeze
        BY_PIECE = ["Meat and fish", "Fresh fruit", "Fresh vegetables", "Bread"].freeze
        # Days within which such food is eaten or was made.
        NEAR = 90

        # A bare day behind us is the day these were made.
        OF_THE_HOUSE = %w[leftover home_made home_canned home_dried].freeze

        # @param lexicon [Lexicon]
        # @param day_order [Symbol] :dmy or :mdy
        # @param currency [String] ISO code
        # @param measures [Hash] :cup, :pint choose the household's measures (units of Unit::TABLE)
        # @param tongue [Tongue, nil] the household's languages besides English
        def initialize(lexicon, day_order: :dmy, currency: "EUR", measures: {}, tongue: nil)
          @lexicon = lexicon
          @tongue = tongue
          @day_order = day_order
          @currency = currency
          @measures = measures
          freeze
        end

        # @param text [String] the line
        # @param today [Date]
        # @return [Draft]
        def read(text, today:)
          line = Line.new(text, @tongue)
          claim_fields(line, today)
          draft(line, today)
        end

        private

        def claim_fields(line, today)
          LotField.new(line).read
          dates = DateField.new(line, today: today, day_order: @day_order)
          prices = PriceField.new(line, currency: @currency, settings: @measures, dates: dates)
          dates.read_named
          prices.read_marked
          PlaceField.new(line, @lexicon).read
          StateField.new(line).read
          dates.read_bare
          AmountField.new(line, settings: @measures, lexicon: @lexicon).read
          prices.read_bare
          dates.ask_for_missing
          FoodField.new(line, @lexicon, today: today).read
          line.found[:state] ||= "thawed" if line.found[:thawed_on]
          fluid_ounces(line)
          near_date(line, today)
          each_or_all(line)
          leftover_of_today(line, today)
          ask_home_made(line)
        end

        # "4 salmon fillets 480 g": what comes by the piece is weighed together as often as pack by pack.
        def each_or_all(line)
          count, size = line.found.values_at(:count, :size)
          food = @lexicon.foods[line.found[:food]]
          unless line.found[:count_bare] && count > 1 && size && size.dimension != :count && food &&
              BY_PIECE.include?(food.aisle)
            return
          end

          line.ask(
            :count,
            "Is that #{said(size)} each, or in all?",
            [
              { text: "#{said(size)} in all", value: "1" },
              { text: "#{Decimal.print(count)} x #{said(size)}", value: Decimal.print(count) }
            ]
          )
        end

        def said(size) = Measures.of(@measures.fetch(:system, "metric")).size(size)

        # Of two days a date can be, what keeps for weeks means the near one: no bread is good until 2030.
        def near_date(line, today)
          question = line.questions.find { |one| one.field == "date" && one.answers.size > 1 } or return
          food = @lexicon.foods[line.found[:food]]
          return if food.nil? || line.questions.any? { |one| one.field == "food" } || in_the_freezer?(line)
          return unless PERISHABLE.include?(food.aisle) || made?(line)

          near =
            question
              .answers
              .map { |answer| Date.iso8601(answer[:value]) }
              .select { |day| (day - today).abs <= NEAR && (day >= today || made?(line)) }
          return unless near.size == 1

          line.questions.delete(question)
          line.found[:date] = near.first
        end

        def made?(line) = line.found[:date_kind] == "made" || OF_THE_HOUSE.include?(line.found[:state])

        # What is frozen keeps for as long as tins do.
        def in_the_freezer?(line)
          line.found[:state] == "frozen" || line.found.key?(:frozen_on) ||
            @lexicon.places.any? { |place| place.name == line.found[:place] && place.kind == "freezer" }
        end

        # An ounce of what is poured is a fluid ounce.
        def fluid_ounces(line)
          number, unit = line.found[:size_unit]
          food = @lexicon.foods[line.found[:food]]
          return unless unit == "oz" && food && (food.dimension == :volume || poured?(food))

          line.found[:size] = Quantity.of(number, Units.unit("floz", @measures))
          line.notes << "Ounces of what is poured are fluid ounces."
        end

        # Weighed in the kitchen, sold by the bottle: syrup.
        def poured?(food) = food.typical_packs.any? { |size| size.dimension == :volume }

        # Leftovers are put away on the day they were cooked, unless the line says otherwise.
        def leftover_of_today(line, today)
          unless line.found[:state] == "leftover" && !line.found.key?(:date) &&
              line.questions.none? { |question| question.field == "date" }
            return
          end

          earliest = line.found.values_at(:frozen_on, :opened_on).compact.push(today).min
          line.found[:date] = earliest
          line.found[:date_kind] = "made"
          line.notes << "Nothing was said of when it was cooked: " \
                        "#{earliest == today ? "today" : "the day it was frozen or opened"} counts."
        end

        def ask_home_made(line)
          state = line.found[:state]
          food = @lexicon.foods[line.found[:food]]
          return unless HomeMade.ask?(state, food) && line.questions.none? { |question| question.field == "food" }

          line.ask(:food, HomeMade.question(state, food), HomeMade.answers(state, @lexicon.foods))
        end

        def draft(line, today)
          found = line.found
          food = @lexicon.foods[found[:food]]
          amount, unit = amount_of(found, food)
          Draft.new(
            count: found[:count],
            amount: amount,
            unit: unit,
            food: found[:food],
            label: found[:label],
            date: found[:date],
            date_kind: date_kind(line, food, today),
            opened_on: found[:opened_on],
            frozen_on: found[:frozen_on],
            thawed_on: found[:thawed_on],
            place: found[:place],
            price_minor: price(line, amount, unit),
            state: found[:state],
            lot_text: found[:lot_text],
            questions: line.questions.freeze,
            unread: unread(line),
            notes: line.notes.freeze,
            spans:
              line.spans.slice(:count, :amount, :food, :date, :opened_on, :frozen_on, :place, :price, :state).freeze
          )
        end

        def amount_of(found, food)
          return found[:size].amount, found[:size].unit if found[:size]
          return nil, found[:noun] if found[:noun] && found[:noun] != "piece"

          return nil, nil if found[:food].to_s.start_with?("class-")

          counted?(food) || found[:noun] == "piece" ? [1r, "piece"] : [nil, nil]
        end

        # Six tortillas are six pieces, though their weight is what is reckoned with.
        def counted?(food)
          return false unless food

          food.dimension == :count || food.g_per_piece ||
            (food.typical_packs.any? && food.typical_packs.all? { |size| size.dimension == :count })
        end

        # A date nobody named: months are printed as best before; a day by what that food usually carries.
        def date_kind(line, food, today)
          found = line.found
          return from_a_day(line) if line.hints.include?(:from_a_day) && !of_the_house?(line, food)
          if line.hints.include?(:any_date) && found[:date_kind].nil? && food&.date_kind_usual == "use_by"
            return stricter(line)
          end
          return sold_by(line, food) if found[:date_kind] == "sell_by"

          line.hints.include?(:bare_date) && found[:date_kind].nil? ? bare_kind(line, food, today) : found[:date_kind]
        end

        def bare_kind(line, food, today)
          day = line.found[:date]
          return "made" if OF_THE_HOUSE.include?(line.found[:state]) && day && day <= today
          return "best_before" if line.hints.include?(:month_date)
          return from_a_day(line) if day && day < today && line.hints.include?(:said_day)

          usual = food&.date_kind_usual
          return usual if %w[best_before use_by].include?(usual)

          line.ask(:date_kind, "Is that a best-before or a use-by date?", DateField::PRINTED)
          nil
        end

        def of_the_house?(line, food) = OF_THE_HOUSE.include?(line.found[:state]) || food&.aisle == "Home leftovers"

        # "bread from monday": baked, packed or bought then, which only a person can tell.
        def from_a_day(line)
          line.ask(
            :date_kind,
            "What was it on that day?",
            [{ text: "made or cooked", value: "made" }, { text: "packed or bought", value: "packed" }]
          )
          nil
        end

        # "exp" on what carries a use-by is one: the stricter of the two.
        def stricter(line)
          line.questions.reject! { |question| question.field == "date_kind" }
          "use_by"
        end

        # A shop's date stands for the one of the pack: it is never later.
        def sold_by(line, food)
          kind = food&.date_kind_usual == "use_by" ? "use_by" : "best_before"
          line.notes << "A sell-by date is the shop's; here it counts as " \
                        "#{kind == "use_by" ? "a use-by" : "a best-before"}."
          kind
        end

        # What no field took, as it was typed: "L3321B" stays one word.
        def unread(line)
          left = line.tokens.each_index.select { |index| [nil, :unread].include?(line.claimed_by(index)) }
          pieces = left.slice_when { |one, other| other != one + 1 || line.tokens[one].to != line.tokens[other].from }
          pieces
            .filter_map { |run| line.between(run.first, run.last) if run.any? { |index| !mark?(line.tokens[index]) } }
            .freeze
        end

        def mark?(token) = token.kind == :sym && token.text.match?(/[[:punct:]]/)
      end
    end
  end
end

require_relative "../quantity/wording"
