# frozen_string_literal: true

require_relative "../../core/dating/words"
require_relative "../../exchange/label_sheet"
require_relative "kit_book"
require_relative "stocks"

module NutShelf
  module Desk
    module Kits
      # Labels for the lids of boxes: which box it is, how many packs, until when all of it is good, and a square
      # code that opens the box on a phone.
      class LidLabels
        # @param work [UnitOfWork]
        # @param kit [Store::Rows::Kit]
        # @param base [String] address of the house
        def initialize(work, kit, base)
          @work = work
          @kit = kit
          @base = base
          @book = KitBook.new(work, kit)
        end

        # @return [Array<Exchange::LabelSheet::Label>] by number of the box
        def call
          boxes.map { |place| label(place) }
        end

        private

        def boxes
          @work.places.each_value.select { |place| place.kit_id == @kit.id && place.kit_box }.sort_by(&:kit_box)
        end

        def label(place)
          Exchange::LabelSheet::Label.new(
            name: place.name, amount: packs(place), until_words: until_words(place), place: "",
            dates: ["refresh on #{Core::Words.day(@book.refresh_on)}"], directions: minding(place), bought_for: nil,
            code: "#{@base}/box/#{place.id}"
          )
        end

        def packs(place) = Core::Words.count(Stocks.packs_in(@work, place.id), "pack", "packs")

        # The first date of what is in it.
        def until_words(place)
          days = pages(place).map { |page| page.stock.supply.usable_until }
          return "Nothing in it yet" if days.empty?

          days.compact.empty? ? "It all keeps" : "All good until #{Core::Words.day(days.compact.min)}"
        end

        def minding(place) = pages(place).any? { |page| page.given.needs_opener? } ? "An opener belongs in it." : nil

        def pages(place) = @book.pages.select { |page| page.stock.stack.place_id == place.id }
      end
    end
  end
end
