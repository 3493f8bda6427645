# frozen_string_literal: true

require_relative "../../core/kits/refreshing"
require_relative "kit_book"

module NutShelf
  module Desk
    module Kits
      # The refresh of a kit on its next day: what stays, what leaves for the kitchen, what is looked at first, and what
      # comes in for it, from the own shelf or from a shop.
      class RefreshBook
        attr_reader :book

        # @param work [UnitOfWork]
        # @param book [KitBook] of a kit that is set apart
        def initialize(work, book)
          @work = work
          @book = book
        end

        # @return [Core::Kits::Refreshed]
        def plan
          @plan ||= refreshed(shelf: food(free).map { |one| carried(one) })
        end

        # @return [Core::Kits::Refreshed] what leaves, whatever there is to come in for it
        def leaving = refreshed(shelf: [])

        # @param supply [Core::Kits::SupplyStack]
        # @return [Core::Stack]
        def stack(supply) = @work.shelf.stack(supply.id)

        # Where what is fetched goes: the first box of the kit, nil where it has none.
        # @return [Core::Place, nil]
        def box
          @work.places.each_value.select do |place|
            place.kit_id == book.kit.id
          end.min_by { |place| [place.kit_box || 1, place.id] }
        end

        # Where what leaves goes: the home of the food, else the first shelf hands take from.
        # @param food_id [Integer]
        # @return [Core::Place, nil]
        def kitchen(food_id)
          home = @work.food_row(food_id).home_place_id
          shelves = @work.places.values.select { |place| place.kind == "cupboard" && !place.set_apart? }
          shelves.find { |place| place.id == home } || shelves.find(&:working?) || shelves.first
        end

        private

        def refreshed(shelf:)
          Core::Kits::Refreshing.new(book.kit.refresh_days, margin: book.kit.margin_days)
            .call(book.refresh_on, box: food(own), shelf: shelf)
        end

        # As good as it will be once it stands in a box.
        def carried(supply)
          inside = Core::Kits::WarmBox.inside(supply.usable_until, from: book.refresh_on, high_c: book.warmest)
          supply.with(usable_until: inside)
        end

        def own = book.pages.map { |page| page.stock.supply }

        def free = book.stocks.free.map(&:supply).reject { |one| %i[stop look].include?(one.state) || one.open }

        # Water and food for animals are refreshed with the rest.
        def food(supplies) = supplies.reject { |one| one.food.food_group == "supplies" }
      end
    end
  end
end
