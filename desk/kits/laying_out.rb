# frozen_string_literal: true

require_relative "../../core/kits/boxes"
require_relative "../../core/kits/menu"
require_relative "kit_book"

module NutShelf
  module Desk
    module Kits
      # What becomes of what counts in a kit: its menu, days by meals, and the boxes it is dealt into. Nothing is
      # written.
      class LayingOut
        # A container of water that heavy has a handle, and stands beside the boxes.
        HANDLE_G = 2000

        attr_reader :book

        # @param work [UnitOfWork]
        # @param book [KitBook]
        def initialize(work, book)
          @work = work
          @book = book
        end

        # Cooking water is what is stored beyond drinking; where water runs there is no limit, nor is there one to heat
        # where power stays.
        # @return [Core::Kits::LaidMenu]
        def menu
          @menu ||= Core::Kits::Menu.new(
            @work.catalog, book.figures, days: kit.days, kcal_per_day: book.need.kcal, eaters: book.who.eaters,
            gear: book.gear, heat_l: heat, cook_water_l: cook_water
          ).call(stacks.map { |page| page.stock.supply })
        end

        # @return [Core::Kits::Dealt]
        def dealt
          @dealt ||= begin
            boxed = (book.counted - loose).group_by { |page| box_of(page) }.transform_values { |pages| packets(pages) }
            Core::Kits::Boxes.new(box_ml: kit.box_ml, box_tare_g: kit.box_tare_g, limit_g: kit.carry_g)
              .call(boxed.fetch(nil, []), standing: boxed.except(nil))
          end
        end

        # @return [Array<KitBook::Page>] what is carried by itself
        def loose
          @loose ||= book.counted.select do |page|
            page.given.water_l.positive? && page.given.gross_g / page.stock.supply.packs >= HANDLE_G && !box_of(page)
          end
        end

        # @return [Hash{Integer=>Core::Place}] the places that are boxes of the kit, by number
        def boxes
          @boxes ||= @work.places.each_value.select { |place| place.kit_id == kit.id && place.kit_box && !place.gone? }
            .to_h { |place| [place.kit_box, place] }
        end

        # @param page [KitBook::Page]
        # @return [Integer, nil] number of the box it stands in
        def box_of(page)
          place = @work.place(page.stock.stack.place_id)
          place.kit_box if place.kit_id == kit.id
        end

        # @return [Integer] times somebody goes to carry it all
        def carry_trips
          beside = (loose.sum(0r) { |page| page.given.gross_g } / kit.carry_g).ceil
          ((dealt.boxes.size + beside) / kit.carriers.to_r).ceil
        end

        # @param id [Object] of a packet
        # @return [KitBook::Page]
        def page(id) = @pages.to_h[id] || (@pages = book.counted.to_h { |one| [one.stock.supply.id, one] }).fetch(id)

        private

        def kit = book.kit

        def packets(pages) = pages.flat_map { |page| Core::Kits::Packet.of(page.given) }

        def stacks = book.counted.select { |page| page.given.for_people? && page.given.water_l.zero? }

        def heat
          return unless kit.no_power

          hot = kit.hot_drinks ? book.figures.usual("hot-drink-litres") * book.who.eaters.size * kit.days : 0r
          [(kit.fuel_amount / book.figures.usual(kit.fuel_row)) - hot, 0r].max
        end

        def cook_water
          return unless kit.no_water

          stored = book.counted.sum(0r) { |page| page.given.water_l }
          [stored - (book.need.drink_l * kit.days), 0r].max
        end
      end
    end
  end
end
