# frozen_string_literal: true

module NutShelf
  module Core
    # How long a food or class keeps in one place and state: low and high in whole days, and whether
    # passing it is a matter of :safety or of :quality. Frozen. `own_reason` marks a household's own time.
    KeepingRow = Struct.new(:scope, :place, :state, :low, :high, :kind, :after_thaw_days, :method, :care_every_days,
                            :care_text, :signs_to_discard, :caution, :own_reason, keyword_init: true) do
      def initialize(**facts)
        super
        freeze
      end

      # @param school [Symbol] :by_the_date or :look_then_decide
      # @return [Integer] days to count: low for safety always, else by the household's school
      def days(school) = kind == :safety || school == :by_the_date ? low : high

      def span = low == high ? "#{low} days" : "#{low} to #{high} days"
    end
  end
end
