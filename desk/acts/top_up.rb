# frozen_string_literal: true

require_relative "../act"
require_relative "../fit"
require_relative "../full_tub"
require_relative "../poured"
require_relative "../taking"
require_relative "../refusal"

module NutShelf
  module Desk
    # Pours more into a jar or tub that holds the same food: the earliest date of the parts counts, the costs are
    # added, the parts are remembered. A tub that reaches its mark raises a task.
    class TopUp < Act
      private

      # @param input [Hash] :lot_id the jar, :from_lot_id, :amount in base units or nil for one pack
      def perform(input)
        raise Refusal.of(:jar_into_itself, at: "/from_lot_id") if input[:lot_id] == input[:from_lot_id]

        lots = house.lots.lock([input[:lot_id], input[:from_lot_id]])
        jar, source =
          input
            .values_at(:lot_id, :from_lot_id)
            .map { |id| lots[id] || raise(Store::Missing, "There is no such stack here.") }
        refuse_other(jar, source)
        check_fit(jar, source)
        amount = wanted(source, input[:amount])
        poured =
          entry(
            "top_up",
            "Topped up #{work.food(jar.food_id).name} with #{work.loose_words(source, amount)}"
          )
        part = opened(poured, source)
        poured.move(jar, amount, poured.draw(part, amount, "split"), "split")
        poured.came_of(jar, part, amount, "poured")
        poured.happen(jar, event(poured, part))
        done(poured, lot_id: jar.id, full: FullTub.tell(work, poured, jar))
      end

      def refuse_other(jar, source)
        if jar.food_id == source.food_id && jar.dimension == source.dimension &&
            (jar.container_id || jar.open)
          return
        end

        raise Refusal.of(:other_food_in_jar)
      end

      def check_fit(jar, source)
        dating = Redate.new(work)
        { "/lot_id" => jar, "/from_lot_id" => source }.each do |pointer, lot|
          Fit.check(work, lot, dating.part(lot), pointer: pointer)
        end
      end

      def wanted(source, text)
        pack = [source.pack_amount || source.on_hand, source.on_hand].min
        amount = text ? text.to_r : pack
        limit = source.open ? source.on_hand : pack
        return amount if amount.positive? && amount <= limit

        raise Refusal.of(:more_than_a_pack)
      end

      # A sealed pack is opened first, so that its own opened date is what the jar takes over.
      def opened(poured, source)
        source.open || source.situation != "bought_sealed" ? source : Taking.new(work, poured).open_one(source)
      end

      # The jar remembers the part with its dates.
      def event(poured, lot)
        Poured.event(work, poured.redate.part(lot), lot.id)
      end
    end
  end
end
