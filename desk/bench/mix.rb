# frozen_string_literal: true

require_relative "../own_food"
require_relative "../poured"
require_relative "additions"

module NutShelf
  module Desk
    module Bench
      # Portions of one food to which something else was added: a food of their own that holds what all of it holds and
      # keeps as the first does, never longer than what was added. No dish takes it for the plain one.
      class Mix
        # @param work [UnitOfWork]
        # @param entry [Entry]
        # @param additions [Additions] drawn
        # @param food [Core::Food] they are portions of
        def initialize(work, entry, additions, food)
          @work = work
          @entry = entry
          @additions = additions
          @food = food
        end

        # @param label [String, nil] as people call it
        # @return [Hash] of a stack: its food and its label
        def facts(label)
          name = label.to_s.strip
          name = plain_name if name.empty?
          { food_id: food_id(name), label: name }
        end

        # Adds its part to portions.
        # @param lot [Store::Rows::Lot] of the portions
        # @param pool [Store::Rows::Lot] they were made of
        # @param share [Rational] of all that is added
        # @param grams [Rational] that is
        # @param value [Integer] minor units of that
        # @return [Store::Rows::Lot]
        def pour(lot, pool, share:, grams:, value:)
          [*as_itself(pool, lot), *@additions.poured(moves(pool, lot))].each { |event| @entry.happen(lot, event) }
          @additions.went_in.each { |source, units| @entry.came_of(lot, source, units * share, "poured") }
          @entry.move(lot, grams, value, "made")
        end

        private

        # "Chicken thighs with tuna in water": what stands before the first comma of each name.
        def plain_name
          first, *others = [@food, *@additions.foods].map { |food| food.name[/\A[^,]+/] }
          "#{first} with #{others.map { |name| name.sub(/\A\p{Upper}(?=\p{Lower})/, &:downcase) }.join(", ")}"[0, 120]
        end

        # A food of a class may have times of its own beside those of the class: they hold for what is mixed of it.
        def as_itself(pool, lot)
          return [] unless @food.class_key

          plain = @entry.now(lot).with(food_id: pool.food_id)
          [Poured.event(@work, @entry.redate.part(plain), pool.id)]
        end

        def moves(pool, lot)
          [pool.place_id, lot.place_id].uniq.map { |id| @work.happening("moved", place_id: id) }
        end

        def food_id(name)
          holds = [@food, *@additions.foods].flat_map(&:allergens).uniq.sort
          OwnFood.ensure(
            @work, @entry,
            key: ["mix", @food.key, name.downcase.gsub(/[^\p{Alnum}]+/, "-"), *holds].join("-"), name: name,
            allergens: holds, class_key: @food.class_key || @food.key, aisle: @food.aisle,
            food_group: @food.food_group, dimension: "mass"
          )
        end
      end
    end
  end
end
