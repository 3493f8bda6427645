# frozen_string_literal: true

require_relative "bench/scraps"

module NutShelf
  module Desk
    # A tub that reached its mark raises a task: what was saved for stock is to be cooked.
    module FullTub
      module_function

      # @param work [UnitOfWork]
      # @param entry [Entry]
      # @param jar [Store::Rows::Lot] what stands in it
      # @return [Boolean] whether it is full
      def tell(work, entry, jar)
        tub = jar.container_id && work.house.containers.find(jar.container_id)
        return false unless tub&.full_at && entry.now(jar).on_hand >= tub.full_at

        what = Bench::Scraps.of?(work.food(jar.food_id)) ? "make stock" : "use or empty it"
        entry.make(
          "care", title: "#{tub.name} is full: #{what}", lot_id: jar.id, first_on: work.today, next_on: work.today
        )
        true
      end
    end
  end
end
