# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # How long something keeps in this house, from what people noted: each stack was still good on one day and had
    # turned on a later one, or had not yet. The distribution of such intervals by Turnbull's method (1976: the
    # estimate of greatest likelihood, by expectation and maximisation). About quality alone; nothing here moves a
    # date. Frozen.
    KeptHere =
      Value.of(:median_days, :turned, :notes, :longest_good) do
        # @param notes [Array<Note>]
        # @return [KeptHere, nil] nil where too few of them turned
        def self.of(notes)
          turned = notes.count(&:turned_by)
          return if turned < self::LEAST

          new(
            median_days: median(notes), turned: turned, notes: notes.size, longest_good: notes.map(&:good_until).max
          )
        end

        # @return [Integer, nil] days by which half had turned, nil where more than half outlasted every note
        def self.median(notes)
          days = notes.filter_map(&:turned_by).uniq.sort
          weights = estimate(notes, [*days, nil])
          sum = 0.0
          days.zip(weights).find { |_, weight| (sum += weight) >= 0.5 - 1e-9 }&.first
        end

        # @return [Array<Float>] the share that turns by each of these days
        def self.estimate(notes, days)
          fits = notes.map { |note| days.each_index.select { |at| note.covers?(days[at]) } }
          weights = Array.new(days.size, 1.0 / days.size)
          self::ROUNDS.times do
            sums = fits.map { |list| list.sum { |at| weights[at] } }
            weights = days.each_index.map do |at|
              fits.each_with_index.sum { |list, one| list.include?(at) ? weights[at] / sums[one] : 0.0 } / notes.size
            end
          end
          weights
        end
        private_class_method :median, :estimate
      end

    class KeptHere
      # Fewer that turned say nothing.
      LEAST = 3
      ROUNDS = 200

      # One stack: days after which it was still good, and the day by which it had turned, nil where it had not. Frozen.
      Note =
        Value.of(:good_until, :turned_by) do
          # @param day [Integer, nil] nil: later than any note
          # @return [Boolean] whether it may have turned then
          def covers?(day)
            return turned_by.nil? if day.nil?

            day > good_until && (turned_by.nil? || day <= turned_by)
          end
        end
    end
  end
end
