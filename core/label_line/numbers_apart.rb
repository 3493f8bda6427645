# frozen_string_literal: true

require_relative "units"

module NutShelf
  module Core
    module LabelLine
      # Numbers on a line that look like a count or a size and are neither, or may be more than one: part of a name, the
      # number of a can, what an offer costs, "2-3". For AmountField.
      module NumbersApart
        # "flour type 405": a number that belongs to a name says neither how many nor how much.
        NAMED = %w[type typ t nr grade].freeze
        # "a few carrots": how many, only the hand knows that holds them.
        SOME = { "few" => [3, 4, 5], "several" => [4, 5, 6], "couple" => [2, 3] }.freeze
        FROM_TO = /\A(\d{1,3})-(\d{1,3})\z/

        private

        # "two tubs of hummus, 2 for 3": the number in the offer says once more how many; of four they cost twice as
        # much.
        def count_of_offer
          at = @line.found[:count_for]
          offered = at && plain(at)
          return unless offered&.positive? && @count && (@count % offered).zero?

          @line.found[:price] = { **@line.found[:price], number: @line.found[:price][:number] * (@count / offered) }
          @line.claim(:count, [at])
        end

        def named_numbers
          @line.tokens.each_index do |index|
            if plain(index) && NAMED.include?(@line.text(index - 1)) && !measured_at(index)
              @line.claim(:filler, [index - 1, index])
            end
            @line.claim(:filler, [index]) if lean_share?(index)
          end
        end

        # "80/20": how lean mince is.
        def lean_share?(index)
          lean, fat = @line.text(index).to_s.scan(%r{\A(\d{2})/(\d{2})\z}).flatten.map(&:to_i)
          lean && lean + fat == 100
        end

        # "#10 can", "No. 303 tin": the size of a can by its number, which says neither how many nor how much.
        def can_numbers
          @line.tokens.each_index do |index|
            next unless plain(index) && %w[can tin].include?(Units.noun(@line.text(index + 1)))

            named =
              if @line.text(index - 1) == "#"
                [index - 1]
              elsif @line.text(index - 1) == "." && @line.text(index - 2) == "no"
                [index - 2, index - 1]
              elsif @line.text(index - 1) == "no"
                [index - 1]
              end
            next unless named

            @line.claim(:unread, [*named, index])
            before = named.min - 1
            multiply(plain(before), [before]) if plain(before)
          end
        end

        def a_few
          at = @line.tokens.each_index.find { |index| SOME.key?(@line.text(index)) } or return false
          numbers = SOME.fetch(@line.text(at))
          @line.claim(:count, [*(at - 1 if @line.text(at - 1) == "a"), at, *(at + 1 if @line.text(at + 1) == "of")])
          @line.ask(:count, "How many?", numbers.map { |number| { text: number.to_s, value: number.to_s } })
        end

        # "peaches home canned 7 qts": seven jars that hold a quart each, no jar of seven.
        def jars_of_a_measure
          number, unit = @line.found[:size_unit]
          unless @line.found[:state] == "home_canned" && @count.nil? && number && number > 1 &&
              number.denominator == 1 && unit.match?(/quart|pint/)
            return
          end

          @count = number
          @size = Quantity.of(1, unit)
        end

        # "2-3 onions": nobody but the one who wrote it knows.
        def from_to
          @line.tokens.each_index do |index|
            from, to = @line.text(index).to_s.scan(FROM_TO).flatten.map(&:to_i)
            next unless from && from < to && @line[index + 1]&.word?

            @line.claim(:count, [index])
            @line.ask(
              :count,
              "How many: #{from} or #{to}?",
              [from, to].map { |number| { text: number.to_s, value: number.to_s } }
            )
            return true
          end
          false
        end
      end
    end
  end
end
