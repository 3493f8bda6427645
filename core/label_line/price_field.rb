# frozen_string_literal: true

module NutShelf
  module Core
    module LabelLine
      # Reads what was paid. A bare price is for the whole line; "each", "per kg" say otherwise. The sum is
      # settled once count and amount are known, see Pricing in reader.rb.
      class PriceField
        SIGNS = {
          "€" => "EUR", "$" => "USD", "£" => "GBP", "eur" => "EUR", "euro" => "EUR", "euros" => "EUR", "usd" => "USD",
          "gbp" => "GBP", "chf" => "CHF", "sek" => "SEK", "nok" => "NOK", "dkk" => "DKK", "kr" => "kr", "fr" => "CHF",
          "dollars" => "USD"
        }.freeze
        CENTS = %w[c ct cent cents p pence].freeze
        EACH = %w[each ea apiece].freeze
        # How many eggs, rolls and tea bags come in a pack.
        PACKED_BY = [6, 8, 10, 12, 15, 16, 18, 20, 24, 30, 36, 48, 60, 72, 80, 100].freeze
        LEADS = %w[for price cost paid total at @ costs sum altogether].freeze
        PER = %w[per a an / the].freeze
        MONEY = /\A(?:\d{1,6}(?:[.,]\d{1,2})?|[.,]\d{2})\z/
        # Two places behind the point and nothing beside it that is measured.
        BARE = /\A\d{0,6}[.,]\d{2}\z/
        PER_WEIGHT = %r{\A(\d{1,6}[.,]\d{2})/(\d{1,4})\z}

        # @param line [Line]
        # @param currency [String] ISO code of the household
        # @param settings [Hash] for unit words
        # @param dates [DateField] asked whether a bare number could be a date
        def initialize(line, currency:, settings:, dates:)
          @line = line
          @currency = currency
          @settings = settings
          @dates = dates
        end

        # Prices that say so: a sign, "each", "per kg", "for".
        def read_marked
          @line.tokens.each_index do |index|
            next unless @line[index]&.num?
            return if glued_weight(index) || marked(index)
          end
        end

        # What is left and looks like money.
        def read_bare
          return if @line.found[:price]

          index =
            @line.free_indexes.select { |at| @line[at].num? && @line.text(at).match?(BARE) && !measured?(at) }.last or
            return
          doubt = @dates.doubtful_at(index)
          doubt ? ask(index, doubt) : take(index, [index], { bare: true })
        end

        private

        # "2 for 3", "2for3.00": so many for so much.
        def bought_for(index)
          sign = SIGNS[@line.text(index - 1)] ? 1 : 0
          at = index - 1 - sign
          unless (@line.text(at) == "for" || (sign == 1 && @line.text(at) == "/")) &&
              @line.text(at - 1)&.match?(/\A\d{1,3}\z/) && (sign == 1 || !@line[index + 1]&.word?)
            return
          end
          return if sign == 1 && !same_currency?(SIGNS[@line.text(index - 1)])

          # How many tins stand elsewhere on the line: then this is only what they cost.
          @line.found[:count_for] = at - 1
          store(index, (at..index).to_a, @line.text(index), {})
        end

        def measured?(index) = Units.unit(@line.text(index + 1), @settings) || Units.noun(@line.text(index + 1))

        # "2.50/100 g" is cut as one number.
        def glued_weight(index)
          price, size = @line.text(index).match(PER_WEIGHT)&.captures
          unit = price && Units.unit(@line.text(index + 1), @settings)
          return unless unit

          store(index, [index, index + 1], price, { per: Quantity.of(size, unit) })
        end

        def marked(index)
          return unless @line.text(index).match?(MONEY)

          return if bought_for(index)
          return if measured?(index) && !SIGNS.key?(@line.text(index - 1))

          used = [index]
          sign = sign_beside(index, used)
          mark = mark_after(used.max + 1, used) || mark_before(used.min - 1, used)
          return unless sign || mark
          return if sign.nil? && mark == {} && !@line.text(index).match?(/[.,]\d{1,2}\z/)
          return other_currency(index, used, sign) if sign && !same_currency?(sign)

          store(index, used, cents?(used) ? (@line.text(index).tr(",", ".").to_r / 100) : @line.text(index), mark || {})
        end

        def sign_beside(index, used)
          before = @line.text(index - 1)
          after = @line.text(index + 1)
          if SIGNS.key?(before) && !(SIGNS.key?(after) && before != "€")
            used << (index - 1)
            SIGNS[before]
          elsif SIGNS.key?(after) && !belongs_to_next?(index + 1)
            used << (index + 1)
            SIGNS[after]
          elsif CENTS.include?(after) && @line.text(index).match?(/\A\d{1,3}\z/) && !Units::NAMES.key?(after) &&
              !counted?(index, after)
            used << (index + 1)
            @currency
          end
        end

        # "12 ct" of eggs is a dozen, not twelve cents: where money has no "ct" always, elsewhere for the usual dozens.
        def counted?(index, after)
          after == "ct" && (!%w[EUR CHF].include?(@currency) || PACKED_BY.include?(@line.text(index).to_i))
        end

        # "x 3 €12": the sign touches the number behind it, not the one before.
        def belongs_to_next?(sign)
          nxt = @line.tokens[sign + 1]
          nxt&.num? && nxt.from == @line.tokens[sign].to && @line.tokens[sign - 1].to < @line.tokens[sign].from
        end

        def cents?(used) = used.any? { |at| CENTS.include?(@line.tokens[at].text) }

        def same_currency?(sign) = sign == @currency || (sign == "kr" && %w[SEK NOK DKK].include?(@currency))

        def mark_after(at, used)
          if EACH.include?(@line.text(at))
            used << at
            return { each: true }
          end
          return unless PER.include?(@line.text(at))

          per_unit(at, used)
        end

        # "per kg", "/100 g", "a tin", "a piece"
        def per_unit(at, used)
          number, length = @line.text(at) == "a" ? [1r, 0] : (Numbers.at(@line, at + 1) || [1r, 0])
          word = @line.text(at + 1 + length)
          unit = Units.unit(word, @settings)
          if unit && unit != "piece"
            used.push(*(at..(at + 1 + length)))
            { per: Quantity.of(number, unit) }
          elsif Units.noun(word) || unit == "piece" || word == "each" || word == "egg"
            used.push(*(at..(at + 1 + length)))
            { each: true }
          end
        end

        def mark_before(at, used)
          text = @line.text(at)
          if EACH.include?(text)
            used << at
            return { each: true }
          end
          return unless LEADS.include?(text)

          used << at
          if %w[all total paid].include?(@line.text(at - 1)) || (text == "at" && @line.text(at - 1) == "@")
            used << (at - 1)
          end
          %w[at @].include?(text) ? { each: true } : {}
        end

        def store(index, used, number, mark)
          take(index, used, mark, number)
          true
        end

        def take(index, used, mark, number = @line.text(index))
          @line.set(
            :price,
            { number: Quantity.exact(number.is_a?(String) ? number.tr(",", ".") : number), **mark },
            used
          )
        end

        def other_currency(index, used, sign)
          @line.claim(:price, used)
          @line.ask(
            :price,
            "The price is in #{sign}, this household counts in #{@currency}. What is it in #{@currency}?",
            []
          )
          @line.found[:price] = nil
          index
        end

        def ask(index, doubt)
          text = @line.text(index)
          @line.claim(:price, [index])
          dates =
            doubt.readings.map { |reading| { text: "the date #{Words.day(reading.on)}", value: reading.on.iso8601 } }
          @line.ask(
            :price_or_date,
            "Is #{text} a price or a date?",
            [{ text: "the price #{text}", value: text.tr(",", ".") }, *dates]
          )
        end
      end
    end
  end
end
