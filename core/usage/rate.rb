# frozen_string_literal: true

module NutShelf
  module Core
    # How fast a food goes, from what was used week by week. Intermittent demand by the method of Teunter, Syntetos
    # and Babai (2011): the chance of use decays in weeks without use, so a food that nobody touches any more is
    # noticed. The first four weeks only initialise. Frozen.
    class Rate
      WEEKS = 4
      ALPHA = Rational(1, 5)
      BETA = Rational(1, 5)

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
        weeks.drop(WEEKS).each { |use| learn(use) }
        @steps = reasons.freeze
        freeze
      end

      # @return [Boolean] whether there is a figure at all
      def known? = measured? || !@said.nil?

      # @return [Rational] base units a week; 0 when nothing is known
      def weekly = measured? ? @chance * @size : @said || 0r

      # @return [Rational] base units a day
      def daily = weekly / 7

      private

      def measured? = @weeks.size >= WEEKS

      def start
        used = @weeks.first(WEEKS).select(&:positive?)
        @chance = measured? ? Rational(used.size, WEEKS) : 0r
        @size = used.empty? ? 0r : used.sum / used.size
      end

      def learn(use)
        return @chance -= BETA * @chance unless use.positive?

        @chance += BETA * (1 - @chance)
        @size = @size.zero? ? use : @size + (ALPHA * (use - @size))
      end

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

        [
          "Of #{@weeks.size} weeks, the later ones weigh more: a week has some use with a chance of " \
          "#{(@chance * 100).round} %, and then about #{size_words}."
        ]
      end
    end
  end
end
