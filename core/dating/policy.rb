# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # The household's school and windows. `school` is :by_the_date or :look_then_decide; `front_days`
    # and `soon_days` bound the states of the same names; `fridge`: whether there is one to put things into. Frozen.
    Policy =
      Value.of(school: :look_then_decide, front_days: 7, soon_days: 30, fridge: true) do
        # @return [Policy] for eaters who go by the date alone: small children, old age, pregnancy, guests
        def strict = self.class.new(**to_h, school: :by_the_date)

        # @return [Boolean] whether dates alone count, and no look
        def by_the_date? = school == :by_the_date

        # @return [String] the school as people call it
        def school_words = by_the_date? ? "by the date" : "look, then decide"
      end
  end
end
