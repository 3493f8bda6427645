# frozen_string_literal: true

require_relative "../../core/dating/words"
require_relative "../../desk/kits/laying_out"
require_relative "../../exchange/papers/paper"
require_relative "../views/kit_words"

module NutShelf
  module Api
    module Papers
      # A card for each box of a kit: what lies in it, how each opens and until when it is good, what must be minded.
      class BoxCardsPaper
        OPENS = {
          "ring" => "by its ring", "opener" => "with an opener", "key" => "by its key", "screw" => "by its lid",
          "tear" => "by hand", "cut" => "with a knife"
        }.freeze

        # @param work [Desk::UnitOfWork]
        # @param kit [Store::Rows::Kit]
        def initialize(work, kit)
          @work = work
          @kit = kit
          @book = Desk::Kits::KitBook.new(work, kit)
          @laid = Desk::Kits::LayingOut.new(work, @book)
        end

        # @return [Exchange::Papers::Paper]
        def call
          boxes = @laid.dealt.boxes
          Exchange::Papers::Paper.new(
            title: "#{@kit.name}: what lies in which box", subtitle: subtitle, back: "/kits/#{@kit.id}",
            parts: [*boxes.each_with_index.flat_map { |box, at| [card(box, at + 1, boxes.size), minding(box)].compact },
                    *beside]
          )
        end

        private

        def beside
          return [] if @laid.loose.empty?

          [Exchange::Papers::Lines.new(heading: "Beside the boxes", items: @laid.loose.map { |page| container(page) })]
        end

        def container(page)
          supply = page.stock.supply
          stack = page.stock.stack
          "#{supply.packs} x #{stack.name(supply.food)}, #{@work.size(supply.pack)}, #{stack.place}"
        end

        def subtitle
          who = [*@book.who.people, *@book.who.pets].map(&:name).join(", ")
          ["For #{who}", Core::Words.count(@kit.days, "day", "days"),
           "refresh on #{Core::Words.day(@book.refresh_on)}"].join("; ")
        end

        def card(box, number, of)
          Exchange::Papers::Table.new(
            heading: "Box #{number} of #{of}, #{KitWords.plain(Core::Kits::Rounding.up(box.gross_g / 1000, 1))} kg",
            columns: ["", "", "Opens", "Good until"], shares: [1, 5, 3, 3],
            rows: box.counts.map { |id, count| row(@laid.page(id), count) }.sort_by { |cells| cells[1] }
          )
        end

        def row(page, count)
          supply = page.stock.supply
          until_on = supply.usable_until
          [
            count.to_s, "#{page.stock.stack.name(supply.food)}, #{@work.size(supply.pack)}",
            OPENS.fetch(supply.opening_word.to_s, ""), until_on ? Core::Words.day(until_on) : "keeps"
          ]
        end

        def minding(box)
          given = box.counts.keys.map { |id| @laid.page(id).given }
          items = [
            ("Keep an opener in this box." if box.opener?),
            said("Into a bag against damp: ", given.select(&:bag?)),
            said("Into something rigid against mice: ", given.select(&:mice?)),
            said("Glass, not to be dropped: ", given.select(&:glass?)),
            said("Once open, to be eaten at one sitting: ", given.select { |one| one.opened.sitting? })
          ].compact
          Exchange::Papers::Lines.new(heading: "", items: items) if items.any?
        end

        def said(words, given)
          names = given.map { |one| one.stack.food.name }.uniq.sort
          "#{words}#{names.join(", ")}." if names.any?
        end
      end
    end
  end
end
