# frozen_string_literal: true

module NutShelf
  module Desk
    # Where a food goes when nobody says it: where the household said it belongs, the place that is being filled where
    # such food is kept in places of its kind, where it went last, or the only place of such a kind, counting none that
    # stands empty where another is in use.
    class Belonging
      SHELF = %w[cupboard cool_dark].freeze
      IN_USE = 3
      COLD = %w[thawed leftover cooked cut].freeze

      # @param work [UnitOfWork]
      def initialize(work)
        @work = work
      end

      # Finds out about many foods at once, before a list asks for each.
      # @param ids [Array<Integer>]
      # @return [Belonging]
      def know(ids)
        @rows = @work.house.foods.by_id(ids)
        @last = @work.house.foods.came_last(ids)
        self
      end

      # @param food_id [Integer]
      # @return [Store::Rows::Food]
      def row(food_id) = @rows&.fetch(food_id, nil) || @work.food_row(food_id)

      # @param food [Store::Rows::Food]
      # @param state [String, nil] what is said of it, see PutAway
      # @param filling [Integer, nil] id of the place that things were put into just now
      # @return [Core::Place, nil]
      def place(food, state: nil, filling: nil)
        kinds = kinds(food, state)
        return @work.freezer if freezing?(food, state)

        home = here(food.home_place_id)
        return home if home && (state.nil? || kinds.include?(home.kind))

        fitting = @work.places.values.select { |row| kinds.include?(row.kind) }
        fitting.find { |place| place.id == filling } || fitting.find { |place| place.id == last(food) } ||
          only(fitting) || used(fitting)
      end

      # @param food [Store::Rows::Food]
      # @param state [String, nil]
      # @return [Array<String>] kinds of places such food is kept in as it comes
      def kinds(food, state = nil)
        known = @work.food(food.id)
        return %w[freezer] if state == "frozen" || (known.aisle == "Frozen" && state != "thawed")
        return %w[fridge] if COLD.include?(state) || (state == "opened" && known.opened_where == "fridge")

        shelf?(known) ? SHELF : %w[fridge]
      end

      private

      def here(id) = id && @work.places[id]

      # What the household freezes as it comes home.
      def freezing?(food, state) = state.nil? && !@work.freezer.nil? && frozen_at_once.include?(food.id)

      def frozen_at_once = @frozen_at_once ||= @work.house.shopping.frozen_at_once

      def only(places) = (places.first if places.size == 1)

      # One jar does not make a pantry of a place yet.
      def used(places)
        counts = places.to_h { |row| [row, stacks.fetch(row.id, 0)] }
        counts.key(counts.values.max) if counts.values.one?(&:positive?) && counts.values.max >= IN_USE
      end

      def stacks = @stacks ||= @work.house.lots.stacks_by_place

      def last(food)
        known = @rows&.key?(food.id) ? @last : @work.house.foods.came_last([food.id])
        known[food.id]&.start_place_id
      end

      def shelf?(food) = food.food_group == "supplies" || @work.catalog.keeping(food, "bought_sealed", "cupboard").row?
    end
  end
end
