# frozen_string_literal: true

require_relative "../act"
require_relative "../belonging"
require_relative "../parting"
require_relative "../refusal"
require_relative "../switching"
require_relative "../trips/packing_list"
require_relative "../trips/travelling_cold"
require_relative "../trips/trip_book"

module NutShelf
  module Desk
    # Everybody is back: what is left of what went along goes back with its true date, or out where it lay in the warm
    # too long; the rest was eaten. The trip remembers how much of what was planned that was.
    class ComeHome < Act
      private

      # @param input [Hash] :trip_id, :back as [{ lot_id:, amount: in its own units, place_id: or nil for where it
      #   belongs }] of what came back; what is not named was eaten; :gas_used_g by the weight of the canisters, nil:
      #   nobody weighed them; :switch_off ids of fridges and freezers that stand empty now, or nil
      def perform(input)
        @trip = house.trips.find(input[:trip_id])
        house.records.lock("trip", @trip.id)
        raise Refusal.of(:nothing_packed) unless %w[packed away].include?(@trip.status)

        @book = Trips::TripBook.new(work, @trip)
        rows = house.reservations.of_trip(@trip.id)
        @lots = house.lots.lock(rows.map(&:lot_id).uniq.sort)
        home = entry("come_home", "Home from #{@trip.name}")
        rows.each { |row| home.alter("reservation", row, { archived_at: Time.now.utc.iso8601 }) }
        back = input[:back].to_h { |one| [one[:lot_id], one] }
        refuse_strangers(back)
        kept = @lots.values.flat_map { |lot| settle(home, lot, back[lot.id]) }
        home.alter("trip", @trip, { **facts(kept), **burnt(input) })
        switch_off(home, input[:switch_off] || [])
        done(home, trip_id: @trip.id, lot_ids: kept.map { |lot, _| lot.id })
      end

      # The last thing of a trip: what travelled cold and stands empty is switched off, to be wiped and propped open.
      def switch_off(home, ids)
        ids.uniq.each_with_index do |id, at|
          place = house.records.lock("place", work.place_in_use(house.places.find(id).id).id)
          unless Switching::COLD.include?(place.kind)
            raise Refusal.of(:nothing_to_switch, at: "/switch_off/#{at}", place: place.name)
          end
          unless Trips::TravellingCold.new(work).empty?(place)
            raise Refusal.of(:not_empty_yet, at: "/switch_off/#{at}", place: place.name)
          end

          Switching.new(work, home).call(place, true)
        end
      end

      # Own figures for the next trip's gas; no meal that was cooked, no figure.
      def burnt(input)
        boiled = @book.balance.boiled_ml
        return {} unless input[:gas_used_g] && boiled.positive?

        { gas_used_g: input[:gas_used_g], boiled_ml: boiled.round(3) }
      end

      def refuse_strangers(back)
        return if (back.keys - @lots.keys).empty?

        raise Refusal.of(:not_along, at: "/back")
      end

      # @return [Array<Array(Store::Rows::Lot, Rational)>] what is left of it, and kcal it holds
      def settle(home, lot, back)
        return [] if lot.gone?

        left = back ? Parting.amount(work, lot, back[:amount]) : 0r
        per_unit = kcal(lot)
        eaten(home, lot, lot.on_hand - left).filter_map do |rest|
          next out(home, rest) if unfit?(rest)

          [back_where(home, rest, back[:place_id]), rest.on_hand * per_unit]
        end
      end

      # @return [Array<Store::Rows::Lot>] what is left: sealed packs, and the one that was opened on the way
      def eaten(home, lot, amount)
        size = !lot.open && lot.dimension != "count" && lot.pack_amount
        part = size ? amount % size : 0r
        rest = [lot]
        home.draw(lot, amount - part, "eaten") if amount > part
        rest << opened(home, lot, part) if part.positive?
        rest.map { |one| home.now(one) }.reject(&:gone?)
      end

      # Nobody noted when: the day they left counts, as a cautious person would.
      def opened(home, lot, part)
        event = { **work.happening("opened"), "on" => @trip.leaves_on.iso8601 }
        pack = home.split(lot, lot.pack_amount, open: true, history: [*home.now(lot).history, event])
        home.draw(pack, part, "eaten")
        pack
      end

      # What must be cold and lay in the warm is out, whatever it looks like.
      def unfit?(lot)
        lot.stopped || lot.quarantined || (lot.safety_until && lot.safety_until < work.today)
      end

      # @return [nil]
      def out(home, lot)
        home.draw(lot, lot.on_hand, "binned", why: "turned")
        nil
      end

      def back_where(home, lot, place_id)
        place = place_id ? work.place_in_use(place_id) : Belonging.new(work).place(house.foods.find(lot.food_id))
        return lot if place.nil? || place.id == lot.place_id

        home.happen(lot, work.happening("moved", place_id: place.id), place_id: place.id)
      end

      # @return [Rational] of one unit of it
      def kcal(lot)
        stack = work.shelf.stacks[lot.id]
        food = work.food(lot.food_id)
        return 0r unless stack&.grams_per_unit && food.nutrition.kcal

        stack.grams_per_unit * food.nutrition.kcal / 100
      end

      def facts(kept)
        planned = @book.entries.filter_map(&:cell).sum(0r) { |cell| @book.kcal(cell) }
        eaten = [planned - kept.sum(0r, &:last), 0r].max
        keys = kept.map { |lot, _| work.food(lot.food_id).key }.uniq.sort
        { status: "home", planned_kcal: planned.round(3), eaten_kcal: eaten.round(3), came_back: keys }
      end
    end
  end
end
