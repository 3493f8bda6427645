# frozen_string_literal: true

require_relative "../own_food"
require_relative "../poured"
require_relative "additions"

module NutShelf
  module Desk
    module Bench
      # Portions of one food to which something else was added: a food of their own that holds what all of it holds and
      # keeps no longer than any of it. It counts as the one among them that asks for most care: raw before what is
      # eaten as it is, what germs grow in before what is dry. No dish takes it for the plain one.
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

        # The food that what is mixed is like, for power cuts and for who would eat it as it is.
        def base
          @base ||= [@food, *@additions.foods].max_by { |one| [one.high_risk ? 1 : 0, one.ready_to_eat ? 0 : 1] }
        end

        # What it is portions of has times of its own, beside those of a class or of what is added: they hold, too.
        def as_itself(pool, lot)
          return [] unless @food.class_key || base != @food

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
            allergens: holds, class_key: base.class_key || base.key, aisle: @food.aisle,
            food_group: @food.food_group, dimension: "mass"
          )
        end
      end
    end
  end
end
