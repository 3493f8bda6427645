# frozen_string_literal: true

module NutShelf
  module Core
    # How fast a food goes, from what was used week by week. Intermittent demand by the method of Teunter, Syntetos
    # and Babai (2011): the chance of use decays in weeks without use. The first four weeks only initialise; a week
    # weighs what it would in a plain mean, and never less than WEIGHT. What has lain longer than chance would have it,
    # by the share of weeks it was used in, is not used any more. The figures are those that erred least over four weeks
    # on made-up foods (docs/buying.md, bin/bench usage). Frozen.
    class Rate
      WEEKS = 4
      WEIGHT = Rational(3, 20)
      # So seldom would a food lie so long by chance.
      CHANCE = Rational(1, 20)

      attr_reader :chance, :size, :steps

      # @param weeks [Array<Rational, Integer>] use in base units, oldest week first; weeks away left out
      # @param said [Rational, nil] what the household says it uses a week, until four weeks are known
      # @param unit [String] of the amounts, as it reads: "g", "ml", "pieces", "packs"
      # @return [Rate]
      def self.of(weeks, said: nil, unit: "pieces") = new(weeks.map(&:to_r), said&.to_r, unit)

      def initialize(weeks, said, unit)
        @unit = unit
        @weeks = weeks
        @said = said
        start
        weeks.drop(WEEKS).each_with_index { |use, index| learn(use, WEEKS + index + 1) }
        @chance = 0r if stopped?
        @steps = reasons.freeze
        freeze
      end

      # @return [Boolean] whether there is a figure at all
      def known? = measured? || !@said.nil?

      # @return [Rational] base units a week; 0 when nothing is known
      def weekly = measured? ? @chance * @size : @said || 0r

      # @return [Boolean] whether it was used and has lain for longer than by chance since
      def stopped? = measured? && used_weeks.positive? && still_by_chance < CHANCE

      # @return [Rational] base units a day
      def daily = weekly / 7

      # @return [Rational, Float] by how much use differs from week to week, as a standard deviation; 0 where only said
      def spread
        return 0r unless measured?

        mean = @weeks.sum / @weeks.size
        Math.sqrt(@weeks.sum { |use| (use - mean)**2 } / @weeks.size)
      end

      private

      def measured? = @weeks.size >= WEEKS

      def used_weeks = @weeks.count(&:positive?)

      def weeks_still = @weeks.reverse.take_while(&:zero?).size

      def still_by_chance = (1 - Rational(used_weeks, @weeks.size))**weeks_still

      def start
        used = @weeks.first(WEEKS).select(&:positive?)
        @uses = used.size
        @chance = measured? ? Rational(used.size, WEEKS) : 0r
        @size = used.empty? ? 0r : used.sum / used.size
      end

      def learn(use, week)
        return @chance -= weight(week) * @chance unless use.positive?

        @uses += 1
        @chance += weight(week) * (1 - @chance)
        @size += weight(@uses) * (use - @size)
      end

      # @param count [Integer] what is known, this one among it
      def weight(count) = [WEIGHT, Rational(1, count)].max

      def size_words = "#{@size >= 10 ? @size.round : @size.to_f.round(1).to_s.delete_suffix(".0")} #{@unit}"

      def reasons
        unless measured?
          return [
            if @said
              "The household says so; fewer than #{WEEKS} weeks are known."
            else
              "Fewer than #{WEEKS} weeks are known."
            end
          ]
        end

        return ["Used in #{used_weeks} of #{@weeks.size} weeks, and not for #{weeks_still}: not any more."] if stopped?

        [
          "Of #{@weeks.size} weeks, the later ones weigh more: a week has some use with a chance of " \
          "#{(@chance * 100).round} %, and then about #{size_words}."
        ]
      end
    end
  end
end
