# frozen_string_literal: true

require_relative "../../core/dating/part"
require_relative "../poured"
require_relative "../taking"

module NutShelf
  module Desk
    module Bench
      # Several takes of one food become one stack on the bench: sealed packs are opened for it, what stays of a pack is
      # a stack of its own, and the earliest date of all that went in counts.
      class Pool
        # @param work [UnitOfWork]
        # @param entry [Entry]
        def initialize(work, entry)
          @work = work
          @entry = entry
        end

        # @param lots [Array<Store::Rows::Lot>] locked
        # @param amounts [Hash{Integer=>Rational}] by stack, in its own units
        # @return [Store::Rows::Lot]
        def call(lots, amounts)
          sources = lots.flat_map { |lot| sources(lot, amounts.fetch(lot.id)) }
          first, *others = sources
          others.reduce(begun(*first)) { |pool, (lot, amount)| poured(pool, lot, amount) }
        end

        private

        # Whole packs as they are; for a part of a sealed one it is opened, and its rest stays beside.
        def sources(lot, amount)
          part = sealed?(lot) ? amount % lot.pack_amount : 0r
          return [[lot, amount]] if part.zero?

          [([lot, amount - part] if amount > part), [Taking.new(@work, @entry).open_one(lot), part]].compact
        end

        def sealed?(lot) = !lot.open && !lot.pack_amount.nil?

        def begun(lot, amount)
          lot = @entry.now(lot)
          @entry.split(
            lot, amount, open: true, pack_amount: nil, pack_id: nil, noun: nil, label: "",
            history: [*lot.history, *opening(lot)]
          )
        end

        def poured(pool, lot, amount)
          lot = @entry.now(lot)
          part = part(lot)
          @entry.move(pool, amount, @entry.draw(lot, amount, "split"), "split")
          @entry.came_of(pool, lot, amount, "poured")
          @entry.happen(pool, Poured.event(@work, part, lot.id))
        end

        # With the date it has once its pack is open.
        def part(lot)
          opened = lot.with(history: [*lot.history, *opening(lot)])
          Core::Part.of(@entry.redate.judge(opened), lot.name(@work.food(lot.food_id)))
        end

        def opening(lot)
          sealed = sealed?(lot) && lot.situation == "bought_sealed" &&
            lot.history.none? { |event| event["kind"] == "opened" }
          sealed ? [@work.happening("opened")] : []
        end
      end
    end
  end
end
