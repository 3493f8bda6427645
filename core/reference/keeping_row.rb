# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # How long a food or class keeps in one place and state: low and high in whole days, and whether
    # passing it is a matter of :safety or of :quality. Frozen. `own_reason` marks a household's own time.
    # `storage` names the way of storing the figure is for, nil for the usual one; `method` is its advice in words.
    KeepingRow =
      Value.of(
        :scope, :place, :state, :low, :high, :kind, :after_thaw_days, :method, :care_every_days, :care_text,
        :signs_to_discard, :caution, :own_reason, :storage
      ) do
        # @return [String] how it is kept for this figure: "in a bag"
        def storage_words = KeepingRow::STORAGE.fetch(storage, storage)

        # @param school [Symbol] :by_the_date or :look_then_decide
        # @return [Integer] days to count: low for safety always, else by the household's school
        def days(school) = kind == :safety || school == :by_the_date ? low : high

        # @return [String] a span as people say it: "4 to 7 days", "8 to 12 months", "about 2 to 5 years"
        def span_words
          return span if high < 60
          if high < 730 && low >= 30
            return "#{(low / 30.4).round} to #{(high / 30.4).round} months".sub(/\A(\d+) to \1 /, '\1 ')
          end
          return "#{low} days to #{(high / 30.4).round} months" if high < 730

          if low < 365
            "#{(low / 30.4).round} months to #{years(high)} years"
          else
            "#{years(low)} to #{years(high)} years".sub(/\A([\d.]+) to \1 /, '\1 ')
          end
        end

        # @return [String] a number of years: "1.5"
        def years(days) = (days / 365.0).round(days < 1825 ? 1 : 0).to_s.delete_suffix(".0")

        # @return [String] "3 to 5 days"
        def span = low == high ? "#{low} #{low == 1 ? "day" : "days"}" : "#{low} to #{high} days"
      end

    # Ways of storing that a figure may depend on, and how they read.
    KeepingRow::STORAGE = {
      "bag" => "in a bag", "jar" => "in a closed jar or box", "water" => "standing in water",
      "paper" => "wrapped in paper or cloth", "vacuum" => "vacuum-packed"
    }.freeze
  end
end
