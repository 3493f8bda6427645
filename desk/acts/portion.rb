# frozen_string_literal: true

require_relative "../act"
require_relative "../parting"
require_relative "../../core/portioning/split"
require_relative "../refusal"

module NutShelf
  module Desk
    # Splits a stack into portions: so many, or as many of one size as it gives. Each gets its share of the cost to the
    # cent; portions of one cost are one stack; what remains is a stack of its own. They may go straight to a place.
    class Portion < Act
      private

      # @param input [Hash] :lot_id, :count or :size (base units), :amount to portion or nil for all, :place_id or nil,
      #   :label, :directions
      def perform(input)
        lot = house.lots.lock_one(input[:lot_id])
        work.in_the_dark.guard([lot.id])
        split = reckon(lot, input)
        name = input[:label] || work.food(lot.food_id).name
        made = entry("portion", "Made #{split.count} portions of #{size_words(lot, split.size)} from #{name}")
        lots = split.portions.map { |portions| portion(made, lot, portions, input) }
        rest(made, lot, split)
        done(made, lot_id: lots.first.id, portions: split.count, each_minor: split.portions.map(&:cost_minor).uniq)
      end

      def reckon(lot, input)
        amount = Parting.amount(work, lot, input[:amount])
        Core::Split.new(
          amount: amount,
          cost_minor: Core::Money.share(lot.value_minor, amount, lot.on_hand),
          count: input[:count],
          size: input[:size]&.to_r
        )
      rescue ArgumentError => e
        raise Refusal.of(:portion_size, at: "/size", words: e.message.capitalize)
      end

      def portion(made, lot, portions, input)
        amount = portions.size * portions.count
        moved =
          if input[:place_id] && input[:place_id] != lot.place_id
            [work.happening("moved", place_id: work.place_in_use(input[:place_id]).id)]
          else
            []
          end
        history = [*lot.history, *opening(lot), *moved]
        child =
          made.new_lot(
            {
              **lot.slice(*Store::Lots::PAST),
              pack_amount: portions.size,
              pack_id: nil,
              noun: nil,
              open: false,
              history: history,
              place_id: input[:place_id] || lot.place_id,
              label: input[:label] || lot.label,
              directions: input[:directions] || lot.directions
            }
          )
        value = portions.cost_minor * portions.count
        made.came_of(child, lot, amount, "split")
        made.move(lot, -amount, -value, "split")
        made.move(child, amount, value, "split")
      end

      # A sealed pack is opened to be portioned; loose food and what is open already are not.
      def opening(lot)
        sealed =
          !lot.open && lot.pack_amount && lot.dimension != "count" &&
          %w[bought_sealed].include?(lot.situation) && lot.history.none? { |event| event["kind"] == "opened" }
        sealed ? [work.happening("opened")] : []
      end

      # Once a pack is open, what remains of it is open too.
      def rest(made, lot, split)
        return if made.now(lot).gone? || !split.rest.positive?

        opened = opening(lot).first
        opened ? made.happen(lot, opened, open: true) : nil
      end

      def size_words(lot, size)
        if lot.noun
          Core::Wording.counted(size, lot.noun)
        else
          work.size(Core::Quantity.new(size, lot.dimension.to_sym))
        end
      end
    end
  end
end
