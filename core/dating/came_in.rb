# frozen_string_literal: true

require_relative "../value"

module NutShelf
  module Core
    # How a stack came into the house, from what somebody said of it: the `food`, its `state` in their word ("opened",
    # "frozen", "thawed", "unripe", "leftover", "home_made", "home_canned", "home_dried" or nil), the days named with
    # it. What a household made keeps as leftovers do unless it has a row of its own: never as the shop's food. Frozen.
    CameIn =
      Value.of(:food, :state, :opened_on, :frozen_on, :thawed_on, :made_on) do
        # @return [String] see Story
        def situation
          return home_class if food.key.start_with?("class-home-canned", "class-home-dried")
          return "thawed" if state == "thawed" || thawed_on
          return "left_over" if home_made?
          return "opened" if state == "opened" && opened_on.nil?
          return "ripening" if state == "unripe"
          return "bought_frozen" if food.aisle == "Frozen" || (state == "frozen" && frozen_on.nil?)

          "bought_sealed"
        end

        # @return [Boolean] whether it came from a shop
        def bought? = %w[bought_sealed bought_frozen opened ripening].include?(situation)

        # @return [Boolean]
        def open? = state == "opened" || !opened_on.nil?

        # Leftovers, and what was thawed, without a day count from the day they were noted.
        # @param noted_on [Date]
        # @return [Date, nil] the day its time began at home
        def began_on(noted_on)
          thawed_on || made_on || (%w[left_over thawed].include?(situation) ? noted_on : nil)
        end

        private

        def home_class = food.key.start_with?("class-home-canned") ? "home_canned" : "home_dried"

        def home_made?
          food.aisle == "Home leftovers" || %w[leftover home_made home_canned home_dried].include?(state) ||
            food.key.start_with?("class-")
        end
      end
  end
end
