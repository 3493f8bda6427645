# frozen_string_literal: true

require_relative "outages/unsettled"
require_relative "refusal"

module NutShelf
  module Desk
    # Refuses to cook, plan or pour together what a careful person would not eat.
    module Fit
      module_function

      # @param work [UnitOfWork]
      # @param lot [Store::Rows::Lot]
      # @param part [Core::Part] the stack as it is today
      # @param pointer [String] where it stands in what was sent
      # @raise [Conflict]
      def check(work, lot, part, pointer:)
        work.in_the_dark.guard([lot.id])
        return look_first(part, pointer) unless lot.quarantined || part.unfit?(work.today) || part.unknown

        why = lot.quarantined ? "is set apart as not to eat" : unfit(part)
        raise Refusal.of(part.unknown ? :age_unknown : :not_fit, at: pointer, food: part.name, why: why)
      end

      # What nobody eats, or an animal only, goes into nothing that people eat.
      # @param food [Core::Food]
      # @param pet [Boolean] whether an animal eats it
      # @param pointer [String] where it stands in what was sent
      # @raise [Invalid]
      def eaten(food, pointer:, pet: false)
        return if pet ? food.eaten? : food.for_people?

        raise Refusal.of(:not_eaten, at: pointer, food: food.name)
      end

      # What somebody must look at does not hide among other food before that.
      # @raise [Conflict]
      def look_first(part, pointer)
        raise Refusal.of(:look_at_it_first, at: pointer, food: part.name) if part.look_first
      end

      # @return [String] why it may not go in
      def unfit(part)
        return "has an age nobody knows" if part.unknown
        return "is past its safety date, #{Core::Words.day(part.safety_until)}" if part.safety_until && !part.stopped

        "is not to eat any more"
      end
    end
  end
end
